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
      const next: Option[] = [];
      for (const start of partial) need.choices.forEach((choice, c) => {
        const joined = join(start, choice, c, cap);
        if (joined) next.push(joined);
      });
      partial = undominated(next);
    }
    options.push(...partial);
  });
  return undominated(options);
}

function join(start: Option, choice: Choice, index: number, cap: number): Option | null {
  const tags = [...start.tags];
  for (const [tag, value] of choice.tags) {
    const there = tags.find(([t]) => t === tag);
    if (!there) tags.push([tag, value]);
    else if (there[1] !== value) return null;
  }
  const uses = new Map(start.uses);
  for (const [row, amount] of choice.uses) uses.set(row, (uses.get(row) ?? 0) + amount);
  return {
    pick: { mode: start.pick!.mode, choices: [...start.pick!.choices, index] },
    cost: plus(start.cost, pack(choice.cost)),
    margin: Math.min(start.margin, choice.margin >= cap ? Infinity : choice.margin),
    uses: [...uses],
    tags,
  };
}

function undominated(options: Option[]): Option[] {
  const order = options.map((o, i) => ({ o, i })).sort((a, b) => compare(a.o.cost, b.o.cost) || b.o.margin - a.o.margin || a.i - b.i);
  const kept: Option[] = [];
  for (const { o } of order) if (!kept.some((k) => dominates(k, o))) kept.push(o);
  return kept;
}

/** `a` is known to cost no more than `b`. */
function dominates(a: Option, b: Option): boolean {
  if (a.margin < b.margin) return false;
  for (const [row, amount] of a.uses) {
    const other = b.uses.find(([r]) => r === row);
    if (!other || other[1] < amount) return false;
  }
  return a.tags.every(([tag, value]) => b.tags.some(([t, v]) => t === tag && v === value));
}

/** True when the chosen options stand together; used to verify a result independently of how it was found. */
export function standTogether(problem: Problem, options: Option[]): boolean {
  const used = problem.rows.map(() => 0);
  const set = new Map<number, number>();
  for (const o of options) {
    for (const [row, amount] of o.uses) used[row]! += amount;
    for (const [tag, value] of o.tags) {
      if ((set.get(tag) ?? value) !== value) return false;
      set.set(tag, value);
    }
  }
  return problem.rows.every((row, i) => used[i]! <= row.limit);
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
