import { isWorn, renew } from './renew';
import { columnOf, exchange, lower, openColumns, rowTimes, tiny, type Simplex } from './simplex';

/** `place`: what stands there proves it, by its own multipliers (`sign` -1: turned round). */
export type Dual = { kind: 'done' } | { kind: 'impossible'; place: number; sign: 1 | -1 } | { kind: 'gave up' };

/** Brings back a basis without negative values and with banned columns at nought, while the objective's row (-1: none) stays free of negative entries. */
export function dual(a: Simplex, objective: number, most: number): Dual {
  const { rows, free, banned, placeOf, basic, stands, places, awake } = a;
  const open = openColumns(a);
  const cost = new Float64Array(a.cols + rows);
  const line = new Float64Array(a.cols + rows);
  const column = new Float64Array(rows);
  // How far a place's value moves with a unit of it, roughly (the dual Devex weights of P. M. J. Harris, Mathematical Programming 5, 1973).
  const weight = new Float64Array(rows);
  reset();
  for (let step = 0; step < most; step++) {
    let place = -1;
    let worst = 0;
    let sign: 1 | -1 = 1;
    for (let p = 0; p < places; p++) {
      const v = stands[p]!;
      const by = v < 0 ? -v : banned[basic[p]!] ? v : 0;
      if (by > 1e-7 && by * by > worst * weight[p]! && !free[awake[p]!]) {
        worst = (by * by) / weight[p]!;
        place = p;
        sign = v < 0 ? 1 : -1;
      }
    }
    if (place < 0) return { kind: 'done' };
    rowTimes(a, place, line);
    let col = -1;
    let ratio = Infinity;
    for (let n = 0; n < open.length; n++) {
      const j = open[n]!;
      const v = -sign * line[j]!;
      if (v <= tiny || placeOf[j]! >= 0) continue;
      const r = Math.max(0, cost[j]!) / v;
      if (r < ratio - 1e-12 || (r <= ratio + 1e-12 && v > -sign * line[col]!)) {
        ratio = r;
        col = j;
      }
    }
    if (col < 0) return { kind: 'impossible', place, sign };
    columnOf(a, col, column);
    if (isWorn(a, line[col]!, column[place]!)) {
      renew(a);
      reset();
      continue;
    }
    lower(cost, line, open, cost[col]! / line[col]!);
    const mine = weight[place]! / (column[place]! * column[place]!);
    for (let p = 0; p < places; p++) if (column[p] !== 0) weight[p] = Math.max(weight[p]!, column[p]! * column[p]! * mine);
    weight[place] = Math.max(1, mine);
    exchange(a, place, col, column);
  }
  return { kind: 'gave up' };

  /** Each column costs a little of its own, so that among equals the method does not wander. */
  function reset(): void {
    weight.fill(1);
    if (objective >= 0) rowTimes(a, a.ownPlace[objective]!, cost);
    const little = objective < 0 ? 1 : 1e-6;
    for (let n = 0; n < open.length; n++) if (placeOf[open[n]!]! < 0) cost[open[n]!]! = Math.max(0, cost[open[n]!]!) + little * (1 + ((open[n]! * 0.618034) % 1));
  }
}
