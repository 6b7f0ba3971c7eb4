/**
 * The simplex method with an explicit inverse (G. B. Dantzig, Linear Programming and Extensions, 1963, chapter 9) over columns of nought or more.
 * Row i reads: slack + sum of entries x columns = limit. A free row has no limit: it only carries a sum, which may be an objective.
 * Column `cols + r` is the slack of row r. Columns are sparse and shared by copies; only the inverse is kept per copy.
 * A row may sleep: it is as if it were not there, until `wake` brings it in. Rows that are awake have a place each, and in each place one column is basic.
 */
export interface Simplex {
  rows: number;
  cols: number;
  /** Entries of column j are `start[j]` to `start[j + 1] - 1`. */
  start: Int32Array;
  row: Int32Array;
  value: Float64Array;
  /** The same entries row by row. */
  rowCols: Int32Array[];
  rowValues: Float64Array[];
  limits: Float64Array;
  /** The rows that are awake, by place. */
  awake: number[];
  /** The place of each row's own, -1 while it sleeps. */
  ownPlace: Int32Array;
  /**
   * For each row how far a unit of its limit moves what stands in each place: a column of the basis's inverse. Null for a row that sleeps and for one
   * whose slack is basic: then just the slack moves. Most slacks are, which keeps the inverse small.
   */
  inverse: (Float64Array | null)[];
  /** Places that the columns of the inverse have room for. */
  room: number;
  /** Exchanges since the inverse was last worked out afresh. */
  age: number;
  /** The column that is basic in each place, and what it stands at. */
  basic: Int32Array;
  stands: Float64Array;
  /** For each column the place in which it is basic, or -1. */
  placeOf: Int32Array;
  /** Rows without a limit. */
  free: Uint8Array;
  /** Columns held at nought. */
  banned: Uint8Array;
}

/** A column's rows and its entries in them. */
export interface Column {
  rows: number[];
  values: number[];
}

/** Entries below this are never divided by. */
const tiny = 1e-7;
/** After so many exchanges the inverse is worked out afresh, so that rounding does not pile up. */
const freshAfter = 200;
/** Places kept free for rows that wake. */
const spare = 48;

/** Starts with every slack basic, and with the rows from `asleep` to `asleepTo` - 1 asleep. */
export function simplexOf(limits: Float64Array, columns: Column[], asleep: number, asleepTo: number): Simplex {
  const rows = limits.length;
  const cols = columns.length;
  const start = new Int32Array(cols + 1);
  const perRow = new Int32Array(rows);
  columns.forEach((c, j) => {
    start[j + 1] = start[j]! + c.rows.length;
    for (const r of c.rows) perRow[r]!++;
  });
  const row = new Int32Array(start[cols]!);
  const value = new Float64Array(start[cols]!);
  const rowCols = Array.from(perRow, (n) => new Int32Array(n));
  const rowValues = Array.from(perRow, (n) => new Float64Array(n));
  perRow.fill(0);
  columns.forEach((c, j) => {
    row.set(c.rows, start[j]);
    value.set(c.values, start[j]);
    c.rows.forEach((r, k) => {
      rowCols[r]![perRow[r]!] = j;
      rowValues[r]![perRow[r]!++] = c.values[k]!;
    });
  });
  const awake = Array.from({ length: rows }, (_, r) => r).filter((r) => r < asleep || r >= asleepTo);
  const a: Simplex = {
    rows, cols, start, row, value, rowCols, rowValues, limits, awake, ownPlace: new Int32Array(rows).fill(-1), inverse: new Array<Float64Array | null>(rows).fill(null), room: awake.length + spare, age: 0,
    basic: new Int32Array(rows).fill(-1), stands: new Float64Array(rows), placeOf: new Int32Array(cols + rows).fill(-1), free: new Uint8Array(rows), banned: new Uint8Array(cols + rows),
  };
  awake.forEach((r, place) => {
    a.ownPlace[r] = place;
    settle(a, cols + r, place);
    a.stands[place] = limits[r]!;
  });
  return a;
}

export function copySimplex(a: Simplex): Simplex {
  return {
    ...a, limits: a.limits.slice(), awake: a.awake.slice(), ownPlace: a.ownPlace.slice(), inverse: a.inverse.map((line) => line && line.slice()),
    basic: a.basic.slice(), stands: a.stands.slice(), placeOf: a.placeOf.slice(), free: a.free.slice(), banned: a.banned.slice(),
  };
}

function settle({ basic, placeOf }: Simplex, col: number, place: number): void {
  basic[place] = col;
  placeOf[col] = place;
}

/** The entry of the inverse for a place and a row: the row's multiplier in the sum that gives what stands there. */
export function multiplier({ cols, inverse, placeOf }: Simplex, place: number, row: number): number {
  const moves = inverse[row];
  return moves ? moves[place]! : placeOf[cols + row] === place ? 1 : 0;
}

/** What one unit of a column that is not basic takes of what stands in each place. */
function columnOf({ cols, start, row, value, inverse, awake, ownPlace, placeOf }: Simplex, col: number, out: Float64Array): void {
  const places = awake.length;
  if (col >= cols) {
    out.set(inverse[col - cols]!.subarray(0, places));
    return;
  }
  out.fill(0, 0, places);
  for (let k = start[col]!; k < start[col + 1]!; k++) {
    const r = row[k]!;
    if (ownPlace[r]! < 0) continue;
    const v = value[k]!;
    const moves = inverse[r];
    if (moves) for (let p = 0; p < places; p++) out[p]! += v * moves[p]!;
    else out[placeOf[cols + r]!]! += v;
  }
}

/** For every column the entry that it has in this place. */
function rowTimes(a: Simplex, place: number, out: Float64Array): void {
  const { cols, rowCols, rowValues, awake } = a;
  out.fill(0);
  for (const r of awake) {
    const v = multiplier(a, place, r);
    if (v === 0) continue;
    out[cols + r] = v;
    const at = rowCols[r]!;
    const values = rowValues[r]!;
    for (let k = 0; k < at.length; k++) out[at[k]!]! += v * values[k]!;
  }
}

/** Column `col`, whose entries are `column`, becomes basic in `place`. */
function exchange(a: Simplex, place: number, col: number, column: Float64Array): void {
  const { cols, inverse, awake, stands, basic, placeOf, room } = a;
  const by = 1 / column[place]!;
  const others = new Int32Array(awake.length);
  let count = 0;
  for (let p = 0; p < awake.length; p++) if (p !== place && Math.abs(column[p]!) >= 1e-12) others[count++] = p;
  const leaving = basic[place]!;
  if (leaving >= cols) {
    const moves = new Float64Array(room);
    moves[place] = 1;
    inverse[leaving - cols] = moves;
  }
  for (const r of awake) {
    const moves = inverse[r];
    if (!moves || moves[place] === 0) continue;
    const v = moves[place]! * by;
    moves[place] = Math.abs(v) < 1e-12 ? 0 : v;
    if (moves[place] !== 0) for (let n = 0; n < count; n++) moves[others[n]!]! -= column[others[n]!]! * v;
  }
  stands[place]! *= by;
  for (let n = 0; n < count; n++) stands[others[n]!]! -= column[others[n]!]! * stands[place]!;
  placeOf[leaving] = -1;
  settle(a, col, place);
  if (col >= cols) inverse[col - cols] = null;
}

/** Column `col` becomes basic in the row's own place. */
export function pivot(a: Simplex, row: number, col: number): void {
  const column = new Float64Array(a.rows);
  columnOf(a, col, column);
  exchange(a, a.ownPlace[row]!, col, column);
}

/** Columns that may be taken: not banned, and no slack of a row that sleeps. */
function openColumns({ cols, awake, banned }: Simplex): Int32Array {
  const open = new Int32Array(cols + awake.length);
  let count = 0;
  for (let j = 0; j < cols; j++) if (!banned[j]) open[count++] = j;
  for (const r of awake) if (!banned[cols + r]) open[count++] = cols + r;
  return open.subarray(0, count);
}

/** Lowers the sum that the free row `objective` carries until no column can lower it. Wants a basis without negative values. False when it did not end. */
export function primal(a: Simplex, objective: number, most: number): boolean {
  const { rows, free, placeOf, stands, awake } = a;
  const open = openColumns(a);
  const cost = new Float64Array(a.cols + rows);
  const line = new Float64Array(a.cols + rows);
  const column = new Float64Array(rows);
  rowTimes(a, a.ownPlace[objective]!, cost);
  for (let step = 0; step < most; step++) {
    // The steepest column first; after many steps the first one, so that no cycle can hold it.
    let col = -1;
    let low = -1e-7;
    for (let n = 0; n < open.length; n++) {
      const j = open[n]!;
      if (cost[j]! >= low || placeOf[j]! >= 0) continue;
      col = j;
      if (step > most / 2) break;
      low = cost[j]!;
    }
    if (col < 0) return true;
    columnOf(a, col, column);
    let place = -1;
    let ratio = Infinity;
    for (let p = 0; p < awake.length; p++) {
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
    lower(cost, line, open, cost[col]! / line[col]!);
    exchange(a, place, col, column);
    if (++a.age > freshAfter) {
      refresh(a);
      rowTimes(a, a.ownPlace[objective]!, cost);
    }
  }
  return false;
}

/** `place`: what stands there proves it, by its own multipliers (`sign` -1: turned round). */
export type Dual = { kind: 'done' } | { kind: 'impossible'; place: number; sign: 1 | -1 } | { kind: 'gave up' };

/** Brings back a basis without negative values and with banned columns at nought, while the objective's row (-1: none) stays free of negative entries. */
export function dual(a: Simplex, objective: number, most: number): Dual {
  const { rows, free, banned, placeOf, basic, stands, awake } = a;
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
    for (let p = 0; p < awake.length; p++) {
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
    lower(cost, line, open, cost[col]! / line[col]!);
    const mine = weight[place]! / (column[place]! * column[place]!);
    for (let p = 0; p < awake.length; p++) if (column[p] !== 0) weight[p] = Math.max(weight[p]!, column[p]! * column[p]! * mine);
    weight[place] = Math.max(1, mine);
    exchange(a, place, col, column);
    if (++a.age > freshAfter) {
      refresh(a);
      reset();
    }
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

function lower(cost: Float64Array, line: Float64Array, open: Int32Array, by: number): void {
  if (by === 0) return;
  for (let n = 0; n < open.length; n++) cost[open[n]!]! -= by * line[open[n]!]!;
}

/** Works the inverse out afresh from the same basic columns, taking the largest entries first. Columns may change places; slacks go back to their own. */
function refresh(a: Simplex): void {
  const { rows, cols, awake, inverse, basic, placeOf, stands, limits } = a;
  const entering = awake.map((_, p) => basic[p]!).filter((col) => col < cols);
  const open = new Set<number>();
  awake.forEach((r, p) => placeOf[cols + r]! < 0 && open.add(p));
  for (const col of entering) placeOf[col] = -1;
  awake.forEach((r, p) => {
    inverse[r] = null;
    stands[p] = limits[r]!;
    settle(a, cols + r, p);
  });
  const column = new Float64Array(rows);
  for (const j of entering) {
    columnOf(a, j, column);
    let place = -1;
    for (const p of open) if (place < 0 || Math.abs(column[p]!) > Math.abs(column[place]!)) place = p;
    open.delete(place);
    exchange(a, place, j, column);
  }
  a.age = 0;
}

/** Moves the limit of row r by so much. */
export function moveLimit({ cols, limits, stands, inverse, awake, ownPlace, placeOf }: Simplex, r: number, by: number): void {
  limits[r]! += by;
  const moves = inverse[r];
  if (moves) for (let p = 0; p < awake.length; p++) stands[p]! += by * moves[p]!;
  else if (ownPlace[r]! >= 0) stands[placeOf[cols + r]!]! += by;
}

/** What a row that sleeps is to hold. */
export interface Filling {
  row: number;
  limit: number;
  columns: number[];
  values: number[];
}

/** Gives rows that sleep their entries, and wakes them. Copies made before do not see them. */
export function fillRows(a: Simplex, filling: Filling[]): void {
  const more = new Int32Array(a.cols + 1);
  for (const { columns } of filling) for (const j of columns) more[j + 1]!++;
  for (let j = 0; j < a.cols; j++) more[j + 1]! += more[j]!;
  const start = a.start.map((at, j) => at + more[j]!);
  const row = new Int32Array(a.row.length + more[a.cols]!);
  const value = new Float64Array(row.length);
  const next = start.slice();
  for (let j = 0; j < a.cols; j++) {
    for (let k = a.start[j]!; k < a.start[j + 1]!; k++) {
      row[next[j]!] = a.row[k]!;
      value[next[j]!++] = a.value[k]!;
    }
  }
  const rowCols = a.rowCols.slice();
  const rowValues = a.rowValues.slice();
  for (const { row: r, limit, columns, values } of filling) {
    columns.forEach((j, k) => {
      row[next[j]!] = r;
      value[next[j]!++] = values[k]!;
    });
    rowCols[r] = Int32Array.from(columns);
    rowValues[r] = Float64Array.from(values);
    a.limits[r] = limit;
  }
  Object.assign(a, { start, row, value, rowCols, rowValues });
  for (const { row: r } of filling) wake(a, r);
}

/** Brings in a row that sleeps. */
export function wake(a: Simplex, r: number): void {
  const { cols, limits, inverse, awake, stands, placeOf, rowCols, rowValues } = a;
  const place = awake.length;
  if (place === a.room) {
    a.room += spare;
    inverse.forEach((moves, j) => {
      if (!moves) return;
      inverse[j] = new Float64Array(a.room);
      inverse[j].set(moves);
    });
  }
  // What the row takes of the columns that are basic.
  const entries: { place: number; entry: number }[] = [];
  rowCols[r]!.forEach((j, k) => placeOf[j]! >= 0 && entries.push({ place: placeOf[j]!, entry: rowValues[r]![k]! }));
  stands[place] = entries.reduce((left, e) => left - e.entry * stands[e.place]!, limits[r]!);
  for (const j of awake) {
    const moves = inverse[j];
    if (moves) moves[place] = entries.reduce((sum, e) => sum - e.entry * moves[e.place]!, 0);
  }
  awake.push(r);
  a.ownPlace[r] = place;
  settle(a, cols + r, place);
}

export function valueOf({ stands, placeOf }: Simplex, col: number): number {
  return placeOf[col]! < 0 ? 0 : stands[placeOf[col]!]!;
}
