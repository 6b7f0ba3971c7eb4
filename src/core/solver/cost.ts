/**
 * What a hookup costs, in the order in which it matters. All fields are whole numbers and add up.
 * `deciGrams` are tenths of a gram.
 */
export interface Cost {
  must: number;
  should: number;
  doubts: number;
  hazards: number;
  cents: number;
  deciGrams: number;
  effort: number;
  nice: number;
  compromises: number;
  ports: number;
}

/** Most that each level can hold over a whole hookup; what is above is held at the limit. */
const widths: [keyof Cost, number][][] = [
  [
    ['must', 64],
    ['should', 64],
    ['doubts', 256],
    ['hazards', 256],
    ['cents', 2 ** 21],
  ],
  [
    ['deciGrams', 2 ** 17],
    ['effort', 4096],
    ['nice', 64],
    ['compromises', 512],
  ],
  [['ports', 256]],
];

/**
 * A cost packed into three numbers that compare one after the other and still add up exactly
 * (each stays below 2^53). The margin stands between the second and the third.
 */
export type Packed = readonly [number, number, number];

export const zero: Packed = [0, 0, 0];

export const noCost: Cost = {
  must: 0,
  should: 0,
  doubts: 0,
  hazards: 0,
  cents: 0,
  deciGrams: 0,
  effort: 0,
  nice: 0,
  compromises: 0,
  ports: 0,
};

export function cost(part: Partial<Cost>): Cost {
  return { ...noCost, ...part };
}

export function addCosts(a: Cost, b: Cost): Cost {
  const sum = { ...a };
  for (const key of Object.keys(noCost) as (keyof Cost)[]) sum[key] += b[key];
  return sum;
}

export function pack(c: Cost): Packed {
  return [packedLevel(c, widths[0]!), packedLevel(c, widths[1]!), packedLevel(c, widths[2]!)];
}

function packedLevel(c: Cost, level: [keyof Cost, number][]): number {
  let sum = 0;
  for (let i = 0; i < level.length; i++) sum = sum * level[i]![1] + Math.min(c[level[i]![0]], level[i]![1] - 1);
  return sum;
}

export function unpack(p: Packed): Cost {
  const levels = levelsOf(p);
  return Object.fromEntries(levelOrder.map((key, l) => [key, levels[l]!])) as unknown as Cost;
}

/** The levels of the objective, dearest first; the margin stands before the last one. */
export const levelOrder: readonly (keyof Cost)[] = widths.flatMap((level) => level.map(([key]) => key));

/** A packed cost level by level, in the order of `levelOrder`. */
export function levelsOf(p: Packed): number[] {
  const levels = new Array<number>(levelOrder.length);
  let at = levels.length;
  for (let i = widths.length - 1; i >= 0; i--) {
    let rest = p[i]!;
    for (let k = widths[i]!.length - 1; k >= 0; k--) {
      const width = widths[i]![k]![1];
      const next = Math.floor(rest / width);
      levels[--at] = rest - next * width;
      rest = next;
    }
  }
  return levels;
}

/** Negative when `a` is the better one. */
export function compare(a: Packed, b: Packed): number {
  return a[0] - b[0] || a[1] - b[1] || a[2] - b[2];
}

export function plus(a: Packed, b: Packed): Packed {
  return [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
}
