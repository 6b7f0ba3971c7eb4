import { pack, plus, zero, type Packed } from './cost';
import type { Option } from './options';
import type { Problem } from './problem';

/** Options in branching order, for several searches of one problem. */
export interface Ordered {
  order: number[];
  lists: Option[][];
  /** Sum of the cheapest options from each part on. */
  ahead: Packed[];
  once: Packed[][];
}

/** Parts with tags and large loads first: they decide most. */
export function ordered(problem: Problem, optionLists: Option[][]): Ordered {
  const weight = optionLists.map((list) => {
    if (list.length === 1) return Infinity;
    let tags = 0;
    let load = 0;
    for (const o of list) {
      tags = Math.max(tags, o.tags.length);
      for (let i = 0; i < o.uses.length; i++) load = Math.max(load, o.uses[i]![1] / (problem.rows[o.uses[i]![0]]!.limit + 1));
    }
    return tags + load;
  });
  const order = optionLists.map((_, p) => p).sort((a, b) => weight[b]! - weight[a]! || a - b);
  const lists = order.map((p) => optionLists[p]!);
  return { order, lists, ahead: aheadOf(lists), once: problem.tags.map((t) => t.once.map(pack)) };
}

/** The sum of the cheapest options from each list on. */
export function aheadOf(lists: Option[][]): Packed[] {
  const ahead: Packed[] = new Array<Packed>(lists.length + 1).fill(zero);
  for (let k = lists.length - 1; k >= 0; k--) ahead[k] = plus(ahead[k + 1]!, lists[k]![0]!.cost);
  return ahead;
}

/**
 * The least cost strictly below `below` (and that cost) with options of at least `floor` margin, by trying options cheapest first; `ended` false when it took more
 * than `most` steps, and then nothing is proved. Most builds on most boards end here: the linear relaxation is for those that do not.
 */
export function tryOut({ order, lists, ahead, once }: Ordered, limits: number[], floor: number, below: Packed | undefined, most: number): { best: Option[] | null; cost: Packed; ended: boolean; steps: number } {
  const left = limits.slice();
  const standing = new Int32Array(once.length).fill(-1);
  const count = lists.length;
  const chosen: Option[] = new Array<Option>(count);
  let best: Option[] | null = null;
  let bar: Packed = below ?? [Infinity, 0, 0];
  let steps = 0;

  function visit(k: number, c0: number, c1: number, c2: number): void {
    if (k === count) {
      bar = [c0, c1, c2];
      best = chosen.slice();
      return;
    }
    const next = ahead[k + 1]!;
    for (const option of lists[k]!) {
      if (!less(c0 + option.cost[0] + next[0], c1 + option.cost[1] + next[1], c2 + option.cost[2] + next[2], bar)) return;
      if (++steps > most) return;
      if (option.margin < floor || !goes(option)) continue;
      let e0 = c0 + option.cost[0];
      let e1 = c1 + option.cost[1];
      let e2 = c2 + option.cost[2];
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
      if (less(e0 + next[0], e1 + next[1], e2 + next[2], bar)) {
        for (let i = 0; i < option.uses.length; i++) left[option.uses[i]![0]]! -= option.uses[i]![1];
        chosen[k] = option;
        visit(k + 1, e0, e1, e2);
        for (let i = 0; i < option.uses.length; i++) left[option.uses[i]![0]]! += option.uses[i]![1];
      }
      for (let i = 0; i < option.tags.length; i++) if (fresh & (1 << i)) standing[option.tags[i]![0]] = -1;
    }
  }

  function goes(option: Option): boolean {
    for (let i = 0; i < option.uses.length; i++) if (option.uses[i]![1] > left[option.uses[i]![0]]!) return false;
    for (let i = 0; i < option.tags.length; i++) {
      const stands = standing[option.tags[i]![0]]!;
      if (stands !== -1 && stands !== option.tags[i]![1]) return false;
    }
    return true;
  }

  visit(0, 0, 0, 0);
  const found = best as Option[] | null;
  const inOrder = found && new Array<Option>(count);
  if (inOrder) order.forEach((p, k) => (inOrder[p] = found[k]!));
  return { best: inOrder, cost: bar, ended: steps <= most, steps };
}

function less(a0: number, a1: number, a2: number, bar: Packed): boolean {
  return a0 !== bar[0] ? a0 < bar[0] : a1 !== bar[1] ? a1 < bar[1] : a2 < bar[2];
}
