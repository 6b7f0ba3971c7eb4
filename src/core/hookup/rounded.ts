import type { Cut } from './cuts';
import type { Relaxation } from './relax';
import { multipliers, valueOf, type Simplex } from './simplex';

/** A cut should be broken by this much for its length, must be by that much where there is no such one, and so many are kept. */
const worthIt = 0.05;
const least = 0.001;
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
  const scale = new Float64Array(simplex.rows).fill(1);
  a.cuts.forEach((cut, k) => (scale[a.cutRow + k] = cut.scale));
  const found: { cut: Cut; by: number }[] = [];
  for (let place = 0; place < simplex.places; place++) {
    const stands = simplex.stands[place]! - Math.floor(simplex.stands[place]!);
    if (simplex.basic[place]! >= simplex.cols || stands < 0.02 || stands > 0.98) continue;
    const times = sharesOfRows(simplex, place, scale);
    const cut = times && cutOf(a, times, scale);
    if (!cut) continue;
    const by = brokenBy(a, cut, shares);
    // Several broken numbers often suggest the same cut.
    if (by > least && !found.some((f) => f.by === by && isSame(f.cut, cut))) found.push({ cut, by });
  }
  found.sort((x, y) => y.by - x.by);
  const good = found.filter((f) => f.by > worthIt);
  return (good.length > 0 ? good : found).slice(0, most).map((f) => f.cut);
}

/** The shares that what stands in a place suggests, row by row. Null where one is of a row without a limit. */
function sharesOfRows(simplex: Simplex, place: number, scale: Float64Array): Float64Array | null {
  const times = multipliers(simplex, place);
  for (let row = 0; row < times.length; row++) {
    if (times[row] === 0) continue;
    const by = times[row]! / scale[row]!;
    times[row] = Math.round((by - Math.floor(by)) * whole) % whole;
    if (times[row]! > 0 && simplex.free[row]) return null;
  }
  return times;
}

/** The rows, each so many parts of it, added up and rounded down. Null where the sum is beyond exact whole numbers; no open option takes more of a row than its limit. */
function cutOf({ simplex, model, alive, valueAt }: Relaxation, times: Float64Array, scale: Float64Array): Cut | null {
  const { cols, rowCols, rowValues, limits } = simplex;
  const sum = new Float64Array(cols);
  let limit = slip * (model.first.length - 1 + model.once.length);
  for (let row = 0; row < times.length; row++) {
    const n = times[row]!;
    if (n === 0) continue;
    const by = scale[row]!;
    const at = rowCols[row]!;
    const entries = rowValues[row]!;
    for (let k = 0; k < at.length; k++) sum[at[k]!]! += n * Math.round(entries[k]! * by);
    limit += n * Math.round(limits[row]! * by);
  }
  if (!Number.isSafeInteger(limit)) return null;
  for (let column = 0; column < cols; column++) sum[column] = Math.floor((sum[column]! + slip) / whole);
  const cut: Cut = { options: [], amounts: [], values: [], limit: Math.floor(limit / whole), scale: 1 };
  for (let p = 0; p < model.first.length - 1; p++) {
    // What all options of a seat have in common is taken for certain.
    let low = Infinity;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) if (alive[o] && sum[o]! < low) low = sum[o]!;
    cut.limit -= low;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
      if (!alive[o] || sum[o] === low) continue;
      cut.options.push(o);
      cut.amounts.push(sum[o]! - low);
    }
  }
  valueAt.forEach((columns, tag) =>
    columns.forEach((column, value) => {
      if (column >= 0 && sum[column] !== 0) cut.values.push({ tag, value, amount: sum[column]! });
    }),
  );
  return cut;
}

function isSame(a: Cut, b: Cut): boolean {
  return (
    a.options.length === b.options.length &&
    a.values.length === b.values.length &&
    a.options.every((o, k) => o === b.options[k] && a.amounts[k] === b.amounts[k]) &&
    a.values.every((v, k) => v.tag === b.values[k]!.tag && v.value === b.values[k]!.value && v.amount === b.values[k]!.amount)
  );
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
