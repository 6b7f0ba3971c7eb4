import { amountOn, sumBounds, tagBound, unitBound } from './bounds';
import { pack, type Packed } from './cost';
import type { Option } from './options';
import type { Problem } from './problem';

interface Tables {
  units: ReturnType<typeof unitBound>;
  tags: ReturnType<typeof tagBound>;
  sums: ReturnType<typeof sumBounds>;
}

/** A problem made ready for several searches: options in branching order and the tables of lower bounds. */
export interface Prepared {
  problem: Problem;
  order: number[];
  lists: Option[][];
  /** Sum of the cheapest options from each part on: the bound that costs nothing to make. */
  ahead: Float64Array;
  /** The tables of stronger bounds, made when a first short search does not end. */
  tables: Tables | null;
  once: Packed[][];
  /** Rows that can run short, and for each part on how much of them it and its followers can ask for at most. */
  scarce: { row: number; ahead: number[] }[];
  /** For each tag the last part that asks for it. */
  lastUse: number[];
}

export function prepare(problem: Problem, optionLists: Option[][]): Prepared {
  const order = orderOf(optionLists);
  const lists = order.map((p) => optionLists[p]!);
  const scarce = problem.rows.flatMap((row, r) => {
    const most = lists.map((list) => Math.max(0, ...list.map((o) => amountOn(o, r))));
    const ahead = [...most, 0];
    for (let k = most.length - 1; k >= 0; k--) ahead[k]! += ahead[k + 1]!;
    const tightest = Math.min(row.limit, row.comfort ?? Infinity) * 0.7;
    return ahead[0]! > tightest ? [{ row: r, ahead }] : [];
  });
  return {
    problem,
    order,
    lists,
    ahead: cheapestAhead(lists),
    tables: null,
    once: problem.tags.map((t) => t.once.map(pack)),
    scarce,
    lastUse: problem.tags.map((_, t) => lists.findLastIndex((list) => list.some((o) => o.tags.some(([x]) => x === t)))),
  };
}

const shortSearch = 250;

/** The least cost strictly below `below` with options of at least `floor` margin, or null: short search first, tables when it does not end. */
export function search(prepared: Prepared, limits: number[], floor: number, below?: Packed): { best: Option[] | null; nodes: number } {
  if (!prepared.tables) {
    const short = branch(prepared, limits, floor, below, shortSearch);
    if (short.nodes <= shortSearch) return short;
    const { problem, lists } = prepared;
    const loosest = problem.rows.map((r) => r.limit);
    prepared.tables = { units: unitBound(problem, lists, loosest), tags: tagBound(problem, lists), sums: sumBounds(problem, lists, loosest) };
  }
  return branch(prepared, limits, floor, below, Infinity);
}

/**
 * Branch and bound over the parts in a fixed order. What the open parts must still cost is read from the tables:
 * one over the contended ports and outputs together, one over the tags, one for each contended sum. A state that
 * costs no less and has no more left than one already searched through is dropped (see docs/method-hookup.md).
 * Stops after `most` nodes.
 */
function branch(prepared: Prepared, limits: number[], floor: number, below: Packed | undefined, most: number): { best: Option[] | null; nodes: number } {
  const { order, lists, ahead, tables, once, scarce, lastUse } = prepared;
  const { units, tags, sums } = tables ?? { units: null, tags: null, sums: [] };
  const left = Float64Array.from(limits);
  const tagValue = new Int32Array(once.length).fill(-1);
  const count = lists.length;
  const chosen: Option[] = new Array<Option>(count);
  const seen: Map<string, Float64Array[]>[] = lists.map(() => new Map());
  const exact = scarce.filter((s) => limits[s.row]! <= 32);
  const sized = scarce.filter((s) => limits[s.row]! > 32);
  let best: Option[] | null = null;
  let bar: Packed = below ?? [Infinity, 0, 0];
  let nodes = 0;
  // The bound of the child last looked at.
  let b0 = 0;
  let b1 = 0;
  let b2 = 0;

  function raise(table: Float64Array, at: number): void {
    const t0 = table[at]!;
    const t1 = table[at + 1]!;
    const t2 = table[at + 2]!;
    if (t0 !== b0 ? t0 > b0 : t1 !== b1 ? t1 > b1 : t2 > b2) {
      b0 = t0;
      b1 = t1;
      b2 = t2;
    }
  }

  /** Has a state been searched through that was as cheap and had as much left of everything? Else remembers this one. */
  function beaten(k: number, c0: number, c1: number, c2: number): boolean {
    let key = '';
    for (const s of exact) key += `${Math.min(left[s.row]!, s.ahead[k]!)},`;
    for (let t = 0; t < tagValue.length; t++) if (lastUse[t]! >= k) key += `${tagValue[t]!};`;
    const label = new Float64Array(3 + sized.length);
    label[0] = c0;
    label[1] = c1;
    label[2] = c2;
    for (let i = 0; i < sized.length; i++) label[3 + i] = Math.min(left[sized[i]!.row]!, sized[i]!.ahead[k]!);
    const labels = seen[k]!.get(key);
    if (!labels) {
      seen[k]!.set(key, [label]);
      return false;
    }
    for (const other of labels) if (covers(other, label)) return true;
    labels.push(label);
    return false;
  }

  function visit(k: number, c0: number, c1: number, c2: number, unitAt: number, tagAt: number): void {
    nodes++;
    if (nodes > most) return;
    if (k === count) {
      bar = [c0, c1, c2];
      best = chosen.slice();
      return;
    }
    if (k > 1 && beaten(k, c0, c1, c2)) return;
    const children: { option: Option; index: number; f0: number; f1: number; f2: number; e0: number; e1: number; e2: number; tagAt: number }[] = [];
    const list = lists[k]!;
    for (let i = 0; i < list.length; i++) {
      const option = list[i]!;
      let e0 = c0 + option.cost[0];
      let e1 = c1 + option.cost[1];
      let e2 = c2 + option.cost[2];
      if (!less(e0, e1, e2, bar)) break;
      if (option.margin < floor || !goes(option)) continue;
      let childTag = tagAt;
      for (const [t, v] of option.tags) {
        if (tagValue[t] !== -1) continue;
        const price = once[t]![v]!;
        e0 += price[0];
        e1 += price[1];
        e2 += price[2];
        const digit = tags ? tags.tags.indexOf(t) : -1;
        if (tags && digit >= 0) childTag += (v + 1) * tags.strides[digit]!;
      }
      b0 = b1 = b2 = 0;
      raise(ahead, (k + 1) * 3);
      if (tags) raise(tags.table, ((k + 1) * tags.states + childTag) * 3);
      if (units) raise(units.table, ((k + 1) * units.states + unitAt + units.step(k, i)) * 3);
      for (const s of sums) {
        let room = -s.amounts[k]![i]!;
        for (const r of s.rows) room += left[r]!;
        raise(s.table, ((k + 1) * s.states + Math.floor(room / s.size + 1e-9)) * 3);
      }
      if (less(e0 + b0, e1 + b1, e2 + b2, bar)) children.push({ option, index: i, f0: e0 + b0, f1: e1 + b1, f2: e2 + b2, e0, e1, e2, tagAt: childTag });
    }
    children.sort((a, b) => a.f0 - b.f0 || a.f1 - b.f1 || a.f2 - b.f2 || a.index - b.index);
    for (const child of children) {
      if (!less(child.f0, child.f1, child.f2, bar)) break;
      const { option } = child;
      const fresh: number[] = [];
      for (const [t, v] of option.tags) {
        if (tagValue[t] !== -1) continue;
        tagValue[t] = v;
        fresh.push(t);
      }
      for (const [r, a] of option.uses) left[r]! -= a;
      chosen[k] = option;
      visit(k + 1, child.e0, child.e1, child.e2, unitAt + (units ? units.step(k, child.index) : 0), child.tagAt);
      for (const [r, a] of option.uses) left[r]! += a;
      for (const t of fresh) tagValue[t] = -1;
    }
  }

  function goes(option: Option): boolean {
    for (const [r, a] of option.uses) if (a > left[r]!) return false;
    for (const [t, v] of option.tags) if (tagValue[t] !== -1 && tagValue[t] !== v) return false;
    return true;
  }

  visit(0, 0, 0, 0, units?.start ?? 0, tags?.start ?? 0);
  const found = best as Option[] | null;
  return { best: found && order.map((_, p) => found[order.indexOf(p)]!), nodes };
}

/** `a` costs no more than `b` and leaves no less. */
function covers(a: Float64Array, b: Float64Array): boolean {
  if (a[0]! !== b[0]! ? a[0]! > b[0]! : a[1]! !== b[1]! ? a[1]! > b[1]! : a[2]! > b[2]!) return false;
  for (let i = 3; i < a.length; i++) if (a[i]! < b[i]!) return false;
  return true;
}

function less(a0: number, a1: number, a2: number, bar: Packed): boolean {
  return a0 !== bar[0] ? a0 < bar[0] : a1 !== bar[1] ? a1 < bar[1] : a2 < bar[2];
}

function cheapestAhead(lists: Option[][]): Float64Array {
  const ahead = new Float64Array((lists.length + 1) * 3);
  for (let k = lists.length - 1; k >= 0; k--) for (let i = 0; i < 3; i++) ahead[k * 3 + i] = ahead[(k + 1) * 3 + i]! + lists[k]![0]!.cost[i]!;
  return ahead;
}

/** Parts with tags and large loads first: what is left for the end is what the tables know exactly. */
function orderOf(lists: Option[][]): number[] {
  const weight = lists.map((list) => {
    const tags = Math.max(0, ...list.map((o) => o.tags.length));
    const load = Math.max(0, ...list.flatMap((o) => o.uses.map(([, a]) => a)));
    return tags * 1e6 + load;
  });
  return lists.map((_, p) => p).sort((a, b) => weight[b]! - weight[a]! || a - b);
}
