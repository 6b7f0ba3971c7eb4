import { amountOn } from './model';
import type { Bound, Relaxation } from './relax';

/**
 * Tries the options that a node has left one after the other, always those of the part that has fewest left which still go (R. M. Haralick and G. L. Elliott,
 * Artificial Intelligence 14, 1980), for at most `most` steps. `ended` false: it ran out of steps and nothing is proved. With `level` -1 any hookup will do; else
 * the least of that level below `below`. What the relaxed hookup takes most of goes first; options by which the bound would rise above `wanted` are not tried.
 */
export function enumerate(node: Relaxation, level: number, below: number, most: number, { bound, rise }: Bound, shares: Float64Array, wanted: number): { best: Int32Array | null; ended: boolean } {
  const { model, alive, caps } = node;
  const parts = model.first.length - 1;
  const goal = level < 0 ? -1 : model.sums + level;
  const lists = Array.from({ length: parts }, (_, p) => {
    const list: number[] = [];
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) if (alive[o]) list.push(o);
    return list.sort((a, b) => rise[a]! - rise[b]! || shares[b]! - shares[a]! || a - b);
  });
  const used = new Float64Array(model.rows);
  const need = new Float64Array(model.rows);
  const limit = caps.slice();
  if (goal >= 0) limit[goal] = below - 1e-6;
  const standing = new Int16Array(model.once.length).fill(-1);
  const chosen = new Int32Array(parts).fill(-1);
  let best: Int32Array | null = null;
  let steps = 0;
  /** How far the bound may still rise. */
  let room = wanted - bound;
  visit(0, lists);
  return { best, ended: steps <= most };

  function visit(depth: number, open: number[][]): void {
    if (depth === parts) {
      best = chosen.slice();
      if (goal >= 0) {
        room -= limit[goal]! + 1e-6 - used[goal]!;
        limit[goal] = used[goal]! - 1e-6;
      }
      return;
    }
    const left: number[][] = new Array<number[]>(parts);
    let p = -1;
    for (let q = 0; q < parts; q++) {
      if (chosen[q]! >= 0) continue;
      const list = open[q]!.filter((o) => goes(o));
      if (list.length === 0) return;
      left[q] = list;
      if (p < 0 || list.length < left[p]!.length) p = q;
    }
    if (!roomFor(left)) return;
    for (const o of left[p]!) {
      if (rise[o]! > room) return;
      if (++steps > most) return;
      const fresh = take(o);
      room -= rise[o]!;
      chosen[p] = o;
      if (levelsHold()) visit(depth + 1, left);
      chosen[p] = -1;
      putBack(o, fresh);
      room += rise[o]!;
      if (best && goal < 0) return;
    }
  }

  /** Is there room for what every open part takes at least? */
  function roomFor(open: number[][]): boolean {
    need.set(used);
    for (let q = 0; q < parts; q++) {
      if (chosen[q]! >= 0) continue;
      const list = open[q]!;
      for (let i = model.at[list[0]!]!; i < model.at[list[0]! + 1]!; i++) {
        const r = model.row[i]!;
        let low = model.amount[i]!;
        for (let k = 1; k < list.length && low > 0; k++) low = Math.min(low, amountOn(model, list[k]!, r));
        need[r]! += low;
        if (need[r]! > limit[r]! + 1e-9) return false;
      }
    }
    return true;
  }

  function goes(o: number): boolean {
    if (rise[o]! > room) return false;
    for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (used[model.row[i]!]! + model.amount[i]! > limit[model.row[i]!]! + 1e-9) return false;
    for (const [t, v] of model.options[o]!.tags) if (standing[t] !== -1 && standing[t] !== v) return false;
    return true;
  }

  /** Tags may cost something once, which `goes` has not seen. */
  function levelsHold(): boolean {
    for (let r = model.sums; r < model.rows; r++) if (used[r]! > limit[r]! + 1e-9) return false;
    return true;
  }

  /** Bits of the option's tags that it is the first to ask for. */
  function take(o: number): number {
    for (let i = model.at[o]!; i < model.at[o + 1]!; i++) used[model.row[i]!]! += model.amount[i]!;
    let fresh = 0;
    model.options[o]!.tags.forEach(([t, v], i) => {
      if (standing[t] !== -1) return;
      standing[t] = v;
      fresh |= 1 << i;
      model.once[t]![v]?.forEach((c, l) => (used[model.sums + l]! += c));
    });
    return fresh;
  }

  function putBack(o: number, fresh: number): void {
    for (let i = model.at[o]!; i < model.at[o + 1]!; i++) used[model.row[i]!]! -= model.amount[i]!;
    model.options[o]!.tags.forEach(([t, v], i) => {
      if (!(fresh & (1 << i))) return;
      standing[t] = -1;
      model.once[t]![v]?.forEach((c, l) => (used[model.sums + l]! -= c));
    });
  }
}
