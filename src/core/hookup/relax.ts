import { brokenCuts, type Cut } from './cuts';
import { dual } from './dual';
import type { Model } from './model';
import { primal } from './primal';
import { isOff, renew } from './renew';
import { copySimplex, fillRows, moveLimit, multipliers, pivot, simplexOf, valueOf, wake, type Column, type Simplex } from './simplex';

/**
 * The linear relaxation of a model: options may be taken in parts. Rows: one for each part (its options sum to one), then the model's rows
 * that can run short and all levels, then one for each pair of a part and a tag value (its options only as far as the tag stands so), then
 * `mostCuts` for cuts, then one for each tag. Pairs and cuts sleep until a relaxed hookup breaks them.
 */
export interface Relaxation {
  model: Model;
  simplex: Simplex;
  /** For each row of the model its row in the simplex, or -1 where it can never run short. */
  rowAt: Int32Array;
  /** For each tag and value its column, or -1. */
  valueAt: number[][];
  /** The row of the first pair; the others follow. */
  pairRow: number;
  /** The row of the first cut; the others follow. */
  cutRow: number;
  cuts: Cut[];
  /** The caps that the simplex stands for; Infinity for levels not yet decided. */
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
  const alive = new Uint8Array(model.options.length).fill(1);
  const most = mostUses({ model, alive });
  let rows = parts;
  for (let r = 0; r < model.rows; r++) if (r >= model.sums ? most[r]! > 0 : most[r]! > caps[r]!) rowAt[r] = rows++;
  const pairRow = rows;
  const cutRow = pairRow + model.pairs.length;
  rows = cutRow + mostCuts;
  const columns: Column[] = model.options.map((_, o) => {
    const column = { rows: [model.partOf[o]!], values: [1] };
    for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (rowAt[model.row[i]!]! >= 0) put(column, rowAt[model.row[i]!]!, model.amount[i]!);
    for (let i = model.pairAt[o]!; i < model.pairAt[o + 1]!; i++) put(column, pairRow + model.pairOf[i]!, 1);
    return column;
  });
  const limits: number[] = [];
  limits.length = rows;
  limits.fill(0);
  limits.fill(1, 0, parts);
  for (let r = 0; r < model.sums; r++) if (rowAt[r]! >= 0) limits[rowAt[r]!] = caps[r]!;
  const valueAt = model.once.map((values, t) => {
    if (model.firstPair[t] === model.firstPair[t + 1]) return values.map(() => -1);
    const tagRow = limits.push(1) - 1;
    return values.map((once, v) => {
      const column = { rows: [tagRow], values: [1] };
      for (let q = model.firstPair[t]!; q < model.firstPair[t + 1]!; q++) if (model.pairs[q]!.value === v) put(column, pairRow + q, -1);
      once?.forEach((c, l) => c > 0 && put(column, rowAt[model.sums + l]!, c));
      return columns.push(column) - 1;
    });
  });
  const simplex = simplexOf(Float64Array.from(limits), columns, pairRow, rows);
  for (let r = model.sums; r < model.rows; r++) if (rowAt[r]! >= 0) simplex.free[rowAt[r]!] = 1;
  for (let p = 0; p < parts; p++) {
    // A part takes no more and no less than one option.
    simplex.banned[simplex.cols + p] = 1;
    pivot(simplex, p, leftOut[p]!);
  }
  return relaxationWith({
    model, simplex, rowAt, valueAt, pairRow, cutRow, cuts: [], caps: Float64Array.from(caps, (c, r) => (r < model.sums ? c : Infinity)),
    alive, tags: new Int16Array(model.once.length).fill(-1),
  });
}

/** Every relaxation is made here, for the same reason as every simplex is made in one place. */
function relaxationWith(a: Relaxation): Relaxation {
  return {
    model: a.model, simplex: a.simplex, rowAt: a.rowAt, valueAt: a.valueAt, pairRow: a.pairRow, cutRow: a.cutRow, cuts: a.cuts, caps: a.caps, alive: a.alive, tags: a.tags,
  };
}

function put(column: Column, row: number, value: number): void {
  column.rows.push(row);
  column.values.push(value);
}

/** The most of every row that all options together could take. */
export function mostUses({ model, alive }: Pick<Relaxation, 'model' | 'alive'>): Float64Array {
  const most = new Float64Array(model.rows);
  const top = new Float64Array(model.rows);
  for (let p = 0; p < model.first.length - 1; p++) {
    top.fill(0);
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
      if (!alive[o]) continue;
      for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (model.amount[i]! > top[model.row[i]!]!) top[model.row[i]!] = model.amount[i]!;
    }
    for (let r = 0; r < model.rows; r++) most[r]! += top[r]!;
  }
  for (const values of model.once) for (const price of values) price?.forEach((c, l) => (most[model.sums + l]! += c));
  return most;
}

export function copyRelaxation(a: Relaxation): Relaxation {
  const copy = relaxationWith(a);
  copy.simplex = copySimplex(a.simplex);
  copy.caps = a.caps.slice();
  copy.alive = a.alive.slice();
  copy.tags = a.tags.slice();
  return copy;
}

/** Holds a row to a new cap. A level that had none is held to exactly this: it is the least there is, so no hookup that counts stays below it. */
export function setCap(a: Relaxation, r: number, cap: number): void {
  const row = a.rowAt[r]!;
  const before = a.caps[r]!;
  a.caps[r] = cap;
  if (row < 0) return;
  if (Number.isFinite(before)) moveLimit(a.simplex, row, cap - before);
  else {
    a.simplex.free[row] = 0;
    a.simplex.banned[a.simplex.cols + row] = 1;
    moveLimit(a.simplex, row, cap);
  }
}

export function drop(a: Relaxation, option: number): void {
  a.alive[option] = 0;
  a.simplex.banned[option] = 1;
}

/** Fixes a tag: options that ask for another value are dropped. `value` may be the number of values: then none may be asked for. */
export function fixTag(a: Relaxation, tag: number, value: number): void {
  const { model } = a;
  a.tags[tag] = value;
  for (let o = 0; o < model.options.length; o++) if (a.alive[o] && model.options[o]!.tags.some(([t, v]) => t === tag && v !== value)) drop(a, o);
  a.valueAt[tag]!.forEach((col, v) => {
    if (col >= 0 && v !== value) a.simplex.banned[col] = 1;
  });
}

/** What the relaxation says: a bound that no hookup of its options beats, and for each option how far the bound rises when it is taken. */
export interface Bound {
  bound: number;
  rise: Float64Array;
}

const mostPivots = 600;
/** Cuts that a relaxation can carry, and rounds of looking for them a node. */
const mostCuts = 160;
const mostRounds = 20;

/**
 * The least of one level (in its own numbers) over the relaxation; with `level` -1 only whether there is any. Infinity where there is none.
 * A bound above `wanted()` need not be raised further. Before each round of cuts `again` may look for a better hookup near the relaxed one, which lowers what is wanted.
 */
export function boundOf(a: Relaxation, level: number, wanted: () => number = () => Infinity, again: (bound: number) => void = () => undefined): Bound {
  const { simplex, model } = a;
  // A level that costs nothing anywhere has no row; then any hookup will do.
  const goal = level < 0 ? -1 : a.rowAt[model.sums + level]!;
  let before = -Infinity;
  for (let rounds = 0; ; ) {
    const { proof, ended } = solved(a, goal, mostPivots);
    if (proof) return proof;
    const bound = goal < 0 ? 0 : -simplex.stands[simplex.ownPlace[goal]!]!;
    if (!ended || bound > wanted()) break;
    if (wakePairs(a)) continue;
    again(bound);
    if (bound > wanted() || rounds++ === mostRounds || !addCuts(a, goal >= 0 && bound < before + 1e-6)) break;
    before = bound;
  }
  return pricedBy(a, level, goal);
}

/** A first look at the bound: at most so many exchanges, and no more rows. It holds all the same. */
export function lookAt(a: Relaxation, level: number, pivots: number): Bound {
  const goal = level < 0 ? -1 : a.rowAt[a.model.sums + level]!;
  return solved(a, goal, pivots).proof ?? pricedBy(a, level, goal);
}

/** Solves the relaxation as its rows stand. `proof` where there is no hookup; `ended` false: it took too long. */
function solved(a: Relaxation, goal: number, most: number): { proof: Bound | null; ended: boolean } {
  const { simplex } = a;
  do {
    const repaired = dual(simplex, goal, most);
    if (repaired.kind === 'gave up') return { proof: null, ended: false };
    if (repaired.kind === 'done') {
      if (goal >= 0) primal(simplex, goal, most);
      if (!isOff(simplex)) return { proof: null, ended: true };
    } else {
      const proof = priced(a, -1, multipliers(simplex, repaired.place), repaired.sign);
      if (proof.bound > 1e-7) return { proof: { bound: Infinity, rise: proof.rise }, ended: true };
    }
  } while (renew(simplex));
  return { proof: null, ended: false };
}

function pricedBy(a: Relaxation, level: number, goal: number): Bound {
  return goal < 0 ? priced(a, level, new Float64Array(a.simplex.rows), 1) : priced(a, level, multipliers(a.simplex, a.simplex.ownPlace[goal]!), 1);
}

/** Brings in the rows of pairs that the relaxed hookup breaks: an option taken further than its tag stands so. False when there are none. */
function wakePairs({ model, simplex, pairRow, valueAt }: Relaxation): boolean {
  const taken = new Float64Array(model.pairs.length);
  for (let i = 0; i < simplex.places; i++) {
    const o = simplex.basic[i]!;
    if (o < model.options.length) for (let k = model.pairAt[o]!; k < model.pairAt[o + 1]!; k++) taken[model.pairOf[k]!]! += simplex.stands[i]!;
  }
  let found = false;
  model.pairs.forEach(({ tag, value }, q) => {
    if (simplex.ownPlace[pairRow + q]! >= 0) return;
    const stands = valueAt[tag]![value]!;
    if (taken[q]! <= valueOf(simplex, stands) + 1e-6) return;
    found = true;
    wake(simplex, pairRow + q);
  });
  return found;
}

/** Brings in cuts that the relaxed hookup breaks. False when there are none, or no room. */
function addCuts(a: Relaxation, stuck: boolean): boolean {
  const found = brokenCuts(a, sharesOf(a), stuck).slice(0, mostCuts - a.cuts.length);
  if (found.length === 0) return false;
  const filling = found.map(({ options, amounts, values, limit, scale }, k) => ({
    row: a.cutRow + a.cuts.length + k,
    limit: limit / scale,
    columns: [...options, ...values.map((v) => a.valueAt[v.tag]![v.value]!)],
    values: [...amounts, ...values.map((v) => v.amount)].map((n) => n / scale),
  }));
  fillRows(a.simplex, filling);
  a.cuts = [...a.cuts, ...found];
  return true;
}

/**
 * For any prices of nought or more on the rows, the sum over parts of the cheapest option at these prices, less what the caps are worth, is a lower
 * bound (Lagrangian relaxation, M. L. Fisher, Management Science 27, 1981). So a bound never rests on the simplex being exact: it only suggests the prices.
 */
function priced(a: Relaxation, level: number, suggested: Float64Array, sign: 1 | -1): Bound {
  const { model, rowAt, caps, alive, tags } = a;
  const parts = model.first.length - 1;
  const goal = level < 0 ? -1 : model.sums + level;
  const price = new Float64Array(model.rows);
  let bound = 0;
  for (let r = 0; r < model.rows; r++) {
    if (r === goal || rowAt[r]! < 0 || !Number.isFinite(caps[r]!)) continue;
    const said = sign * suggested[rowAt[r]!]!;
    // A decided level is met exactly, so its price may have either sign.
    price[r] = r < model.sums ? Math.max(0, said) : said;
    bound -= price[r]! * caps[r]!;
  }
  if (goal >= 0) price[goal] = 1;
  const pairPrice = new Float64Array(model.pairs.length);
  for (let q = 0; q < pairPrice.length; q++) if (a.simplex.ownPlace[a.pairRow + q]! >= 0) pairPrice[q] = Math.max(0, sign * suggested[a.pairRow + q]!);
  const rise = new Float64Array(model.options.length);
  const valuePrice = model.once.map((values) => new Float64Array(values.length));
  model.pairs.forEach(({ tag, value }, q) => (valuePrice[tag]![value]! -= pairPrice[q]!));
  a.cuts.forEach(({ options, amounts, values, limit, scale }, k) => {
    const said = Math.max(0, sign * suggested[a.cutRow + k]!) / scale;
    if (said === 0) return;
    bound -= said * limit;
    for (let i = 0; i < options.length; i++) rise[options[i]!]! += said * amounts[i]!;
    for (const { tag, value, amount } of values) valuePrice[tag]![value]! += said * amount;
  });
  for (let p = 0; p < parts; p++) {
    let low = Infinity;
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
      if (!alive[o]) continue;
      let c = rise[o]!;
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
      let c = valuePrice[t]![v]!;
      model.once[t]![v]?.forEach((n, l) => (c += price[model.sums + l]! * n));
      low = Math.min(low, c);
    }
    bound += low;
  }
  return { bound, rise };
}

/** How much of each option the relaxed hookup takes, 0 to 1. */
export function sharesOf({ model, simplex }: Relaxation): Float64Array {
  const shares = new Float64Array(model.options.length);
  for (let i = 0; i < simplex.places; i++) if (simplex.basic[i]! < shares.length) shares[simplex.basic[i]!] = simplex.stands[i]!;
  return shares;
}
