import type { Cut } from './cuts';
import type { Relaxation } from './relax';
import { multiplier, valueOf } from './simplex';

/** A cut must be broken by this much for its length, and so many are kept. */
const least = 0.05;
const most = 10;
/** Shares of rows are this many parts of one. */
const whole = 2 ** 28;
/** A sum that is so many parts below a whole number counts as that number. */
const slip = 2 ** 14;

/**
 * Rows added up, each times a share between nought and one, and rounded down: hookups are whole, so the sum of the rounded entries is at most the rounded limit
 * (R. E. Gomory, Bulletin of the American Mathematical Society 64, 1958; V. Chvatal, Discrete Mathematics 4, 1973). The simplex suggests the shares: those by
 * which something stands at a broken number. The cut is worked out from them in whole numbers, so it never rests on the simplex being exact. Since a seat takes one option
 * and a tag one value, all slips together add at most one slip for each of them to the limit.
 */
export function roundedSums(a: Relaxation, shares: Float64Array): Cut[] {
  const { simplex } = a;
  const scale = new Map(a.cuts.map((cut, k) => [a.cutRow + k, cut.scale]));
  const found: { cut: Cut; by: number }[] = [];
  for (let place = 0; place < simplex.awake.length; place++) {
    const stands = simplex.stands[place]! - Math.floor(simplex.stands[place]!);
    if (simplex.basic[place]! >= simplex.cols || stands < 0.02 || stands > 0.98) continue;
    const times = new Map<number, number>();
    for (const row of simplex.awake) {
      const by = multiplier(simplex, place, row) / (scale.get(row) ?? 1);
      const share = Math.round((by - Math.floor(by)) * whole);
      if (share > 0 && share < whole) times.set(row, share);
    }
    if ([...times.keys()].some((row) => simplex.free[row])) continue;
    const cut = cutOf(a, times, scale);
    if (!cut) continue;
    const by = brokenBy(a, cut, shares);
    if (by > least) found.push({ cut, by });
  }
  // Several broken numbers often suggest the same cut.
  const said = new Set<string>();
  const fresh = found.sort((x, y) => y.by - x.by).filter(({ cut }) => {
    const words = JSON.stringify([cut.options, cut.amounts, cut.values]);
    return !said.has(words) && said.add(words);
  });
  return fresh.slice(0, most).map((f) => f.cut);
}

/** The rows, each so many parts of it, added up and rounded down. Null where the sum is beyond exact whole numbers; no open option takes more of a row than its limit. */
function cutOf({ simplex, model, alive, valueAt }: Relaxation, times: Map<number, number>, scale: Map<number, number>): Cut | null {
  const { cols, rowCols, rowValues, limits } = simplex;
  const sum = new Float64Array(cols);
  let limit = slip * (model.first.length - 1 + model.once.length);
  for (const [row, n] of times) {
    const by = scale.get(row) ?? 1;
    const at = rowCols[row]!;
    const entries = rowValues[row]!;
    for (let k = 0; k < at.length; k++) sum[at[k]!]! += n * Math.round(entries[k]! * by);
    limit += n * Math.round(limits[row]! * by);
  }
  if (!Number.isSafeInteger(limit)) return null;
  const rounded = (column: number) => Math.floor((sum[column]! + slip) / whole);
  const cut: Cut = { options: [], amounts: [], values: [], limit: Math.floor(limit / whole), scale: 1 };
  for (let p = 0; p < model.first.length - 1; p++) {
    // What all options of a seat have in common is taken for certain.
    let low = Infinity;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) if (alive[o]) low = Math.min(low, rounded(o));
    cut.limit -= low;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
      if (!alive[o] || rounded(o) === low) continue;
      cut.options.push(o);
      cut.amounts.push(rounded(o) - low);
    }
  }
  valueAt.forEach((columns, tag) =>
    columns.forEach((column, value) => {
      if (column >= 0 && rounded(column) !== 0) cut.values.push({ tag, value, amount: rounded(column) });
    }),
  );
  return cut;
}

/** By how much the relaxed hookup breaks a cut, as a distance. */
function brokenBy({ simplex, valueAt }: Relaxation, { options, amounts, values, limit }: Cut, shares: Float64Array): number {
  let over = -limit;
  let length = 0;
  options.forEach((o, k) => {
    over += amounts[k]! * shares[o]!;
    length += amounts[k]! ** 2;
  });
  for (const { tag, value, amount } of values) {
    over += amount * valueOf(simplex, valueAt[tag]![value]!);
    length += amount ** 2;
  }
  return over / Math.sqrt(length);
}
