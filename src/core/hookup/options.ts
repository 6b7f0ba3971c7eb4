import { marginStep } from '../trade/comfort';
import { compare, pack, plus, zero, type Packed } from './cost';
import type { Choice, Pick, Problem, ProblemPart, RowUse, TagUse } from './problem';

/** One whole way to serve a part: its mode and all choices at once, or null for leaving it out. */
export interface Option {
  pick: Pick | null;
  cost: Packed;
  margin: number;
  uses: RowUse[];
  tags: TagUse[];
}

/**
 * All options of a part that could be in a best hookup, cheapest first.
 * An option that is beaten on cost, margin, every row and every tag by another is never needed.
 */
export function optionsOf(part: ProblemPart, cap: number): Option[] {
  const options: Option[] = [{ pick: null, cost: pack(part.unmet), margin: Infinity, uses: [], tags: part.unmetTags ?? [] }];
  part.modes.forEach((mode, m) => {
    let partial: Option[] = [{ pick: { mode: m, choices: [] }, cost: pack(mode.cost), margin: Infinity, uses: [], tags: [] }];
    for (const need of mode.needs) {
      // Pruned before they are joined: a choice that another beats is never part of a best option.
      const choices = undominated(need.choices.map((c, i) => alone(c, i, m, cap)));
      const next: Option[] = [];
      for (const start of partial) {
        for (const choice of choices) {
          const joined = join(start, choice);
          if (joined) next.push(joined);
        }
      }
      partial = partial.length === 1 ? next : undominated(next);
    }
    options.push(...partial);
  });
  return undominated(options);
}

function alone(choice: Choice, index: number, mode: number, cap: number): Option {
  return { pick: { mode, choices: [index] }, cost: pack(choice.cost), margin: choice.margin >= cap ? Infinity : marginStep(choice.margin), uses: summed(choice.uses), tags: choice.tags };
}

function summed(uses: RowUse[]): RowUse[] {
  if (uses.length < 2) return uses;
  const sums = new Map<number, number>();
  for (const [row, amount] of uses) sums.set(row, (sums.get(row) ?? 0) + amount);
  return [...sums];
}

function join(start: Option, choice: Option): Option | null {
  let tags = start.tags;
  for (const [tag, value] of choice.tags) {
    const there = tags.find(([t]) => t === tag);
    if (!there) tags = [...tags, [tag, value]];
    else if (there[1] !== value) return null;
  }
  return {
    pick: { mode: start.pick!.mode, choices: [...start.pick!.choices, choice.pick!.choices[0]!] },
    cost: plus(start.cost, choice.cost),
    margin: Math.min(start.margin, choice.margin),
    uses: start.uses.length === 0 ? choice.uses : choice.uses.length === 0 ? start.uses : summed([...start.uses, ...choice.uses]),
    tags,
  };
}

function undominated(options: Option[]): Option[] {
  if (options.length < 2) return options;
  const order = options.map((o, i) => ({ o, i, rows: bits(o.uses), tags: bits(o.tags) })).sort((a, b) => compare(a.o.cost, b.o.cost) || b.o.margin - a.o.margin || a.i - b.i);
  const kept: typeof order = [];
  candidates: for (const next of order) {
    for (const k of kept) if ((k.rows & ~next.rows) === 0 && (k.tags & ~next.tags) === 0 && dominates(k.o, next.o)) continue candidates;
    kept.push(next);
  }
  return kept.map((k) => k.o);
}

/** A quick sign of which rows or tags are named: one that is not there rules most comparisons out at once. */
function bits(named: readonly (readonly [number, number])[]): number {
  let mask = 0;
  for (const [id] of named) mask |= 1 << (id % 31);
  return mask;
}

/** `a` is known to cost no more than `b`. */
function dominates(a: Option, b: Option): boolean {
  if (a.margin < b.margin) return false;
  for (const [row, amount] of a.uses) if (!holds(b.uses, row, amount)) return false;
  for (const [tag, value] of a.tags) if (!b.tags.some(([t, v]) => t === tag && v === value)) return false;
  return true;
}

function holds(uses: RowUse[], row: number, amount: number): boolean {
  for (const [r, a] of uses) if (r === row) return a >= amount;
  return false;
}

export function onceCosts(problem: Problem, options: Option[]): Packed {
  const seen = new Set<string>();
  let sum = zero;
  for (const o of options) {
    for (const [tag, value] of o.tags) {
      const key = `${tag}:${value}`;
      if (seen.has(key)) continue;
      seen.add(key);
      sum = plus(sum, pack(problem.tags[tag]!.once[value]!));
    }
  }
  return sum;
}
