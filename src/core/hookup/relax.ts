import type { Model } from './model';
import { copyTableau, dual, emptyTableau, moveLimit, pivot, primal, type Tableau } from './tableau';

/**
 * The linear relaxation of a model: options may be taken in parts. Rows of the tableau: one for each part (its options sum to one), then the model's rows
 * that can run short and all levels, then one for each pair of a part and a tag value (its options only as far as the tag stands so), then one for each tag.
 */
export interface Relaxation {
  model: Model;
  tableau: Tableau;
  /** For each option its column, or -1 where it has been left out of the tableau. */
  colOf: Int32Array;
  /** For each row of the model its row in the tableau, or -1 where it can never run short. */
  rowAt: Int32Array;
  /** For each tag and value its column, or -1. */
  valueAt: number[][];
  /** For each pair its row in the tableau, or -1. */
  pairAt: Int32Array;
  /** For each row of the tableau the column of its slack. */
  slackAt: Int32Array;
  /** The caps that the tableau stands for; Infinity for levels not yet decided. */
  caps: Float64Array;
  /** Options that still count. */
  alive: Uint8Array;
  /** For each tag -1 while open, else its fixed value. */
  tags: Int16Array;
}

/** Starts with every part left out. `leftOut` names that option of each part. */
export function relaxationOf(model: Model, caps: Float64Array, leftOut: Int32Array): Relaxation {
  const parts = model.first.length - 1;
  const rowAt = new Int32Array(model.rows).fill(-1);
  const most = mostUses(model);
  let rows = parts;
  for (let r = 0; r < model.rows; r++) if (r >= model.sums ? most[r]! > 0 : most[r]! > caps[r]!) rowAt[r] = rows++;
  const pairRow = rows;
  rows += model.pairs.length;
  const tagRow = rows;
  const options = model.options.length;
  let cols = options;
  let tagRows = 0;
  const valueAt = model.once.map((values, t) => {
    if (model.firstPair[t] === model.firstPair[t + 1]) return values.map(() => -1);
    tagRows++;
    return values.map(() => cols++);
  });
  const tableau = emptyTableau(tagRow + tagRows, cols);
  const width = tableau.cols + 1;
  const put = (row: number, col: number, v: number) => (tableau.t[row * width + col]! += v);
  for (let o = 0; o < options; o++) {
    put(model.partOf[o]!, o, 1);
    for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (rowAt[model.row[i]!]! >= 0) put(rowAt[model.row[i]!]!, o, model.amount[i]!);
    for (let i = model.pairAt[o]!; i < model.pairAt[o + 1]!; i++) put(pairRow + model.pairOf[i]!, o, 1);
  }
  model.pairs.forEach(({ tag, value }, q) => put(pairRow + q, valueAt[tag]![value]!, -1));
  let row = tagRow;
  valueAt.forEach((values, t) => {
    if (values.every((c) => c < 0)) return;
    values.forEach((col, v) => {
      put(row, col, 1);
      model.once[t]![v]?.forEach((c, l) => c > 0 && put(rowAt[model.sums + l]!, col, c));
    });
    tableau.t[row * width + tableau.cols] = 1;
    row++;
  });
  for (let p = 0; p < parts; p++) {
    tableau.t[p * width + tableau.cols] = 1;
    // A part takes no more and no less than one option.
    tableau.banned[cols + p] = 1;
  }
  for (let r = 0; r < model.rows; r++) {
    if (rowAt[r]! < 0) continue;
    if (r < model.sums) tableau.t[rowAt[r]! * width + tableau.cols] = caps[r]!;
    else tableau.free[rowAt[r]!] = 1;
  }
  for (let p = 0; p < parts; p++) pivot(tableau, p, leftOut[p]!);
  return { model, tableau, colOf: Int32Array.from({ length: options }, (_, o) => o), rowAt, valueAt, pairAt: Int32Array.from(model.pairs, (_, q) => pairRow + q), slackAt: Int32Array.from({ length: tableau.rows }, (_, r) => cols + r), caps: Float64Array.from(caps, (c, r) => (r < model.sums ? c : Infinity)), alive: new Uint8Array(options).fill(1), tags: new Int16Array(model.once.length).fill(-1) };
}

/** The most of every row that all options together could take. */
export function mostUses(model: Model, alive?: Uint8Array): Float64Array {
  const most = new Float64Array(model.rows);
  const top = new Float64Array(model.rows);
  for (let p = 0; p < model.first.length - 1; p++) {
    top.fill(0);
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
      if (alive && !alive[o]) continue;
      for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (model.amount[i]! > top[model.row[i]!]!) top[model.row[i]!] = model.amount[i]!;
    }
    for (let r = 0; r < model.rows; r++) most[r]! += top[r]!;
  }
  for (const values of model.once) for (const price of values) price?.forEach((c, l) => (most[model.sums + l]! += c));
  return most;
}

/** A copy without the columns of dropped options and without the rows that can no longer run short. */
export function compacted(a: Relaxation): Relaxation {
  const { model, tableau } = a;
  let useless = 0;
  for (let c = 0; c < tableau.cols; c++) if (tableau.banned[c] && tableau.rowOf[c]! < 0) useless++;
  if (useless < 0.2 * tableau.cols) return copyRelaxation(a);
  const most = mostUses(model, a.alive);
  const asked = new Uint8Array(model.pairs.length);
  for (let o = 0; o < a.alive.length; o++) if (a.alive[o]) for (let i = model.pairAt[o]!; i < model.pairAt[o + 1]!; i++) asked[model.pairOf[i]!] = 1;
  const dead = new Uint8Array(tableau.rows);
  const kill = (at: Int32Array, i: number) => {
    // Only a row whose slack is basic can go without touching the others.
    const row = at[i]!;
    if (row < 0 || tableau.basic[row] !== a.slackAt[row]) return;
    dead[row] = 1;
    at[i] = -1;
  };
  const rowAt = a.rowAt.slice();
  const pairAt = a.pairAt.slice();
  for (let r = 0; r < model.sums; r++) if (most[r]! <= a.caps[r]!) kill(rowAt, r);
  model.pairs.forEach((_, q) => !asked[q] && kill(pairAt, q));
  const keptRows: number[] = [];
  const newRow = new Int32Array(tableau.rows).fill(-1);
  const isDeadSlack = new Uint8Array(tableau.cols);
  for (let r = 0; r < tableau.rows; r++) {
    if (dead[r]) isDeadSlack[a.slackAt[r]!] = 1;
    else newRow[r] = keptRows.push(r) - 1;
  }
  // The slack of a decided level is banned, but its price is still read.
  const read = new Uint8Array(tableau.cols);
  for (let r = model.sums; r < model.rows; r++) if (rowAt[r]! >= 0) read[a.slackAt[rowAt[r]!]!] = 1;
  const keptCols: number[] = [];
  const newCol = new Int32Array(tableau.cols).fill(-1);
  for (let c = 0; c < tableau.cols; c++) if (!isDeadSlack[c] && (!tableau.banned[c] || read[c] || tableau.rowOf[c]! >= 0)) newCol[c] = keptCols.push(c) - 1;
  const cols = keptCols.length;
  const t = new Float64Array(keptRows.length * (cols + 1));
  for (let i = 0, to = 0; i < keptRows.length; i++, to++) {
    const from = keptRows[i]! * (tableau.cols + 1);
    for (let j = 0; j < cols; j++) t[to++] = tableau.t[from + keptCols[j]!]!;
    t[to] = tableau.t[from + tableau.cols]!;
  }
  const mapped = (at: Int32Array, to: Int32Array) => at.map((x) => (x < 0 ? -1 : to[x]!));
  return {
    model,
    tableau: {
      rows: keptRows.length, cols, t,
      basic: Int32Array.from(keptRows, (r) => newCol[tableau.basic[r]!]!),
      rowOf: Int32Array.from(keptCols, (c) => (tableau.rowOf[c]! < 0 ? -1 : newRow[tableau.rowOf[c]!]!)),
      free: Uint8Array.from(keptRows, (r) => tableau.free[r]!),
      banned: Uint8Array.from(keptCols, (c) => tableau.banned[c]!),
    },
    colOf: mapped(a.colOf, newCol),
    rowAt: mapped(rowAt, newRow),
    pairAt: mapped(pairAt, newRow),
    // A slack that was banned, as of a part's own row, is gone; nothing asks for it.
    slackAt: Int32Array.from(keptRows, (r) => newCol[a.slackAt[r]!]!),
    valueAt: a.valueAt.map((values) => values.map((c) => (c < 0 ? -1 : newCol[c]!))),
    caps: a.caps.slice(), alive: a.alive.slice(), tags: a.tags.slice(),
  };
}

export function copyRelaxation(a: Relaxation): Relaxation {
  return { ...a, tableau: copyTableau(a.tableau), caps: a.caps.slice(), alive: a.alive.slice(), tags: a.tags.slice() };
}

/** Holds a row to a new cap. A level that had none is held to exactly this: it is the least there is, so no hookup that counts stays below it. */
export function setCap(a: Relaxation, r: number, cap: number): void {
  const row = a.rowAt[r]!;
  const before = a.caps[r]!;
  a.caps[r] = cap;
  if (row < 0) return;
  const slack = a.slackAt[row]!;
  if (Number.isFinite(before)) moveLimit(a.tableau, slack, cap - before);
  else {
    a.tableau.free[row] = 0;
    a.tableau.banned[slack] = 1;
    moveLimit(a.tableau, slack, cap);
  }
}

export function drop(a: Relaxation, option: number): void {
  a.alive[option] = 0;
  if (a.colOf[option]! >= 0) a.tableau.banned[a.colOf[option]!] = 1;
}

/** Fixes a tag: options that ask for another value are dropped. `value` may be the number of values: then none may be asked for. */
export function fixTag(a: Relaxation, tag: number, value: number): void {
  const { model } = a;
  a.tags[tag] = value;
  for (let o = 0; o < model.options.length; o++) if (a.alive[o] && model.options[o]!.tags.some(([t, v]) => t === tag && v !== value)) drop(a, o);
  a.valueAt[tag]!.forEach((col, v) => {
    if (col >= 0 && v !== value) a.tableau.banned[col] = 1;
  });
}


/** What the relaxation says: a bound that no hookup of its options beats, and for each option how far the bound rises when it is taken. */
export interface Bound {
  bound: number;
  rise: Float64Array;
}

const mostPivots = 600;

/**
 * The least of one level (in its own numbers) over the relaxation; with `level` -1 only whether there is any. Infinity where there is none.
 * `afresh`: the objective is new, else the relaxation was optimal for it before options were dropped or caps moved.
 */
export function boundOf(a: Relaxation, level: number, afresh: boolean): Bound {
  const { tableau, model } = a;
  const goal = level < 0 ? -1 : a.rowAt[model.sums + level]!;
  // A level that costs nothing anywhere has no row; then any hookup will do.
  const repaired = dual(tableau, afresh ? -1 : goal, mostPivots);
  if (repaired.kind === 'impossible') {
    const proof = priced(a, -1, (slack) => repaired.sign * tableau.t[repaired.row * (tableau.cols + 1) + slack]!);
    if (proof.bound > 1e-7) return { bound: Infinity, rise: proof.rise };
  }
  if (goal >= 0 && repaired.kind === 'done') primal(tableau, goal, mostPivots);
  return priced(a, level, (slack) => (goal < 0 ? 0 : tableau.t[goal * (tableau.cols + 1) + slack]!));
}

/**
 * For any prices of nought or more on the rows, the sum over parts of the cheapest option at these prices, less what the caps are worth, is a lower
 * bound (Lagrangian relaxation, M. L. Fisher, Management Science 27, 1981). So a bound never rests on the tableau being exact: it only suggests the prices.
 */
function priced(a: Relaxation, level: number, priceAt: (slack: number) => number): Bound {
  const { model, rowAt, caps, alive, tags } = a;
  const parts = model.first.length - 1;
  const goal = level < 0 ? -1 : model.sums + level;
  const price = new Float64Array(model.rows);
  let bound = 0;
  for (let r = 0; r < model.rows; r++) {
    if (r === goal || rowAt[r]! < 0 || !Number.isFinite(caps[r]!)) continue;
    const said = priceAt(a.slackAt[rowAt[r]!]!);
    // A decided level is met exactly, so its price may have either sign.
    price[r] = r < model.sums ? Math.max(0, said) : said;
    bound -= price[r]! * caps[r]!;
  }
  if (goal >= 0) price[goal] = 1;
  const pairPrice = new Float64Array(model.pairs.length);
  for (let q = 0; q < pairPrice.length; q++) if (a.pairAt[q]! >= 0) pairPrice[q] = Math.max(0, priceAt(a.slackAt[a.pairAt[q]!]!));
  const rise = new Float64Array(model.options.length);
  for (let p = 0; p < parts; p++) {
    let low = Infinity;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
      if (!alive[o]) continue;
      let c = 0;
      for (let i = model.at[o]!; i < model.at[o + 1]!; i++) c += price[model.row[i]!]! * model.amount[i]!;
      for (let i = model.pairAt[o]!; i < model.pairAt[o + 1]!; i++) c += pairPrice[model.pairOf[i]!]!;
      rise[o] = c;
      if (c < low) low = c;
    }
    bound += low;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) if (alive[o]) rise[o]! -= low;
  }
  for (let t = 0; t < model.once.length; t++) {
    let low = 0;
    for (let v = 0; v < model.once[t]!.length && model.firstPair[t + 1]! > model.firstPair[t]!; v++) {
      if (tags[t] !== -1 && tags[t] !== v) continue;
      let c = 0;
      model.once[t]![v]?.forEach((n, l) => (c += price[model.sums + l]! * n));
      for (let q = model.firstPair[t]!; q < model.firstPair[t + 1]!; q++) if (model.pairs[q]!.value === v) c -= pairPrice[q]!;
      low = Math.min(low, c);
    }
    bound += low;
  }
  return { bound, rise };
}

/** How much of each option the relaxed hookup takes, 0 to 1. */
export function sharesOf({ colOf, tableau }: Relaxation): Float64Array {
  const { t, cols, rowOf } = tableau;
  const shares = new Float64Array(colOf.length);
  for (let o = 0; o < shares.length; o++) {
    const row = colOf[o]! < 0 ? -1 : rowOf[colOf[o]!]!;
    if (row >= 0) shares[o] = t[row * (cols + 1) + cols]!;
  }
  return shares;
}
