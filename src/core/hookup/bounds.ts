import { pack, type Packed } from './cost';
import type { Option } from './options';
import type { Problem } from './problem';

/** What the parts from `k` on must cost at least, given how much is left; never more than the truth. */
export interface Bound {
  /** Where the search stands: an index into the table, moved as options are taken. */
  start: number;
  /** How far taking the option moves the index. */
  step: (part: number, option: number) => number;
  table: Float64Array;
  /** Entries a part; the table holds three numbers an entry. */
  states: number;
}

const mostStates = 900;
const buckets = 40;
const mostPools = 10;
/** Rows up to this limit are counted in units (ports, outputs, addresses); above, they are sums (milliamps). */
const unitLimit = 32;

interface Digit {
  rows: number[];
  limit: number;
}

/**
 * Cost-to-go over all contended unit rows at once, rails and tags left aside: exact for ports and outputs
 * unless there are too many kinds of them, when the least contended are pooled.
 */
export function unitBound(problem: Problem, lists: Option[][], limits: number[]): Bound | null {
  const digits: Digit[] = [];
  problem.rows.forEach((_, r) => {
    if (limits[r]! > unitLimit) return;
    const wanted = lists.reduce((sum, list) => sum + Math.max(0, ...list.map((o) => amountOn(o, r))), 0);
    if (wanted > limits[r]!) digits.push({ rows: [r], limit: limits[r]! });
  });
  const product = () => digits.reduce((n, d) => n * (d.limit + 1), 1);
  while (product() > mostStates) {
    digits.sort((a, b) => a.limit - b.limit);
    const [a, b] = digits.splice(digits.length - 2, 2) as [Digit, Digit];
    digits.push({ rows: [...a.rows, ...b.rows], limit: a.limit + b.limit });
  }
  if (digits.length === 0) return null;
  const strides = stridesOf(digits.map((d) => d.limit + 1));
  const used = lists.map((list) => list.map((o) => digits.map((d) => d.rows.reduce((sum, r) => sum + amountOn(o, r), 0))));
  const states = product();
  const tables = newTable(lists.length, states);
  for (let k = lists.length - 1; k >= 0; k--) {
    const kinds = cheapestByKind(lists[k]!, used[k]!);
    const left = digits.map(() => 0);
    for (let s = 0; s < states; s++) {
      for (let d = 0; d < digits.length; d++) left[d] = Math.floor(s / strides[d]!) % (digits[d]!.limit + 1);
      for (const { use, cost } of kinds) {
        let to = s;
        for (let d = 0; d < use.length && to >= 0; d++) to = use[d]! > left[d]! ? -1 : to - use[d]! * strides[d]!;
        if (to >= 0) relax(tables, states, k, s, to, cost);
      }
    }
  }
  const steps = used.map((list) => list.map((use) => -use.reduce((sum, n, d) => sum + n * strides[d]!, 0)));
  return { start: states - 1, step: (p, o) => steps[p]![o]!, table: tables, states };
}

/** A sum, or several that can stand in for each other, with its table. */
export interface SumBound {
  rows: number[];
  size: number;
  table: Float64Array;
  states: number;
  /** What each option of each part takes from it. */
  amounts: Float64Array[];
}

/**
 * Cost-to-go over one sum, everything else left aside, and over pools of sums: parts that could each move to another
 * regulator still share what all of these carry. Amounts are rounded down to buckets, so it never overstates.
 */
export function sumBounds(problem: Problem, lists: Option[][], limits: number[]): SumBound[] {
  const single = problem.rows.flatMap((_, r) => (limits[r]! > unitLimit ? [[r]] : []));
  const pools = new Map<string, number[]>();
  for (const group of new Set(problem.rows.map((r) => r.group).filter((g) => g !== ''))) {
    const all = new Set<number>();
    for (const list of lists) {
      const touched = new Set(list.flatMap((o) => o.uses.flatMap(([r]) => (problem.rows[r]!.group === group && limits[r]! > unitLimit ? [r] : []))));
      for (const r of touched) all.add(r);
      if (touched.size > 1) pools.set([...touched].sort((a, b) => a - b).join(), [...touched]);
    }
    if (all.size > 1) pools.set([...all].sort((a, b) => a - b).join(), [...all]);
  }
  return [...single, ...[...pools.values()].slice(0, mostPools)].flatMap((rows) => {
    const limit = rows.reduce((sum, r) => sum + limits[r]!, 0);
    const amounts = lists.map((list) => Float64Array.from(list, (o) => rows.reduce((sum, r) => sum + amountOn(o, r), 0)));
    const wanted = amounts.reduce((sum, list) => sum + Math.max(0, ...list), 0);
    if (wanted <= limit * 0.7) return [];
    const size = limit / buckets;
    const states = buckets + 1;
    const table = newTable(lists.length, states);
    for (let k = lists.length - 1; k >= 0; k--) {
      const kinds = cheapestByKind(lists[k]!, [...amounts[k]!].map((a) => [Math.floor(a / size)]));
      for (let s = 0; s < states; s++) for (const { use, cost } of kinds) if (use[0]! <= s) relax(table, states, k, s, s - use[0]!, cost);
    }
    return [{ rows, size, table, states, amounts }];
  });
}

/** Cost-to-go over the tags that parts can disagree on, with what each value costs once; rows left aside. */
export function tagBound(problem: Problem, lists: Option[][]): Bound & { tags: number[]; strides: number[] } {
  const tags = problem.tags
    .map((_, t) => t)
    .filter((t) => problem.tags[t]!.once.some((c) => pack(c).some((n) => n > 0)) || new Set(lists.flat().flatMap((o) => o.tags.filter(([x]) => x === t).map(([, v]) => v))).size > 1)
    .filter((t) => lists.filter((list) => list.some((o) => o.tags.some(([x]) => x === t))).length > 1)
    .slice(0, 7);
  const radix = tags.map((t) => problem.tags[t]!.once.length + 1);
  while (radix.reduce((n, r) => n * r, 1) > mostStates) {
    tags.pop();
    radix.pop();
  }
  const strides = stridesOf(radix);
  const states = radix.reduce((n, r) => n * r, 1);
  const table = newTable(lists.length, states);
  const once = problem.tags.map((t) => t.once.map(pack));
  for (let k = lists.length - 1; k >= 0; k--) {
    const kinds = cheapestByKind(lists[k]!, lists[k]!.map((o) => tags.map((t) => 1 + (o.tags.find(([x]) => x === t)?.[1] ?? -1))));
    for (let s = 0; s < states; s++) {
      for (const { use, cost } of kinds) {
        let to = s;
        let [c0, c1, c2] = cost;
        for (let i = 0; i < use.length && to >= 0; i++) {
          const want = use[i]!;
          if (want === 0) continue;
          const there = Math.floor(s / strides[i]!) % radix[i]!;
          if (there === want) continue;
          if (there !== 0) to = -1;
          else {
            to += want * strides[i]!;
            const price = once[tags[i]!]![want - 1]!;
            c0 += price[0];
            c1 += price[1];
            c2 += price[2];
          }
        }
        if (to >= 0) relax(table, states, k, s, to, [c0, c1, c2]);
      }
    }
  }
  return { start: 0, step: () => 0, table, states, tags, strides };
}

function newTable(parts: number, states: number): Float64Array {
  const table = new Float64Array((parts + 1) * states * 3).fill(Infinity);
  return table.fill(0, parts * states * 3);
}

/** table[k][from] = min(table[k][from], cost + table[k + 1][to]), level by level. */
function relax(table: Float64Array, states: number, k: number, from: number, to: number, cost: Packed): void {
  const next = ((k + 1) * states + to) * 3;
  const here = (k * states + from) * 3;
  const c0 = cost[0] + table[next]!;
  const c1 = cost[1] + table[next + 1]!;
  const c2 = cost[2] + table[next + 2]!;
  if (c0 !== table[here]! ? c0 < table[here]! : c1 !== table[here + 1]! ? c1 < table[here + 1]! : c2 < table[here + 2]!) {
    table[here] = c0;
    table[here + 1] = c1;
    table[here + 2] = c2;
  }
}

/** Of the options that use the same, only the cheapest matters to a bound. The lists come cheapest first. */
function cheapestByKind(list: Option[], uses: number[][]): { use: number[]; cost: Packed }[] {
  const kinds = new Map<string, { use: number[]; cost: Packed }>();
  list.forEach((o, i) => {
    const key = uses[i]!.join();
    if (!kinds.has(key)) kinds.set(key, { use: uses[i]!, cost: o.cost });
  });
  return [...kinds.values()];
}

function stridesOf(radix: number[]): number[] {
  let stride = 1;
  return radix.map((r) => {
    const here = stride;
    stride *= r;
    return here;
  });
}

export function amountOn(option: Option, row: number): number {
  for (const [r, amount] of option.uses) if (r === row) return amount;
  return 0;
}
