/**
 * The simplex method with an explicit inverse (G. B. Dantzig, Linear Programming and Extensions, 1963, chapter 9) over columns of nought or more.
 * Row i reads: slack + sum of entries x columns = limit. A free row has no limit: it only carries a sum, which may be an objective.
 * Column `cols + r` is the slack of row r. Columns are sparse and shared by copies; only the inverse is kept per copy.
 * A row may sleep: it is as if it were not there, until `wake` brings it in.
 */
export interface Simplex {
  rows: number;
  cols: number;
  /** Entries of column j are `start[j]` to `start[j + 1] - 1`. */
  start: Int32Array;
  row: Int32Array;
  value: Float64Array;
  limits: Float64Array;
  /** Of the basis, row by row; null for a row that sleeps. */
  inverse: (Float64Array | null)[];
  awake: number[];
  /** Exchanges since the inverse was last worked out afresh. */
  age: number;
  /** The column that is basic in each row, and what it stands at. */
  basic: Int32Array;
  stands: Float64Array;
  /** For each column the row in which it is basic, or -1. */
  rowOf: Int32Array;
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

/** Starts with every slack basic, and with the rows from `asleep` to `asleepTo` - 1 asleep. */
export function simplexOf(limits: Float64Array, columns: Column[], asleep: number, asleepTo: number): Simplex {
  const rows = limits.length;
  const cols = columns.length;
  const start = new Int32Array(cols + 1);
  columns.forEach((c, j) => (start[j + 1] = start[j]! + c.rows.length));
  const row = new Int32Array(start[cols]!);
  const value = new Float64Array(start[cols]!);
  columns.forEach((c, j) => {
    row.set(c.rows, start[j]);
    value.set(c.values, start[j]);
  });
  const rowOf = new Int32Array(cols + rows).fill(-1);
  const inverse = Array.from({ length: rows }, (_, r) => {
    rowOf[cols + r] = r;
    if (r >= asleep && r < asleepTo) return null;
    const line = new Float64Array(rows);
    line[r] = 1;
    return line;
  });
  return {
    rows, cols, start, row, value,
    limits, inverse, awake: inverse.flatMap((line, r) => (line ? [r] : [])), age: 0, basic: Int32Array.from({ length: rows }, (_, r) => cols + r), stands: limits.slice(), rowOf, free: new Uint8Array(rows), banned: new Uint8Array(cols + rows),
  };
}

export function copySimplex(a: Simplex): Simplex {
  return { ...a, limits: a.limits.slice(), inverse: a.inverse.map((line) => line && line.slice()), awake: a.awake.slice(), basic: a.basic.slice(), stands: a.stands.slice(), rowOf: a.rowOf.slice(), free: a.free.slice(), banned: a.banned.slice() };
}

/** What one unit of a column takes of each basic variable. */
function columnOf({ cols, start, row, value, inverse, awake }: Simplex, col: number, out: Float64Array): void {
  for (const i of awake) {
    const line = inverse[i]!;
    let sum = 0;
    if (col >= cols) sum = line[col - cols]!;
    else for (let k = start[col]!; k < start[col + 1]!; k++) sum += value[k]! * line[row[k]!]!;
    out[i] = sum;
  }
}

/** The entries of row i for the columns of `open`. */
function rowTimes({ cols, start, row, value, inverse }: Simplex, i: number, open: Int32Array, out: Float64Array): void {
  const line = inverse[i]!;
  for (let n = 0; n < open.length; n++) {
    const j = open[n]!;
    if (j >= cols) {
      out[j] = line[j - cols]!;
      continue;
    }
    let sum = 0;
    for (let k = start[j]!, end = start[j + 1]!; k < end; k++) sum += value[k]! * line[row[k]!]!;
    out[j] = sum;
  }
}

/** Column `col`, whose entries are `column`, becomes basic in `row`. */
function exchange({ inverse, awake, stands, basic, rowOf }: Simplex, row: number, col: number, column: Float64Array): void {
  const mine = inverse[row]!;
  const by = 1 / column[row]!;
  const touched: number[] = [];
  for (const j of awake) {
    const v = mine[j]! * by;
    if (v === 0) continue;
    mine[j] = Math.abs(v) < 1e-12 ? 0 : v;
    if (mine[j] !== 0) touched.push(j);
  }
  stands[row]! *= by;
  for (const i of awake) {
    const factor = column[i]!;
    if (i === row || Math.abs(factor) < 1e-12) continue;
    const line = inverse[i]!;
    for (let n = 0; n < touched.length; n++) line[touched[n]!]! -= factor * mine[touched[n]!]!;
    stands[i]! -= factor * stands[row]!;
  }
  rowOf[basic[row]!] = -1;
  basic[row] = col;
  rowOf[col] = row;
}

export function pivot(a: Simplex, row: number, col: number): void {
  const column = new Float64Array(a.rows);
  columnOf(a, col, column);
  exchange(a, row, col, column);
}

/** Columns that may be taken: not banned, and no slack of a row that sleeps. */
function openColumns({ cols, awake, banned }: Simplex): Int32Array {
  const open: number[] = [];
  for (let j = 0; j < cols; j++) if (!banned[j]) open.push(j);
  for (const r of awake) if (!banned[cols + r]) open.push(cols + r);
  return Int32Array.from(open);
}

/** Lowers the sum that the free row `objective` carries until no column can lower it. Wants a basis without negative values. False when it did not end. */
export function primal(a: Simplex, objective: number, most: number): boolean {
  const { rows, free, rowOf, stands, awake } = a;
  const open = openColumns(a);
  const cost = new Float64Array(a.cols + rows);
  const line = new Float64Array(a.cols + rows);
  const column = new Float64Array(rows);
  rowTimes(a, objective, open, cost);
  for (let step = 0; step < most; step++) {
    // The steepest column first; after many steps the first one, so that no cycle can hold it.
    let col = -1;
    let low = -1e-7;
    for (let n = 0; n < open.length; n++) {
      const j = open[n]!;
      if (cost[j]! >= low || rowOf[j]! >= 0) continue;
      col = j;
      if (step > most / 2) break;
      low = cost[j]!;
    }
    if (col < 0) return true;
    columnOf(a, col, column);
    let row = -1;
    let ratio = Infinity;
    for (const i of awake) {
      const v = column[i]!;
      if (free[i] || v <= tiny) continue;
      const r = Math.max(0, stands[i]!) / v;
      if (r < ratio - 1e-12 || (r <= ratio + 1e-12 && row >= 0 && v > column[row]!)) {
        ratio = r;
        row = i;
      }
    }
    if (row < 0) return false;
    turn(a, cost, line, open, row, col, column);
    if (++a.age > freshAfter) {
      refresh(a);
      rowTimes(a, objective, open, cost);
    }
  }
  return false;
}

/** `row`: the row that proves it, by its own multipliers (`sign` -1: turned round). */
export type Dual = { kind: 'done' } | { kind: 'impossible'; row: number; sign: 1 | -1 } | { kind: 'gave up' };

/** Brings back a basis without negative values and with banned columns at nought, while the objective's row (-1: none) stays free of negative entries. */
export function dual(a: Simplex, objective: number, most: number): Dual {
  const { rows, free, banned, rowOf, basic, stands, awake } = a;
  const open = openColumns(a);
  const cost = new Float64Array(a.cols + rows);
  const line = new Float64Array(a.cols + rows);
  const column = new Float64Array(rows);
  // How far a row's value moves with a unit of it, roughly (the dual Devex weights of P. M. J. Harris, Mathematical Programming 5, 1973).
  const weight = new Float64Array(rows).fill(1);
  reset();
  for (let step = 0; step < most; step++) {
    let row = -1;
    let worst = 0;
    let sign: 1 | -1 = 1;
    for (const i of awake) {
      if (free[i]) continue;
      const v = stands[i]!;
      const by = v < 0 ? -v : banned[basic[i]!] ? v : 0;
      if (by > 1e-7 && by * by > worst * weight[i]!) {
        worst = (by * by) / weight[i]!;
        row = i;
        sign = v < 0 ? 1 : -1;
      }
    }
    if (row < 0) return { kind: 'done' };
    rowTimes(a, row, open, line);
    let col = -1;
    let ratio = Infinity;
    for (let n = 0; n < open.length; n++) {
      const j = open[n]!;
      const v = -sign * line[j]!;
      if (v <= tiny || rowOf[j]! >= 0) continue;
      const r = Math.max(0, cost[j]!) / v;
      if (r < ratio - 1e-12 || (r <= ratio + 1e-12 && v > -sign * line[col]!)) {
        ratio = r;
        col = j;
      }
    }
    if (col < 0) return { kind: 'impossible', row, sign };
    columnOf(a, col, column);
    lower(cost, line, open, cost[col]! / line[col]!);
    const mine = weight[row]! / (column[row]! * column[row]!);
    for (const i of awake) if (column[i] !== 0) weight[i] = Math.max(weight[i]!, column[i]! * column[i]! * mine);
    weight[row] = Math.max(1, mine);
    exchange(a, row, col, column);
    if (++a.age > freshAfter) {
      refresh(a);
      reset();
    }
  }
  return { kind: 'gave up' };

  /** Each column costs a little of its own, so that among equals the method does not wander. */
  function reset(): void {
    if (objective >= 0) rowTimes(a, objective, open, cost);
    const little = objective < 0 ? 1 : 1e-6;
    for (let n = 0; n < open.length; n++) if (rowOf[open[n]!]! < 0) cost[open[n]!]! = Math.max(0, cost[open[n]!]!) + little * (1 + ((open[n]! * 0.618034) % 1));
  }
}

/** A step of the primal method: the costs move along, then the basis. */
function turn(a: Simplex, cost: Float64Array, line: Float64Array, open: Int32Array, row: number, col: number, column: Float64Array): void {
  rowTimes(a, row, open, line);
  lower(cost, line, open, cost[col]! / line[col]!);
  exchange(a, row, col, column);
}

function lower(cost: Float64Array, line: Float64Array, open: Int32Array, by: number): void {
  if (by === 0) return;
  for (let n = 0; n < open.length; n++) cost[open[n]!]! -= by * line[open[n]!]!;
}

/** Works the inverse out afresh from the same basic columns, taking the largest entries first. */
function refresh(a: Simplex): void {
  const { rows, cols, awake, inverse, basic, rowOf, stands, limits } = a;
  // A slack that is basic in its own row stays there.
  const moved = awake.filter((i) => basic[i] !== cols + i);
  const entering = moved.map((i) => basic[i]!);
  const free = new Set(moved);
  for (const i of awake) {
    inverse[i]!.fill(0);
    inverse[i]![i] = 1;
    stands[i] = limits[i]!;
    rowOf[basic[i]!] = -1;
    basic[i] = cols + i;
  }
  for (const i of awake) rowOf[cols + i] = i;
  const column = new Float64Array(rows);
  for (const j of entering) {
    columnOf(a, j, column);
    let row = -1;
    for (const i of free) if (row < 0 || Math.abs(column[i]!) > Math.abs(column[row]!)) row = i;
    free.delete(row);
    exchange(a, row, j, column);
  }
  a.age = 0;
}

/** Moves the limit of row r by so much. */
export function moveLimit({ limits, stands, inverse, awake }: Simplex, r: number, by: number): void {
  limits[r]! += by;
  for (const i of awake) stands[i]! += by * inverse[i]![r]!;
}

/** Gives a row that sleeps an entry of one in each of these columns. Copies made before do not see it. */
export function fillRow(a: Simplex, r: number, limit: number, columns: number[]): void {
  const filled = new Uint8Array(a.cols);
  for (const j of columns) filled[j] = 1;
  const start = new Int32Array(a.cols + 1);
  const row = new Int32Array(a.row.length + columns.length);
  const value = new Float64Array(row.length);
  for (let j = 0, to = 0; j < a.cols; j++) {
    for (let k = a.start[j]!; k < a.start[j + 1]!; k++, to++) {
      row[to] = a.row[k]!;
      value[to] = a.value[k]!;
    }
    if (filled[j]) {
      row[to] = r;
      value[to++] = 1;
    }
    start[j + 1] = to;
  }
  a.limits[r] = limit;
  Object.assign(a, { start, row, value });
  wake(a, r, (col) => filled[col]!);
}

/** Brings in a row that sleeps; `entryAt`: what the row takes of a column. */
export function wake({ rows, cols, limits, inverse, awake, basic, stands }: Simplex, r: number, entryAt: (col: number) => number): void {
  const line = new Float64Array(rows);
  line[r] = 1;
  stands[r] = limits[r]!;
  for (const i of awake) {
    const entry = basic[i]! < cols ? entryAt(basic[i]!) : 0;
    if (entry === 0) continue;
    const other = inverse[i]!;
    for (const j of awake) line[j]! -= entry * other[j]!;
    stands[r]! -= entry * stands[i]!;
  }
  inverse[r] = line;
  awake.push(r);
}

export function valueOf({ stands, rowOf }: Simplex, col: number): number {
  return rowOf[col]! < 0 ? 0 : stands[rowOf[col]!]!;
}
