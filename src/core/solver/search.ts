import { compare, pack, zero, type Packed } from './cost';
import type { Option } from './seats';
import type { Problem } from './problem';

/** What is to be searched. */
export interface Search {
  /** The options of each seat, cheapest first. */
  lists: Option[][];
  /** What is left of every row. */
  left: number[];
  /** The value that each tag stands at already, or -1. */
  standing: Int32Array;
  /** What a value of a tag costs once. */
  once: Packed[][];
  /** What is spent already. */
  spent: Packed;
  /** For each row the number of its pool. */
  pools: Int32Array;
}

/** Above all that a hookup can cost. */
export const dearest: Packed = [Infinity, 0, 0];

export function onceOf(problem: Problem): Packed[][] {
  return problem.tags.map((t) => t.once.map(pack));
}

/** Most searches end within so many steps, and need no bound that costs more than a step. */
const cheapSteps = 40;

/** Numbers the pools of the rows; -1 where a row is in none. */
export function poolsIn({ rows }: Problem): Int32Array {
  const known = new Map<string, number>();
  return Int32Array.from(rows, ({ pool }) => {
    if (pool === undefined) return -1;
    if (!known.has(pool)) known.set(pool, known.size);
    return known.get(pool)!;
  });
}

/** With nothing chosen yet. */
export function searchOf(problem: Problem, lists: Option[][], left: number[]): Search {
  return {
    lists,
    left,
    standing: new Int32Array(problem.tags.length).fill(-1),
    once: onceOf(problem),
    spent: zero,
    pools: poolsIn(problem),
  };
}

/**
 * The least cost strictly below `below`: depth-first branch and bound with forward checking, options cheapest first, the seat that has fewest left first
 * (R. M. Haralick and G. L. Elliott, Artificial Intelligence 14, 1980). `ended` false when it took more than `most` steps, and then nothing is proved.
 */
export function search(
  { lists, left: before, standing: stood, once, spent, pools }: Search,
  below: Packed,
  most: number,
): { best: Option[] | null; cost: Packed; ended: boolean; steps: number } {
  const left = before.slice();
  const standing = stood.slice();
  const count = lists.length;
  const chosen = new Array<Option | null>(count).fill(null);
  const over = new Float64Array(1 + pools.reduce((a, b) => Math.max(a, b), -1));
  let best: Option[] | null = null;
  let bar = below;
  let steps = 0;
  visit(0, lists, spent[0], spent[1], spent[2]);
  return { best, cost: bar, ended: steps <= most, steps };

  function visit(depth: number, open: Option[][], c0: number, c1: number, c2: number): void {
    if (depth === count) {
      if (!less(c0, c1, c2, bar)) return;
      bar = [c0, c1, c2];
      best = chosen.slice() as Option[];
      return;
    }
    // What the open seats cost at least.
    let b0 = c0;
    let b1 = c1;
    let b2 = c2;
    const here = new Array<Option[]>(count);
    for (let q = 0; q < count; q++) {
      if (chosen[q] !== null) continue;
      const list = those(open[q]!);
      if (list.length === 0) return;
      here[q] = list;
      const { cost } = list[0]!;
      b0 += cost[0];
      b1 += cost[1];
      b2 += cost[2];
    }
    let p = -1;
    let fewest = Infinity;
    for (let q = 0; q < count; q++) {
      if (chosen[q] !== null) continue;
      const list = here[q]!;
      const low = list[0]!.cost;
      let n = list.length;
      for (; n > 0; n--) {
        const { cost } = list[n - 1]!;
        if (less(b0 - low[0] + cost[0], b1 - low[1] + cost[1], b2 - low[2] + cost[2], bar)) break;
      }
      if (n === 0) return;
      if (n < list.length) here[q] = list.slice(0, n);
      if (n >= fewest) continue;
      fewest = n;
      p = q;
    }
    if (!room(here) || (steps > cheapSteps && !pays(here, b0, b1, b2))) return;
    const least = here[p]![0]!.cost;
    for (const option of here[p]!) {
      const { cost } = option;
      if (!less(b0 - least[0] + cost[0], b1 - least[1] + cost[1], b2 - least[2] + cost[2], bar)) return;
      if (++steps > most) return;
      let e0 = c0 + cost[0];
      let e1 = c1 + cost[1];
      let e2 = c2 + cost[2];
      let fresh = 0;
      for (let i = 0; i < option.tags.length; i++) {
        const tag = option.tags[i]![0];
        if (standing[tag] !== -1) continue;
        standing[tag] = option.tags[i]![1];
        fresh |= 1 << i;
        const price = once[tag]![option.tags[i]![1]]!;
        e0 += price[0];
        e1 += price[1];
        e2 += price[2];
      }
      for (let i = 0; i < option.uses.length; i++) left[option.uses[i]![0]]! -= option.uses[i]![1];
      chosen[p] = option;
      visit(depth + 1, here, e0, e1, e2);
      chosen[p] = null;
      for (let i = 0; i < option.uses.length; i++) left[option.uses[i]![0]]! += option.uses[i]![1];
      for (let i = 0; i < option.tags.length; i++) if (fresh & (1 << i)) standing[option.tags[i]![0]] = -1;
    }
  }

  /**
   * Where the cheapest options of the open seats want more of a pool than is left of it, some seats must go without: is the least that this costs still below the bar? A surrogate
   * of the pool's rows (F. Glover, Operations Research 13, 1965). At least so many seats go without as the most greedy ones give back what is too much; at the least they are those that do so cheapest.
   */
  function pays(here: Option[][], b0: number, b1: number, b2: number): boolean {
    over.fill(0);
    for (let r = 0; r < left.length; r++) if (pools[r]! >= 0) over[pools[r]!]! -= left[r]!;
    let scarce = false;
    for (let q = 0; q < count; q++) {
      if (chosen[q] !== null) continue;
      const { uses } = here[q]![0]!;
      for (let i = 0; i < uses.length; i++) {
        const pool = pools[uses[i]![0]]!;
        if (pool >= 0 && (over[pool]! += uses[i]![1]) > 0) scarce = true;
      }
    }
    if (!scarce) return true;
    for (let pool = 0; pool < over.length; pool++) {
      if (over[pool]! > 0 && !paysFor(pool, over[pool]!, here, b0, b1, b2)) return false;
    }
    return true;
  }

  function paysFor(pool: number, tooMuch: number, here: Option[][], b0: number, b1: number, b2: number): boolean {
    const without: Packed[] = [];
    const given: number[] = [];
    for (let q = 0; q < count; q++) {
      if (chosen[q] !== null) continue;
      const list = here[q]!;
      const first = list[0]!;
      const wanted = takenOf(pool, first);
      if (wanted === 0) continue;
      // The cheapest that takes less: what it gives back is at most all that the first takes.
      const other = list.find((o) => takenOf(pool, o) < wanted);
      if (!other) continue;
      without.push([other.cost[0] - first.cost[0], other.cost[1] - first.cost[1], other.cost[2] - first.cost[2]]);
      given.push(wanted);
    }
    given.sort((a, b) => b - a);
    let seats = 0;
    for (let back = 0; back < tooMuch; seats++) {
      if (seats === given.length) return false;
      back += given[seats]!;
    }
    without.sort(compare);
    for (let k = 0; k < seats; k++) {
      b0 += without[k]![0];
      b1 += without[k]![1];
      b2 += without[k]![2];
    }
    return less(b0, b1, b2, bar);
  }

  function takenOf(pool: number, { uses }: Option): number {
    let sum = 0;
    for (let i = 0; i < uses.length; i++) if (pools[uses[i]![0]] === pool) sum += uses[i]![1];
    return sum;
  }

  /** Is there room for what every open seat takes at least? */
  function room(here: Option[][]): boolean {
    const need = left.slice();
    for (let q = 0; q < count; q++) {
      if (chosen[q] !== null) continue;
      const list = here[q]!;
      const first = list[0]!.uses;
      for (let i = 0; i < first.length; i++) {
        const row = first[i]![0];
        let low = first[i]![1];
        for (let k = 1; k < list.length && low > 0; k++) {
          const uses = list[k]!.uses;
          let at = 0;
          while (at < uses.length && uses[at]![0] < row) at++;
          low = at < uses.length && uses[at]![0] === row ? Math.min(low, uses[at]![1]) : 0;
        }
        need[row]! -= low;
        if (need[row]! < 0) return false;
      }
    }
    return true;
  }

  /** Those of a list that still go: the same list where all do. */
  function those(list: Option[]): Option[] {
    let k = 0;
    while (k < list.length && goes(list[k]!)) k++;
    if (k === list.length) return list;
    const rest = list.slice(0, k);
    for (k++; k < list.length; k++) if (goes(list[k]!)) rest.push(list[k]!);
    return rest;
  }

  function goes({ uses, tags }: Option): boolean {
    for (let i = 0; i < uses.length; i++) if (uses[i]![1] > left[uses[i]![0]]!) return false;
    for (let i = 0; i < tags.length; i++) {
      const stands = standing[tags[i]![0]]!;
      if (stands !== -1 && stands !== tags[i]![1]) return false;
    }
    return true;
  }
}

function less(a0: number, a1: number, a2: number, bar: Packed): boolean {
  if (a0 !== bar[0]) return a0 < bar[0];
  if (a1 !== bar[1]) return a1 < bar[1];
  return a2 < bar[2];
}
