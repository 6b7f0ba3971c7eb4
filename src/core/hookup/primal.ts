import { isWorn, renew } from './renew';
import { columnOf, exchange, lower, openColumns, rowTimes, tiny, type Simplex } from './simplex';

/** Lowers the sum that the free row `objective` carries until no column can lower it. Wants a basis without negative values. False when it did not end. */
export function primal(a: Simplex, objective: number, most: number): boolean {
  const { rows, free, placeOf, stands, places, awake } = a;
  const open = openColumns(a);
  const cost = new Float64Array(a.cols + rows);
  const line = new Float64Array(a.cols + rows);
  const column = new Float64Array(rows);
  // How far all that moves with a column moves with a unit of it, roughly (the Devex weights of P. M. J. Harris, Mathematical Programming 5, 1973).
  const weight = new Float64Array(a.cols + rows).fill(1);
  rowTimes(a, a.ownPlace[objective]!, cost);
  for (let step = 0; step < most; step++) {
    // The steepest column first; after many steps the first one, so that no cycle can hold it.
    let col = -1;
    let best = 0;
    for (let n = 0; n < open.length; n++) {
      const j = open[n]!;
      const c = cost[j]!;
      if (c >= -1e-7 || c * c <= best * weight[j]! || placeOf[j]! >= 0) continue;
      col = j;
      if (step > most / 2) break;
      best = (c * c) / weight[j]!;
    }
    if (col < 0) return true;
    columnOf(a, col, column);
    let place = -1;
    let ratio = Infinity;
    for (let p = 0; p < places; p++) {
      const v = column[p]!;
      if (v <= tiny || free[awake[p]!]) continue;
      const r = Math.max(0, stands[p]!) / v;
      if (r < ratio - 1e-12 || (r <= ratio + 1e-12 && place >= 0 && v > column[place]!)) {
        ratio = r;
        place = p;
      }
    }
    if (place < 0) return false;
    rowTimes(a, place, line);
    if (isWorn(a, line[col]!, column[place]!)) {
      renew(a);
      rowTimes(a, a.ownPlace[objective]!, cost);
      continue;
    }
    lower(cost, line, open, cost[col]! / line[col]!);
    const mine = weight[col]! / (line[col]! * line[col]!);
    for (let n = 0; n < open.length; n++) {
      const j = open[n]!;
      if (line[j] !== 0) weight[j] = Math.max(weight[j]!, line[j]! * line[j]! * mine);
    }
    weight[a.basic[place]!] = Math.max(1, mine);
    exchange(a, place, col, column);
  }
  return false;
}
