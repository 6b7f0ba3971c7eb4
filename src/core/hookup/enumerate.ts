import { least } from './propagate';
import type { Bound, Relaxation } from './relax';

/**
 * Tries the options that a node has left one after the other, parts with the fewest first, for at most `most` steps. `ended` false: it ran out of
 * steps and nothing is proved. With `level` -1 any hookup will do; else the least of that level below `below`. What the relaxed hookup takes most of goes
 * first; options by which the bound would rise above `wanted` are not tried.
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
  const order = lists.map((_, p) => p).sort((a, b) => lists[a]!.length - lists[b]!.length || a - b);
  // What the parts from step k on must take at least of every row.
  const ahead = new Float64Array((parts + 1) * model.rows);
  const { each } = least(node);
  for (let k = parts - 1; k >= 0; k--) for (let r = 0; r < model.rows; r++) ahead[k * model.rows + r] = ahead[(k + 1) * model.rows + r]! + each[order[k]! * model.rows + r]!;
  // And at most: a row with more than that left cannot decide anything any more.
  const mostAhead = new Float64Array((parts + 1) * model.rows);
  for (let k = parts - 1; k >= 0; k--) {
    const base = k * model.rows;
    for (const o of lists[order[k]!]!) for (let i = model.at[o]!; i < model.at[o + 1]!; i++) mostAhead[base + model.row[i]!] = Math.max(mostAhead[base + model.row[i]!]!, model.amount[i]!);
    for (let r = 0; r < model.rows; r++) mostAhead[base + r]! += mostAhead[base + model.rows + r]!;
  }
  // The tags that parts from step k on ask for.
  const asked = order.map(() => new Uint8Array(model.once.length));
  for (let k = parts - 1; k >= 0; k--) {
    if (k < parts - 1) asked[k]!.set(asked[k + 1]!);
    for (const o of lists[order[k]!]!) for (const [t] of model.options[o]!.tags) asked[k]![t] = 1;
  }
  const seen = order.map(() => new Set<string>());
  const used = new Float64Array(model.rows);
  const limit = caps.slice();
  if (goal >= 0) limit[goal] = below - 1e-6;
  const standing = new Int16Array(model.once.length).fill(-1);
  const chosen = new Int32Array(parts);
  let best: Int32Array | null = null;
  let steps = 0;
  /** How far the bound may still rise. */
  let room = wanted - bound;
  visit(0);
  return { best, ended: steps <= most };

  function visit(k: number): void {
    if (k === parts) {
      best = chosen.slice();
      if (goal >= 0) {
        room -= limit[goal]! + 1e-6 - used[goal]!;
        limit[goal] = used[goal]! - 1e-6;
      }
      return;
    }
    if (k > 1 && k < parts - 1 && known(k)) return;
    const p = order[k]!;
    for (const o of lists[p]!) {
      if (++steps > most) return;
      if (rise[o]! > room) break;
      if (!goes(o, (k + 1) * model.rows)) continue;
      const fresh = take(o);
      room -= rise[o]!;
      if (fresh >= 0) {
        chosen[p] = o;
        if (levelsHold((k + 1) * model.rows)) visit(k + 1);
      }
      putBack(o, fresh);
      room += rise[o]!;
      if (best && goal < 0) return;
    }
  }

  /** Has a place with the same left of everything that still matters been searched through? Else remembers this one. */
  function known(k: number): boolean {
    const base = k * model.rows;
    let key = '';
    for (let r = 0; r < model.sums; r++) if (used[r]! + mostAhead[base + r]! > limit[r]! + 1e-9) key += `${r}:${used[r]!},`;
    for (let r = model.sums; r < model.rows; r++) if (used[r]! > 0) key += `${r}:${used[r]!},`;
    for (let t = 0; t < standing.length; t++) if (standing[t]! >= 0 && asked[k]![t]) key += `t${t}:${standing[t]!},`;
    if (seen[k]!.has(key)) return true;
    seen[k]!.add(key);
    return false;
  }

  function goes(o: number, next: number): boolean {
    for (let i = model.at[o]!; i < model.at[o + 1]!; i++) {
      const r = model.row[i]!;
      if (used[r]! + model.amount[i]! + ahead[next + r]! > limit[r]! + 1e-9) return false;
    }
    for (const [t, v] of model.options[o]!.tags) if (standing[t] !== -1 && standing[t] !== v) return false;
    return true;
  }

  /** Tags may cost something once, which `goes` has not seen. */
  function levelsHold(next: number): boolean {
    for (let r = model.sums; r < model.rows; r++) if (used[r]! + ahead[next + r]! > limit[r]! + 1e-9) return false;
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
