import { marginStep } from './margin-steps';
import { compare, noCost, pack, plus, zero, type Packed } from './cost';
import type { Choice, Pick, Problem, ProblemPart, RowUse, TagUse } from './problem';

/** One way to serve a seat: a mode of its part with choices for the seat's needs (-1 for needs of other seats), or null for leaving the part out. */
export interface Option {
  pick: Pick | null;
  cost: Packed;
  margin: number;
  uses: RowUse[];
  tags: TagUse[];
}

/**
 * The problem as seats. A part is one seat as long as its needs together have few combinations; else its needs are spread over several seats, which
 * agree on the mode by a tag: so options add up instead of multiplying.
 */
export interface Seats {
  /** With the tags that seats of one part agree by. */
  problem: Problem;
  lists: Option[][];
  /** For each seat its part. */
  part: number[];
}

/** Above this many combinations a part is split. */
const mostJoined = 60;

export function seatsOf(problem: Problem, cap: number): Seats {
  const tags = problem.tags.slice();
  const lists: Option[][] = [];
  const part: number[] = [];
  problem.parts.forEach((p, i) => {
    const seats = seatsOfPart(p, cap);
    const way =
      seats.length > 1 ? tags.push({ id: `way:${p.id}`, once: [noCost, ...p.modes.map(() => noCost)] }) - 1 : null;
    seats.forEach((needs, seat) => {
      lists.push(optionsOf(p, needs, seat === 0, way));
      part.push(i);
    });
  });
  return { problem: { ...problem, tags }, lists, part };
}

/** For each seat the choices that its needs have left, mode by mode and need by need; null for needs of other seats. */
type SeatNeeds = (Option[] | null)[][];

function seatsOfPart(part: ProblemPart, cap: number): SeatNeeds[] {
  // Pruned before they are joined: a choice that another beats is never part of a best option.
  const choices = part.modes.map((mode, m) =>
    mode.needs.map((need, n) => undominated(need.choices.map((c, i) => alone(c, i, m, n, mode.needs.length, cap)))),
  );
  const needs = Math.max(1, ...part.modes.map((m) => m.needs.length));
  const seats: number[][] = [[]];
  for (let n = 0; n < needs; n++) {
    const joint = [...seats.at(-1)!, n];
    const joined = Math.max(
      ...choices.map((mode) => joint.reduce((product, k) => product * (mode[k]?.length ?? 1), 1)),
    );
    if (joined > mostJoined && seats.at(-1)!.length > 0) seats.push([n]);
    else seats[seats.length - 1] = joint;
  }
  return seats.map((mine) => choices.map((mode) => mode.map((list, n) => (mine.includes(n) ? list : null))));
}

/**
 * All options of a seat that could be in a best hookup, cheapest first. The first seat of a part bears what the mode, or leaving the part out, costs.
 * An option that is beaten on cost, margin, every row and every tag by another is never needed.
 */
function optionsOf(part: ProblemPart, seat: SeatNeeds, first: boolean, way: number | null): Option[] {
  const agreed = (value: number): TagUse[] => (way === null ? [] : [[way, value]]);
  const options: Option[] = [
    {
      pick: null,
      cost: first ? pack(part.unmet) : zero,
      margin: Infinity,
      uses: [],
      tags: [...((first && part.unmetTags) || []), ...agreed(0)],
    },
  ];
  part.modes.forEach((mode, m) => {
    const nothing = mode.needs.map(() => -1);
    let partial: Option[] = [
      {
        pick: { mode: m, choices: nothing },
        cost: first ? pack(mode.cost) : zero,
        margin: Infinity,
        uses: [],
        tags: agreed(m + 1),
      },
    ];
    for (const choices of seat[m]!) {
      if (choices === null) continue;
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

/** Every part left out, or in where that takes nothing: always possible. */
export function leftOut({ lists }: Seats): Option[] {
  return lists.map((list) => list.find((o) => o.pick === null) ?? list.find((o) => o.uses.length === 0)!);
}

/** The picks of the parts from the options of their seats. */
export function picksOf({ part, problem }: Seats, options: Option[]): (Pick | null)[] {
  const picks: (Pick | null)[] = problem.parts.map(() => null);
  options.forEach(({ pick }, seat) => {
    const before = picks[part[seat]!];
    if (pick) picks[part[seat]!] = before ? bothOf(before, pick) : pick;
  });
  return picks;
}

function bothOf(a: Pick, b: Pick): Pick {
  return { mode: a.mode, choices: a.choices.map((c, n) => (c < 0 ? b.choices[n]! : c)) };
}

function alone(choice: Choice, index: number, mode: number, need: number, needs: number, cap: number): Option {
  const choices = new Array<number>(needs).fill(-1);
  choices[need] = index;
  return {
    pick: { mode, choices },
    cost: pack(choice.cost),
    margin: choice.margin >= cap ? Infinity : marginStep(choice.margin),
    uses: summed(choice.uses),
    tags: choice.tags,
  };
}

/** Sums by row, rows in order. */
function summed(uses: RowUse[]): RowUse[] {
  let inOrder = true;
  for (let i = 1; i < uses.length && inOrder; i++) inOrder = uses[i - 1]![0] < uses[i]![0];
  return inOrder ? uses : uses.reduce((sum: RowUse[], use) => merged(sum, [use]), []);
}

/** The sums of two lists whose rows are in order. */
function merged(a: RowUse[], b: RowUse[]): RowUse[] {
  if (a.length === 0) return b;
  if (b.length === 0) return a;
  const sum: RowUse[] = [];
  for (let i = 0, j = 0; i < a.length || j < b.length;) {
    if (j === b.length || (i < a.length && a[i]![0] < b[j]![0])) sum.push(a[i++]!);
    else if (i === a.length || b[j]![0] < a[i]![0]) sum.push(b[j++]!);
    else sum.push([a[i]![0], a[i++]![1] + b[j++]![1]]);
  }
  return sum;
}

function join(start: Option, choice: Option): Option | null {
  let tags = start.tags;
  for (const use of choice.tags) {
    const stands = valueIn(tags, use[0]);
    if (stands === -1) {
      if (tags === start.tags) tags = start.tags.slice();
      tags.push(use);
    } else if (stands !== use[1]) return null;
  }
  return {
    pick: bothOf(start.pick!, choice.pick!),
    cost: plus(start.cost, choice.cost),
    margin: Math.min(start.margin, choice.margin),
    uses: merged(start.uses, choice.uses),
    tags,
  };
}

/** The value asked of a tag, or -1. */
function valueIn(tags: readonly TagUse[], tag: number): number {
  for (let i = 0; i < tags.length; i++) if (tags[i]![0] === tag) return tags[i]![1];
  return -1;
}

/** Options that name the same rows and the same tags; `low`, `high` and `tags` are signs of which. */
interface Alike {
  low: number;
  high: number;
  tags: number;
  options: Option[];
}

function undominated(options: Option[]): Option[] {
  if (options.length < 2) return options;
  // Sorting keeps the order of equals.
  const sorted = options.slice().sort((a, b) => compare(a.cost, b.cost) || b.margin - a.margin);
  const groups: Alike[] = [];
  const kept: Option[] = [];
  candidates: for (const o of sorted) {
    const low = bits(o.uses, 0);
    const high = bits(o.uses, 31);
    const tags = bits(o.tags, 0) | bits(o.tags, 31);
    let mine: Alike | null = null;
    for (const group of groups) {
      // Most groups name a row or a tag that this option does not: nothing in them can beat it.
      if ((group.low & ~low) !== 0 || (group.high & ~high) !== 0 || (group.tags & ~tags) !== 0) continue;
      for (const k of group.options) if (dominates(k, o)) continue candidates;
      if (group.low === low && group.high === high && group.tags === tags) mine = group;
    }
    kept.push(o);
    if (mine) mine.options.push(o);
    else groups.push({ low, high, tags, options: [o] });
  }
  return kept;
}

/** Which numbers from `from` on are named, 31 to a word; the word from 31 on stands for all higher ones too. */
function bits(named: readonly (readonly [number, number])[], from: number): number {
  let mask = 0;
  for (let i = 0; i < named.length; i++) {
    const id = named[i]![0];
    if (from > 0 ? id >= from : id < 31) mask |= 1 << (id % 31);
  }
  return mask;
}

/** `a` is known to cost no more than `b`. */
function dominates(a: Option, b: Option): boolean {
  if (a.margin < b.margin) return false;
  for (let i = 0, j = 0; i < a.uses.length; i++) {
    const row = a.uses[i]![0];
    while (j < b.uses.length && b.uses[j]![0] < row) j++;
    if (j === b.uses.length || b.uses[j]![0] !== row || b.uses[j]![1] < a.uses[i]![1]) return false;
  }
  for (let i = 0; i < a.tags.length; i++) if (valueIn(b.tags, a.tags[i]![0]) !== a.tags[i]![1]) return false;
  return true;
}

/** What options cost together, with what their tags cost once. */
export function costOf({ tags }: Problem, options: Option[]): Packed {
  const seen = tags.map((): number[] => []);
  let sum = zero;
  for (const o of options) {
    sum = plus(sum, o.cost);
    for (const [tag, value] of o.tags) {
      if (seen[tag]!.includes(value)) continue;
      seen[tag]!.push(value);
      sum = plus(sum, pack(tags[tag]!.once[value]!));
    }
  }
  return sum;
}
