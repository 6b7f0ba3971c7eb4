import { levelOrder, levelsOf } from './cost';
import type { Option } from './options';
import type { Problem } from './problem';

/**
 * The options of all parts laid out flat for the searches. Rows 0 to `sums - 1` are the problem's own; behind them stands one row for
 * each level of the objective, so that a level already decided is held like any other sum.
 */
export interface Model {
  problem: Problem;
  options: Option[];
  /** Options of part p are `first[p]` to `first[p + 1] - 1`. */
  first: Int32Array;
  partOf: Int32Array;
  /** Entries of option o are `at[o]` to `at[o + 1] - 1`: a row and what the option takes of it. */
  at: Int32Array;
  row: Int32Array;
  amount: Float64Array;
  sums: number;
  rows: number;
  /** The pairs of a part and a tag value that any of its options asks for, tag by tag: those of tag t are `firstPair[t]` to `firstPair[t + 1] - 1`. */
  pairs: { part: number; tag: number; value: number }[];
  firstPair: Int32Array;
  /** Pairs of option o are `pairAt[o]` to `pairAt[o + 1] - 1` of `pairOf`. */
  pairAt: Int32Array;
  pairOf: Int32Array;
  /** For each tag and value what it costs once, level by level; null where nothing. */
  once: (number[] | null)[][];
}

export function modelOf(problem: Problem, lists: Option[][]): Model {
  const options = lists.flat();
  const first = new Int32Array(lists.length + 1);
  lists.forEach((list, p) => (first[p + 1] = first[p]! + list.length));
  const partOf = new Int32Array(options.length);
  lists.forEach((list, p) => partOf.fill(p, first[p]!, first[p]! + list.length));
  const once = problem.tags.map((t) => t.once.map((c) => (levelOrder.some((l) => c[l] > 0) ? levelOrder.map((l) => c[l]) : null)));
  const single = paidAtMostOnce(problem, lists, once);
  const sums = problem.rows.length;
  const at = new Int32Array(options.length + 1);
  const row: number[] = [];
  const amount: number[] = [];
  const push = (r: number, a: number) => {
    if (a === 0) return;
    row.push(r);
    amount.push(a);
  };
  options.forEach((o, i) => {
    for (const [r, a] of o.uses) push(r, a);
    const levels = levelsOf(o.cost);
    for (const [t, v] of o.tags) if (single[t]) once[t]![v]?.forEach((c, l) => (levels[l]! += c));
    for (let l = 0; l < levels.length; l++) push(sums + l, levels[l]!);
    at[i + 1] = row.length;
  });
  single.forEach((yes, t) => yes && once[t]!.fill(null));
  const pairs = pairsOf(problem, lists, once);
  return { ...pairs, problem, options, first, partOf, at, row: Int32Array.from(row), amount: Float64Array.from(amount), sums, rows: sums + levelOrder.length, once };
}

/** Tags that nobody can disagree about and that cost nothing need no pairs. */
function pairsOf(problem: Problem, lists: Option[][], once: Model['once']): Pick<Model, 'pairs' | 'firstPair' | 'pairAt' | 'pairOf'> {
  // Which parts ask for which values of each tag.
  const asked = problem.tags.map(() => new Map<number, Set<number>>());
  lists.forEach((list, part) => {
    for (const o of list) {
      for (const [t, v] of o.tags) {
        const values = asked[t]!.get(part);
        if (values) values.add(v);
        else asked[t]!.set(part, new Set([v]));
      }
    }
  });
  const pairs: Model['pairs'] = [];
  const number = new Map<number, number>();
  const key = (part: number, tag: number, value: number) => (part * problem.tags.length + tag) * 256 + value;
  const firstPair = new Int32Array(problem.tags.length + 1);
  asked.forEach((byPart, tag) => {
    const priced = once[tag]!.some((c) => c);
    const values = new Set([...byPart.values()].flatMap((v) => [...v]));
    if (priced || (byPart.size > 1 && values.size > 1)) {
      for (const [part, wanted] of byPart) {
        for (const value of wanted) {
          number.set(key(part, tag, value), pairs.length);
          pairs.push({ part, tag, value });
        }
      }
    }
    firstPair[tag + 1] = pairs.length;
  });
  const pairAt: number[] = [0];
  const pairOf: number[] = [];
  lists.forEach((list, p) => {
    for (const o of list) {
      for (const [t, v] of o.tags) {
        const q = number.get(key(p, t, v));
        if (q !== undefined) pairOf.push(q);
      }
      pairAt.push(pairOf.length);
    }
  });
  return { pairs, firstPair, pairAt: Int32Array.from(pairAt), pairOf: Int32Array.from(pairOf) };
}

/** Tags whose price falls to a single option in any hookup, since all that ask for them want the same last place: it may stand with the option. */
function paidAtMostOnce(problem: Problem, lists: Option[][], once: (number[] | null)[][]): boolean[] {
  const asking = problem.tags.map((): Option[] => []);
  const parts = problem.tags.map(() => new Set<number>());
  lists.forEach((list, p) => {
    for (const o of list) {
      for (const [t] of o.tags) {
        asking[t]!.push(o);
        parts[t]!.add(p);
      }
    }
  });
  return problem.tags.map((_, t) => {
    if (once[t]!.every((c) => c === null)) return false;
    if (parts[t]!.size < 2) return true;
    // A row that all of them fill by more than half: the first one's rows are as good as any.
    return asking[t]![0]!.uses.some(([r]) => asking[t]!.every((o) => o.uses.some(([x, a]) => x === r && 2 * a > problem.rows[r]!.limit)));
  });
}

/** What an option takes of a row. */
export function amountOn({ at, row, amount }: Model, option: number, r: number): number {
  for (let i = at[option]!; i < at[option + 1]!; i++) if (row[i] === r) return amount[i]!;
  return 0;
}

/** What the chosen options cost on every level, with what their tags cost once; and how much of each row they take. */
export function totalsOf(model: Model, chosen: Int32Array): Float64Array {
  const totals = new Float64Array(model.rows);
  const paid = new Set<string>();
  for (const o of chosen) {
    for (let i = model.at[o]!; i < model.at[o + 1]!; i++) totals[model.row[i]!]! += model.amount[i]!;
    for (const [t, v] of model.options[o]!.tags) {
      const price = model.once[t]![v];
      if (!price || paid.has(`${t}:${v}`)) continue;
      paid.add(`${t}:${v}`);
      price.forEach((c, l) => (totals[model.sums + l]! += c));
    }
  }
  return totals;
}
