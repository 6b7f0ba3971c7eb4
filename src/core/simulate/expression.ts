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

/** A formula over the unknowns of a system, with its slopes. Unknowns are counted; -1 is the reference, which stands at nought. */
export interface Formula {
  value: (x: Float64Array) => number;
  /** At the unknowns that `value` was asked for last: tells `add` the slope by every unknown it names, times `seed`; one unknown may come several times. */
  slopes: (seed: number, add: (unknown: number, slope: number) => void) => void;
}

/** `place`: the number of a node's volts or an element's amps. Compiled once for a system, since Newton's method asks thousands of times. */
export function compiled(e: Expression, place: (what: 'volts' | 'amps', name: string) => number): Formula {
  switch (e.op) {
    case 'number':
      return { value: () => e.value, slopes: () => undefined };
    case 'volts':
    case 'amps': {
      const at = place(e.op, e.op === 'volts' ? e.node : e.element);
      if (at < 0) return { value: () => 0, slopes: () => undefined };
      return { value: (x) => x[at]!, slopes: (seed, add) => add(at, seed) };
    }
    case 'sum': {
      const parts = e.of.map((p) => compiled(p, place));
      return {
        value: (x) => {
          let all = 0;
          for (const p of parts) all += p.value(x);
          return all;
        },
        slopes: (seed, add) => {
          for (const p of parts) p.slopes(seed, add);
        },
      };
    }
    case 'times': {
      const [a, b] = [compiled(e.a, place), compiled(e.b, place)];
      let [by, of] = [0, 0];
      return {
        value: (x) => (of = a.value(x)) * (by = b.value(x)),
        slopes: (seed, add) => {
          a.slopes(seed * by, add);
          b.slopes(seed * of, add);
        },
      };
    }
    case 'over': {
      const [a, b] = [compiled(e.a, place), compiled(e.b, place)];
      let [by, of] = [0, 0];
      return {
        value: (x) => (of = a.value(x)) / (by = b.value(x)),
        slopes: (seed, add) => {
          a.slopes(seed / by, add);
          b.slopes((-seed * of) / (by * by), add);
        },
      };
    }
    case 'above nought': {
      const inner = compiled(e.of, place);
      const soft2 = e.soft * e.soft;
      let of = 0;
      return {
        value: (x) => {
          of = inner.value(x);
          return (of + Math.sqrt(of * of + soft2)) / 2;
        },
        slopes: (seed, add) => inner.slopes((seed * (1 + of / Math.sqrt(of * of + soft2))) / 2, add),
      };
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
