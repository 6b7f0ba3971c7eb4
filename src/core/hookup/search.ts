import { compare, pack, type Packed } from './cost';
import type { Option } from './options';
import type { Problem, Row } from './problem';

interface Laid {
  option: Option;
  cost: Packed;
  rows: Int32Array;
  amounts: Float64Array;
  tags: Int32Array;
  values: Int32Array;
}

/**
 * Branch and bound over the parts. At each node every open part stands at its cheapest option that still goes;
 * where these stand together, the node is solved. Otherwise the clash picks the part to branch on, and an overfull
 * row raises the bound by the cheapest moves that would empty it (see docs/method-hookup.md).
 *
 * Finds the least cost (margin left aside) strictly below `below`, or null when there is none.
 */
export function search(problem: Problem, optionLists: Option[][], limits: number[], below?: Packed): { best: Option[] | null; nodes: number } {
  const { rows, groups } = withUnions(problem.rows, limits, optionLists);
  const once = problem.tags.map((t) => t.once.map(pack));
  const lists = optionLists.map((list) => list.map((o) => lay(o, groups)));
  const count = lists.length;
  const left = Float64Array.from(rows);
  const tagValue = new Int32Array(problem.tags.length).fill(-1);
  const chosen: (Laid | null)[] = lists.map(() => null);
  let best: Option[] | null = null;
  let bar: Packed = below ?? [Infinity, 0, 0];
  let nodes = 0;

  const realRows = problem.rows.length;
  function goes(o: Laid): boolean {
    for (let i = 0; i < o.rows.length; i++) {
      const row = o.rows[i]!;
      if (row < realRows && o.amounts[i]! > left[row]!) return false;
    }
    for (let i = 0; i < o.tags.length; i++) {
      const value = tagValue[o.tags[i]!]!;
      if (value !== -1 && value !== o.values[i]!) return false;
    }
    return true;
  }

  const need = new Float64Array(rows.length);
  const wanted = new Int32Array(problem.tags.length);

  function visit(c0: number, c1: number, c2: number): void {
    nodes++;
    let s0 = c0;
    let s1 = c1;
    let s2 = c2;
    const first: (Laid | null)[] = new Array<Laid | null>(count).fill(null);
    need.fill(0);
    for (let p = 0; p < count; p++) {
      if (chosen[p]) continue;
      const o = lists[p]!.find(goes);
      if (!o) return;
      first[p] = o;
      s0 += o.cost[0];
      s1 += o.cost[1];
      s2 += o.cost[2];
      for (let i = 0; i < o.rows.length; i++) need[o.rows[i]!]! += o.amounts[i]!;
    }
    if (!below3(s0, s1, s2, bar)) return;

    // Do the cheapest options stand together as they are?
    let clashTag = -1;
    let paidTag = -1;
    let once0 = 0;
    let once1 = 0;
    let once2 = 0;
    wanted.fill(-1);
    for (let p = 0; p < count && clashTag < 0; p++) {
      const o = first[p];
      if (!o) continue;
      for (let i = 0; i < o.tags.length; i++) {
        const tag = o.tags[i]!;
        if (tagValue[tag] !== -1) continue;
        if (wanted[tag] === -1) {
          wanted[tag] = o.values[i]!;
          const price = once[tag]![o.values[i]!]!;
          if (price[0] || price[1] || price[2]) paidTag = tag;
          once0 += price[0];
          once1 += price[1];
          once2 += price[2];
        } else if (wanted[tag] !== o.values[i]!) {
          clashTag = tag;
          break;
        }
      }
    }
    let overfull = -1;
    for (let r = 0; r < rows.length; r++) if (need[r]! > left[r]! && (overfull < 0 || r < realRows)) overfull = r;

    if (clashTag < 0 && overfull < 0) {
      if (below3(s0 + once0, s1 + once1, s2 + once2, bar)) {
        bar = [s0 + once0, s1 + once1, s2 + once2];
        best = first.map((o, p) => (o ?? chosen[p])!.option);
      }
      if (paidTag < 0) return;
    }
    if (overfull >= 0) {
      const [d0, d1, d2] = emptying(first);
      if (!below3(s0 + d0, s1 + d1, s2 + d2, bar)) return;
    }

    // Branch on a part of the clash with the fewest ways left.
    let pick = -1;
    let fewest = Infinity;
    for (let p = 0; p < count; p++) {
      const o = first[p];
      if (!o) continue;
      const inClash = overfull >= 0 ? o.rows.includes(overfull) : o.tags.includes(clashTag >= 0 ? clashTag : paidTag);
      if (!inClash) continue;
      let ways = 0;
      for (const other of lists[p]!) if (goes(other)) ways++;
      if (ways < fewest) {
        fewest = ways;
        pick = p;
      }
    }
    for (const o of lists[pick]!) {
      if (!goes(o)) continue;
      const fresh: number[] = [];
      let e0 = c0 + o.cost[0];
      let e1 = c1 + o.cost[1];
      let e2 = c2 + o.cost[2];
      for (let i = 0; i < o.tags.length; i++) {
        const tag = o.tags[i]!;
        if (tagValue[tag] !== -1) continue;
        tagValue[tag] = o.values[i]!;
        fresh.push(tag);
        const price = once[tag]![o.values[i]!]!;
        e0 += price[0];
        e1 += price[1];
        e2 += price[2];
      }
      for (let i = 0; i < o.rows.length; i++) left[o.rows[i]!]! -= o.amounts[i]!;
      chosen[pick] = o;
      if (below3(e0, e1, e2, bar)) visit(e0, e1, e2);
      chosen[pick] = null;
      for (let i = 0; i < o.rows.length; i++) left[o.rows[i]!]! += o.amounts[i]!;
      for (const tag of fresh) tagValue[tag] = -1;
    }
  }

  /**
   * What it costs at least to bring overfull rows back within their limits. One row: enough parts must move to an
   * option that uses less of it. Rows whose parts do not overlap add up; the dearest row is taken first.
   */
  function emptying(first: (Laid | null)[]): Packed {
    const spent = new Uint8Array(count);
    let total: Packed = [0, 0, 0];
    const open: number[] = [];
    for (let r = 0; r < rows.length; r++) if (need[r]! > left[r]!) open.push(r);
    for (let round = 0; round < 3 && open.length > 0; round++) {
      let dearest: { price: Packed; row: number } | null = null;
      for (const row of open) {
        const price = emptyingRow(row, first, spent);
        if (price && (!dearest || compare(price, dearest.price) > 0)) dearest = { price, row };
      }
      if (!dearest || compare(dearest.price, [0, 0, 0]) <= 0) break;
      total = [total[0] + dearest.price[0], total[1] + dearest.price[1], total[2] + dearest.price[2]];
      for (let p = 0; p < count; p++) if (first[p]?.rows.includes(dearest.row)) spent[p] = 1;
      open.splice(open.indexOf(dearest.row), 1);
    }
    return total;
  }

  function emptyingRow(row: number, first: (Laid | null)[], spent: Uint8Array): Packed | null {
    let excess = -left[row]!;
    const reliefs: number[] = [];
    const prices: Packed[] = [];
    for (let p = 0; p < count; p++) {
      const o = first[p];
      if (!o || spent[p]) continue;
      const used = amountOn(o, row);
      if (used === 0) continue;
      excess += used;
      let least = used;
      let price: Packed | null = null;
      for (const other of lists[p]!) {
        const amount = amountOn(other, row);
        if (amount >= used || !goes(other)) continue;
        price ??= [other.cost[0] - o.cost[0], other.cost[1] - o.cost[1], other.cost[2] - o.cost[2]];
        if (amount < least) least = amount;
      }
      if (price) {
        reliefs.push(used - least);
        prices.push(price);
      }
    }
    if (excess <= 0) return null;
    reliefs.sort((a, b) => b - a);
    prices.sort(compare);
    let sum: Packed = [0, 0, 0];
    for (let k = 0; k < reliefs.length && excess > 0; k++) {
      excess -= reliefs[k]!;
      sum = [sum[0] + prices[k]![0], sum[1] + prices[k]![1], sum[2] + prices[k]![2]];
    }
    return excess > 0 ? [Infinity, 0, 0] : sum;
  }

  visit(0, 0, 0);
  return { best, nodes };
}

function below3(a0: number, a1: number, a2: number, bar: Packed): boolean {
  return a0 !== bar[0] ? a0 < bar[0] : a1 !== bar[1] ? a1 < bar[1] : a2 < bar[2];
}

function amountOn(o: Laid, row: number): number {
  for (let i = 0; i < o.rows.length; i++) if (o.rows[i] === row) return o.amounts[i]!;
  return 0;
}

/**
 * Rows of one group often stand in for each other: five parts on any of four ports clash although no single
 * port is overfull. Adds, for the bounds only, a row for each set of rows that some part can choose among.
 */
function withUnions(real: Row[], limits: number[], lists: Option[][]): { rows: number[]; groups: number[][] } {
  const sets = new Map<string, number[]>();
  const keep = (set: number[]) => {
    if (set.length > 1) sets.set(set.join(), set);
  };
  for (const group of new Set(real.map((r) => r.group))) {
    if (group === '') continue;
    const all = new Set<number>();
    for (const list of lists) {
      const touched = new Set<number>();
      for (const o of list) for (const [row] of o.uses) if (real[row]!.group === group) touched.add(row);
      for (const row of touched) all.add(row);
      keep([...touched].sort((a, b) => a - b));
    }
    keep([...all].sort((a, b) => a - b));
  }
  const unions = [...sets.values()].slice(0, 24);
  const groups = real.map((_, r) => unions.flatMap((set, i) => (set.includes(r) ? [real.length + i] : [])));
  return { rows: [...limits, ...unions.map((set) => set.reduce((sum, r) => sum + limits[r]!, 0))], groups };
}

function lay(option: Option, groups: number[][]): Laid {
  const uses = new Map<number, number>();
  for (const [row, amount] of option.uses) for (const r of [row, ...groups[row]!]) uses.set(r, (uses.get(r) ?? 0) + amount);
  return {
    option,
    cost: option.cost,
    rows: Int32Array.from(uses.keys()),
    amounts: Float64Array.from(uses.values()),
    tags: Int32Array.from(option.tags, ([t]) => t),
    values: Int32Array.from(option.tags, ([, v]) => v),
  };
}
