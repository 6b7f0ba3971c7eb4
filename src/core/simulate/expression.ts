/**
 * What an element asks, as a formula of node volts and branch amps. The same formula is solved here and written out for a circuit simulator, so that both solve one circuit.
 */
export type Expression =
  | { op: 'number'; value: number }
  | { op: 'volts'; node: string }
  /** Amps through an element that has a current of its own, from its `from` to its `to`. */
  | { op: 'amps'; element: string }
  | { op: 'sum'; of: readonly Expression[] }
  | { op: 'times'; a: Expression; b: Expression }
  | { op: 'over'; a: Expression; b: Expression }
  /** What of it is above nought, with a corner rounded off over about `soft` to either side, so that Newton's method can go round it. */
  | { op: 'above nought'; of: Expression; soft: number };

export const num = (value: number): Expression => ({ op: 'number', value });
export const volts = (node: string): Expression => ({ op: 'volts', node });
export const amps = (element: string): Expression => ({ op: 'amps', element });
export const sum = (...of: Expression[]): Expression => ({ op: 'sum', of });
export const times = (a: Expression, b: Expression): Expression => ({ op: 'times', a, b });
export const over = (a: Expression, b: Expression): Expression => ({ op: 'over', a, b });
export const minus = (a: Expression, b: Expression): Expression => sum(a, times(num(-1), b));
export const between = (from: string, to: string): Expression => minus(volts(from), volts(to));
export const aboveNought = (of: Expression, soft: number): Expression => ({ op: 'above nought', of, soft });
export const least = (a: Expression, b: Expression, soft: number): Expression =>
  minus(a, aboveNought(minus(a, b), soft));

/** Reads the value of a node or branch out of a solution; ground reads 0. */
export interface Reading {
  volts: (node: string) => number;
  amps: (element: string) => number;
}

export function valueOf(e: Expression, at: Reading): number {
  switch (e.op) {
    case 'number':
      return e.value;
    case 'volts':
      return at.volts(e.node);
    case 'amps':
      return at.amps(e.element);
    case 'sum':
      return e.of.reduce((s, x) => s + valueOf(x, at), 0);
    case 'times':
      return valueOf(e.a, at) * valueOf(e.b, at);
    case 'over':
      return valueOf(e.a, at) / valueOf(e.b, at);
    case 'above nought': {
      const x = valueOf(e.of, at);
      return (x + Math.sqrt(x * x + e.soft * e.soft)) / 2;
    }
  }
}

/** Adds `seed` times the derivative by every node and branch it names to what `add` collects. */
export function addSlopes(
  e: Expression,
  at: Reading,
  seed: number,
  add: (what: 'volts' | 'amps', name: string, slope: number) => void,
): void {
  switch (e.op) {
    case 'number':
      return;
    case 'volts':
      return add('volts', e.node, seed);
    case 'amps':
      return add('amps', e.element, seed);
    case 'sum':
      for (const x of e.of) addSlopes(x, at, seed, add);
      return;
    case 'times':
      addSlopes(e.a, at, seed * valueOf(e.b, at), add);
      return addSlopes(e.b, at, seed * valueOf(e.a, at), add);
    case 'over': {
      const b = valueOf(e.b, at);
      addSlopes(e.a, at, seed / b, add);
      return addSlopes(e.b, at, (-seed * valueOf(e.a, at)) / (b * b), add);
    }
    case 'above nought': {
      const x = valueOf(e.of, at);
      return addSlopes(e.of, at, (seed * (1 + x / Math.sqrt(x * x + e.soft * e.soft))) / 2, add);
    }
  }
}

/** The formula in the syntax of SPICE's B sources. `node` and `element` give the names used there. */
export function spiceFormula(e: Expression, node: (name: string) => string, element: (name: string) => string): string {
  const say = (x: Expression) => spiceFormula(x, node, element);
  switch (e.op) {
    case 'number':
      return `(${e.value})`;
    case 'volts':
      return `v(${node(e.node)})`;
    case 'amps':
      return `i(${element(e.element)})`;
    case 'sum':
      return `(${e.of.map(say).join('+')})`;
    case 'times':
      return `(${say(e.a)}*${say(e.b)})`;
    case 'over':
      return `(${say(e.a)}/${say(e.b)})`;
    case 'above nought': {
      const x = say(e.of);
      return `(0.5*(${x}+sqrt((${x})*(${x})+${e.soft * e.soft})))`;
    }
  }
}
