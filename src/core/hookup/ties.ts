import type { Cut } from './cuts';
import type { Relaxation } from './relax';
import { valueOf } from './simplex';

/** A tie must be broken by this share of the row, or it is not worth its own. */
const least = 0.02;
/** No tag has so many values. */
const values = 256;

/**
 * What hangs on one value of a tag can take no more of a row than the row has, times how far the tag stands so. Three parts that each take a third of a port which
 * hears only with a bridge moved would each move a third of the bridge; together they have the whole port, so they move it wholly (strong linking of a capacity to
 * what opens it, as in facility location: common practice). The ties that the relaxed hookup breaks, the worst first.
 */
export function brokenTies({ model, alive, caps, rowAt, valueAt, simplex }: Relaxation, shares: Float64Array): Cut[] {
  // For each tag value and row the share of the row that is taken so.
  const taken = new Map<number, number>();
  for (let o = 0; o < shares.length; o++) {
    if (shares[o]! < 1e-6) continue;
    for (const [tag, value] of model.options[o]!.tags) {
      if (valueAt[tag]![value]! < 0) continue;
      for (let i = model.at[o]!; i < model.at[o + 1]!; i++) {
        const row = model.row[i]!;
        if (rowAt[row]! < 0 || !(caps[row]! > 0) || !Number.isFinite(caps[row]!)) continue;
        const key = (tag * values + value) * model.rows + row;
        taken.set(key, (taken.get(key) ?? 0) + (shares[o]! * model.amount[i]!) / caps[row]!);
      }
    }
  }
  const found: { cut: Cut; by: number }[] = [];
  for (const [key, share] of taken) {
    const row = key % model.rows;
    const value = Math.floor(key / model.rows) % values;
    const tag = Math.floor(key / model.rows / values);
    const by = share - valueOf(simplex, valueAt[tag]![value]!);
    if (by >= least) found.push({ cut: tieOf(row, tag, value), by });
  }
  return found.sort((a, b) => b.by - a.by).map((f) => f.cut);

  function tieOf(row: number, tag: number, value: number): Cut {
    const cut: Cut = { options: [], amounts: [], values: [{ tag, value, amount: -caps[row]! }], limit: 0, scale: caps[row]! };
    for (let o = 0; o < alive.length; o++) {
      if (!alive[o] || !model.options[o]!.tags.some(([t, v]) => t === tag && v === value)) continue;
      for (let i = model.at[o]!; i < model.at[o + 1]!; i++) {
        if (model.row[i] !== row) continue;
        cut.options.push(o);
        cut.amounts.push(model.amount[i]!);
      }
    }
    return cut;
  }
}
