import { drop, type Relaxation } from './relax';

/**
 * Drops options that cannot stand within the caps whatever the other parts take, until nothing changes. False when a part has none left.
 */
export function propagate(node: Relaxation): boolean {
  const { model, caps, alive } = node;
  const parts = model.first.length - 1;
  const least = new Float64Array(parts * model.rows);
  const total = new Float64Array(model.rows);
  const seen = new Int32Array(model.rows);
  for (let again = true; again; ) {
    again = false;
    total.fill(0);
    for (let p = 0; p < parts; p++) if (!leastUses(node, p, least, total, seen)) return false;
    for (let r = 0; r < model.rows; r++) if (total[r]! > caps[r]! + 1e-9) return false;
    for (let p = 0; p < parts; p++) {
      const base = p * model.rows;
      for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
        if (!alive[o]) continue;
        for (let i = model.at[o]!; i < model.at[o + 1]!; i++) {
          const r = model.row[i]!;
          if (total[r]! - least[base + r]! + model.amount[i]! <= caps[r]! + 1e-9) continue;
          drop(node, o);
          again = true;
          break;
        }
      }
    }
  }
  return true;
}

/** The least of every row that part p must take, added to the totals. False when the part has no option left. */
function leastUses({ model, alive }: Relaxation, p: number, least: Float64Array, total: Float64Array, seen: Int32Array): boolean {
  const base = p * model.rows;
  least.fill(0, base, base + model.rows);
  seen.fill(0);
  let count = 0;
  for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
    if (!alive[o]) continue;
    count++;
    for (let i = model.at[o]!; i < model.at[o + 1]!; i++) {
      const r = model.row[i]!;
      least[base + r] = seen[r] === 0 ? model.amount[i]! : Math.min(least[base + r]!, model.amount[i]!);
      seen[r]!++;
    }
  }
  if (count === 0) return false;
  for (let r = 0; r < model.rows; r++) {
    if (seen[r] === count) total[r]! += least[base + r]!;
    else least[base + r] = 0;
  }
  return true;
}
