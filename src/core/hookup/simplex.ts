/**
 * What the simplex method works on (G. B. Dantzig, Linear Programming and Extensions, 1963, chapter 9; the methods are in `primal.ts` and `dual.ts`, and `renew.ts` watches rounding): columns of nought or more.
 * Row i reads: slack + sum of entries x columns = limit. A free row has no limit: it only carries a sum, which may be an objective.
 * Column `cols + r` is the slack of row r. Columns are sparse and shared by copies.
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
  /** So many rows are awake: those of the first so many places. */
  places: number;
  /** The row of each place. */
  awake: Int32Array;
  /** The place of each row's own, -1 while it sleeps. */
  ownPlace: Int32Array;
  /**
   * The part of the basis's inverse that is worked out: `size` lines of `width` numbers each, of which `size` count. There is a line for each place whose basic
   * column is no slack, and in it a number for each row whose slack is not basic: how far a unit of the row's limit moves what stands in the place. All
   * else follows from these and from the columns. Most slacks are basic, which keeps this small.
   */
  inverse: Float64Array;
  width: number;
  size: number;
  /** The place of each line, and for each place its line or -1. */
  linePlace: Int32Array;
  lineOf: Int32Array;
  /** The row of each number in a line, and for each row where its number is or -1. */
  numberRow: Int32Array;
  numberOf: Int32Array;
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
  /** Where a line at hand is worked out, and which of its numbers count: shared by copies, and good only until the next call. */
  line: Float64Array;
  counts: Int32Array;
}

/** A column's rows and its entries in them. */
export interface Column {
  rows: number[];
  values: number[];
}

/** What is below this is left over from rounding, and is nought. */
const dust = 1e-11;
/** Lines kept free, and as many again when they are used up. */
const spare = 32;

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
  const a = simplexWith({
    rows, cols, start, row, value, rowCols, rowValues, limits, places: 0, awake: new Int32Array(rows), ownPlace: new Int32Array(rows).fill(-1),
    inverse: new Float64Array(spare * spare), width: spare, size: 0, linePlace: new Int32Array(rows), lineOf: new Int32Array(rows).fill(-1), numberRow: new Int32Array(rows), numberOf: new Int32Array(rows).fill(-1), age: 0,
    basic: new Int32Array(rows).fill(-1), stands: new Float64Array(rows), placeOf: new Int32Array(cols + rows).fill(-1), free: new Uint8Array(rows), banned: new Uint8Array(cols + rows),
    line: new Float64Array(rows + 1), counts: new Int32Array(rows + 1),
  });
  for (let r = 0; r < rows; r++) if (r < asleep || r >= asleepTo) wake(a, r);
  return a;
}

export function copySimplex(a: Simplex): Simplex {
  const copy = simplexWith(a);
  copy.limits = a.limits.slice();
  copy.awake = a.awake.slice();
  copy.ownPlace = a.ownPlace.slice();
  copy.inverse = a.inverse.slice();
  copy.linePlace = a.linePlace.slice();
  copy.lineOf = a.lineOf.slice();
  copy.numberRow = a.numberRow.slice();
  copy.numberOf = a.numberOf.slice();
  copy.basic = a.basic.slice();
  copy.stands = a.stands.slice();
  copy.placeOf = a.placeOf.slice();
  copy.free = a.free.slice();
  copy.banned = a.banned.slice();
  return copy;
}

/** Every simplex is made here, field by field: code runs several times as fast while all its objects are made alike. */
function simplexWith(a: Simplex): Simplex {
  return {
    rows: a.rows, cols: a.cols, start: a.start, row: a.row, value: a.value, rowCols: a.rowCols, rowValues: a.rowValues, limits: a.limits, places: a.places, awake: a.awake, ownPlace: a.ownPlace,
    inverse: a.inverse, width: a.width, size: a.size, linePlace: a.linePlace, lineOf: a.lineOf, numberRow: a.numberRow, numberOf: a.numberOf, age: a.age,
    basic: a.basic, stands: a.stands, placeOf: a.placeOf, free: a.free, banned: a.banned, line: a.line, counts: a.counts,
  };
}

export function settle({ basic, placeOf }: Simplex, col: number, place: number): void {
  basic[place] = col;
  placeOf[col] = place;
}

/** The numbers of a place's line, also where it is not kept: the first `size` of `line`. A slack that is basic has 1 for its own row besides. */
function lineAt({ cols, rowCols, rowValues, inverse, width, size, lineOf, basic, placeOf, line }: Simplex, place: number): void {
  if (lineOf[place]! >= 0) {
    const from = lineOf[place]! * width;
    for (let n = 0; n < size; n++) line[n] = inverse[from + n]!;
    return;
  }
  for (let n = 0; n < size; n++) line[n] = 0;
  const at = rowCols[basic[place]! - cols]!;
  const values = rowValues[basic[place]! - cols]!;
  for (let k = 0; k < at.length; k++) {
    const p = placeOf[at[k]!]!;
    if (p < 0) continue;
    const v = values[k]!;
    const from = lineOf[p]! * width;
    for (let n = 0; n < size; n++) line[n]! -= v * inverse[from + n]!;
  }
}

/** Each row's multiplier in the sum that gives what stands in a place. */
export function multipliers(a: Simplex, place: number): Float64Array {
  const { rows, cols, size, numberRow, basic, line } = a;
  lineAt(a, place);
  const out = new Float64Array(rows);
  for (let n = 0; n < size; n++) out[numberRow[n]!] = line[n]!;
  if (basic[place]! >= cols) out[basic[place]! - cols] = 1;
  return out;
}

/** For every column the entry that it has in this place. */
export function rowTimes(a: Simplex, place: number, out: Float64Array): void {
  const { cols, size, numberRow, basic, line } = a;
  lineAt(a, place);
  out.fill(0);
  if (basic[place]! >= cols) addRow(a, basic[place]! - cols, 1, out);
  for (let n = 0; n < size; n++) if (Math.abs(line[n]!) >= dust) addRow(a, numberRow[n]!, line[n]!, out);
}

function addRow({ cols, rowCols, rowValues }: Simplex, r: number, times: number, out: Float64Array): void {
  out[cols + r] = times;
  const at = rowCols[r]!;
  const values = rowValues[r]!;
  for (let k = 0; k < at.length; k++) out[at[k]!]! += times * values[k]!;
}

/** What one unit of a column that is not basic takes of what stands in each place. */
export function columnOf({ cols, start, row, value, places, inverse, width, size, linePlace, numberOf, basic, placeOf }: Simplex, col: number, out: Float64Array): void {
  out.fill(0, 0, places);
  if (col >= cols) {
    const n = numberOf[col - cols]!;
    for (let l = 0; l < size; l++) out[linePlace[l]!] = inverse[l * width + n]!;
  } else {
    for (let k = start[col]!; k < start[col + 1]!; k++) {
      const r = row[k]!;
      const v = value[k]!;
      const n = numberOf[r]!;
      if (n >= 0) for (let l = 0; l < size; l++) out[linePlace[l]!]! += v * inverse[l * width + n]!;
      else if (placeOf[cols + r]! >= 0) out[placeOf[cols + r]!]! += v;
    }
  }
  // What the columns that move with it take of the rows whose slack is basic.
  for (let l = 0; l < size; l++) {
    const p = linePlace[l]!;
    const moved = out[p]!;
    if (Math.abs(moved) < dust) continue;
    for (let k = start[basic[p]!]!; k < start[basic[p]! + 1]!; k++) {
      const slack = placeOf[cols + row[k]!]!;
      if (slack >= 0) out[slack]! -= moved * value[k]!;
    }
  }
}

/** Column `col`, whose entries are `column`, becomes basic in `place`. */
export function exchange(a: Simplex, place: number, col: number, column: Float64Array): void {
  const { cols, places, stands, basic, placeOf, linePlace, lineOf, numberRow, numberOf, line, counts } = a;
  const leaving = basic[place]!;
  const by = 1 / column[place]!;
  // What the place's line becomes.
  lineAt(a, place);
  let numbers = a.size;
  if (leaving >= cols) {
    if (numbers === a.width) widen(a);
    for (let l = 0; l < a.size; l++) a.inverse[l * a.width + numbers] = 0;
    numberRow[numbers] = leaving - cols;
    numberOf[leaving - cols] = numbers;
    line[numbers++] = 1;
  }
  const { inverse, width } = a;
  let count = 0;
  for (let n = 0; n < numbers; n++) {
    line[n]! *= by;
    if (Math.abs(line[n]!) < dust) line[n] = 0;
    else counts[count++] = n;
  }
  for (let l = 0; l < a.size; l++) {
    const moved = column[linePlace[l]!]!;
    if (linePlace[l] === place || Math.abs(moved) < dust) continue;
    const from = l * width;
    for (let k = 0; k < count; k++) inverse[from + counts[k]!]! -= moved * line[counts[k]!]!;
  }
  stands[place]! *= by;
  for (let p = 0; p < places; p++) if (p !== place) stands[p]! -= column[p]! * stands[place]!;
  if (col < cols) {
    let l = lineOf[place]!;
    if (l < 0) {
      l = a.size++;
      linePlace[l] = place;
      lineOf[place] = l;
    }
    inverse.set(line.subarray(0, numbers), l * width);
  } else {
    if (leaving < cols) dropLine(a, place);
    dropNumber(a, col - cols, numbers - 1);
  }
  placeOf[leaving] = -1;
  settle(a, col, place);
  a.age++;
}

function widen(a: Simplex): void {
  const width = a.width + spare;
  const inverse = new Float64Array(width * width);
  for (let l = 0; l < a.size; l++) inverse.set(a.inverse.subarray(l * a.width, l * a.width + a.size), l * width);
  a.inverse = inverse;
  a.width = width;
}

/** The last line takes its room. */
function dropLine(a: Simplex, place: number): void {
  const { inverse, width, linePlace, lineOf } = a;
  const l = lineOf[place]!;
  const last = --a.size;
  inverse.copyWithin(l * width, last * width, (last + 1) * width);
  linePlace[l] = linePlace[last]!;
  lineOf[linePlace[l]!] = l;
  lineOf[place] = -1;
}

/** The last number of each line takes its room. */
function dropNumber({ inverse, width, size, numberRow, numberOf }: Simplex, row: number, last: number): void {
  const n = numberOf[row]!;
  for (let l = 0; l < size; l++) inverse[l * width + n] = inverse[l * width + last]!;
  numberRow[n] = numberRow[last]!;
  numberOf[numberRow[n]!] = n;
  numberOf[row] = -1;
}

/** Column `col` becomes basic in the row's own place. */
export function pivot(a: Simplex, row: number, col: number): void {
  const column = new Float64Array(a.rows);
  columnOf(a, col, column);
  exchange(a, a.ownPlace[row]!, col, column);
}

/** Columns that may be taken: not banned, and no slack of a row that sleeps. */
export function openColumns({ cols, places, awake, banned }: Simplex): Int32Array {
  const open = new Int32Array(cols + places);
  let count = 0;
  for (let j = 0; j < cols; j++) if (!banned[j]) open[count++] = j;
  for (let p = 0; p < places; p++) if (!banned[cols + awake[p]!]) open[count++] = cols + awake[p]!;
  return open.subarray(0, count);
}

/** Entries below this are never divided by. */
export const tiny = 1e-7;

/** Takes so many times a place's line from the costs of the open columns. */
export function lower(cost: Float64Array, line: Float64Array, open: Int32Array, by: number): void {
  if (by === 0) return;
  for (let n = 0; n < open.length; n++) cost[open[n]!]! -= by * line[open[n]!]!;
}

/** Moves the limit of row r by so much. */
export function moveLimit(a: Simplex, r: number, by: number): void {
  const { rows, cols, limits, stands, places, numberOf, placeOf } = a;
  limits[r]! += by;
  if (numberOf[r]! >= 0) {
    const column = new Float64Array(rows);
    columnOf(a, cols + r, column);
    for (let p = 0; p < places; p++) stands[p]! += by * column[p]!;
  } else if (placeOf[cols + r]! >= 0) stands[placeOf[cols + r]!]! += by;
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
  a.start = start;
  a.row = row;
  a.value = value;
  a.rowCols = rowCols;
  a.rowValues = rowValues;
  for (const { row: r } of filling) wake(a, r);
}

/** Brings in a row that sleeps. */
export function wake(a: Simplex, r: number): void {
  const { cols, limits, stands, placeOf } = a;
  const place = a.places++;
  const at = a.rowCols[r]!;
  const values = a.rowValues[r]!;
  let left = limits[r]!;
  for (let k = 0; k < at.length; k++) if (placeOf[at[k]!]! >= 0) left -= values[k]! * stands[placeOf[at[k]!]!]!;
  stands[place] = left;
  a.awake[place] = r;
  a.ownPlace[r] = place;
  settle(a, cols + r, place);
}

export function valueOf({ stands, placeOf }: Simplex, col: number): number {
  return placeOf[col]! < 0 ? 0 : stands[placeOf[col]!]!;
}
