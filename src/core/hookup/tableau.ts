/**
 * A dense simplex tableau (G. B. Dantzig, Linear Programming and Extensions, 1963) over columns of nought or more. Row i reads
 * basic variable + sum of `t` x nonbasic = last entry. A free row has no limit: it only carries a sum, which may be an objective.
 */
export interface Tableau {
  rows: number;
  cols: number;
  /** Row by row, `cols + 1` numbers each; the last is the value of the row's basic variable. */
  t: Float64Array;
  basic: Int32Array;
  /** For each column the row in which it is basic, or -1. */
  rowOf: Int32Array;
  free: Uint8Array;
  /** Columns held at nought. */
  banned: Uint8Array;
}

const tiny = 1e-9;

export function emptyTableau(rows: number, structural: number): Tableau {
  const cols = structural + rows;
  const made: Tableau = {
    rows, cols, t: new Float64Array(rows * (cols + 1)), basic: new Int32Array(rows), rowOf: new Int32Array(cols).fill(-1), free: new Uint8Array(rows), banned: new Uint8Array(cols),
  };
  for (let r = 0; r < rows; r++) {
    made.t[r * (cols + 1) + structural + r] = 1;
    made.basic[r] = structural + r;
    made.rowOf[structural + r] = r;
  }
  return made;
}

export function copyTableau(a: Tableau): Tableau {
  return { ...a, t: a.t.slice(), basic: a.basic.slice(), rowOf: a.rowOf.slice(), free: a.free.slice(), banned: a.banned.slice() };
}

export function pivot({ t, rows, cols, basic, rowOf }: Tableau, row: number, col: number): void {
  const width = cols + 1;
  const start = row * width;
  const by = 1 / t[start + col]!;
  const touched: number[] = [];
  for (let j = 0; j < width; j++) {
    const v = t[start + j]! * by;
    t[start + j] = Math.abs(v) < 1e-12 ? 0 : v;
    if (t[start + j] !== 0) touched.push(j);
  }
  for (let i = 0; i < rows; i++) {
    if (i === row) continue;
    const base = i * width;
    const factor = t[base + col]!;
    if (factor === 0) continue;
    for (const j of touched) t[base + j]! -= factor * t[start + j]!;
    t[base + col] = 0;
  }
  rowOf[basic[row]!] = -1;
  basic[row] = col;
  rowOf[col] = row;
}

/** Lowers the sum that the free row `objective` carries until no column can lower it. Wants a basis without negative values. False when it did not end. */
export function primal(a: Tableau, objective: number, most: number): boolean {
  const { t, rows, cols, free, banned, rowOf } = a;
  const width = cols + 1;
  for (let step = 0; step < most; step++) {
    // The steepest column first; after many steps the first one, so that no cycle can hold it.
    let col = -1;
    let low = -1e-7;
    for (let j = 0; j < cols; j++) {
      if (banned[j] || rowOf[j]! >= 0) continue;
      const d = t[objective * width + j]!;
      if (d < low) {
        col = j;
        if (step > most / 2) break;
        low = d;
      }
    }
    if (col < 0) return true;
    let row = -1;
    let ratio = Infinity;
    for (let i = 0; i < rows; i++) {
      const v = t[i * width + col]!;
      if (free[i] || v <= tiny) continue;
      const r = Math.max(0, t[i * width + cols]!) / v;
      if (r < ratio - 1e-12 || (r <= ratio + 1e-12 && row >= 0 && v > t[row * width + col]!)) {
        ratio = r;
        row = i;
      }
    }
    if (row < 0) return false;
    pivot(a, row, col);
  }
  return false;
}

/** `row`: the row that proves it, by its own multipliers (`sign` -1: turned round). */
export type Dual = { kind: 'done' } | { kind: 'impossible'; row: number; sign: 1 | -1 } | { kind: 'gave up' };

/** Brings back a basis without negative values and with banned columns at nought, while the objective's row stays free of negative entries. */
export function dual(a: Tableau, objective: number, most: number): Dual {
  const { t, rows, cols, free, banned, rowOf, basic } = a;
  const width = cols + 1;
  for (let step = 0; step < most; step++) {
    let row = -1;
    let worst = 1e-7;
    let sign: 1 | -1 = 1;
    for (let i = 0; i < rows; i++) {
      if (free[i]) continue;
      const v = t[i * width + cols]!;
      const by = v < 0 ? -v : banned[basic[i]!] ? v : 0;
      if (by > worst) {
        worst = by;
        row = i;
        sign = v < 0 ? 1 : -1;
      }
    }
    if (row < 0) return { kind: 'done' };
    let col = -1;
    let ratio = Infinity;
    for (let j = 0; j < cols; j++) {
      if (banned[j] || rowOf[j]! >= 0) continue;
      const v = -sign * t[row * width + j]!;
      if (v <= tiny) continue;
      const r = Math.max(0, objective < 0 ? 0 : t[objective * width + j]!) / v;
      if (r < ratio - 1e-12 || (r <= ratio + 1e-12 && v > -sign * t[row * width + col]!)) {
        ratio = r;
        col = j;
      }
    }
    if (col < 0) return { kind: 'impossible', row, sign };
    pivot(a, row, col);
  }
  return { kind: 'gave up' };
}

/** Moves the limit of the row whose slack is column `slack` by so much. */
export function moveLimit({ t, rows, cols }: Tableau, slack: number, by: number): void {
  if (by === 0) return;
  const width = cols + 1;
  for (let i = 0; i < rows; i++) t[i * width + cols]! += by * t[i * width + slack]!;
}

export function valueOf({ t, cols, rowOf }: Tableau, col: number): number {
  const row = rowOf[col]!;
  return row < 0 ? 0 : t[row * (cols + 1) + cols]!;
}
