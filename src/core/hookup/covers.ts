import type { Cut } from './cuts';
import type { Relaxation } from './relax';

/** Sums with a smaller cap (links, points of effort) are not searched, for covers nor for what they reach: they are many, and seldom gain. Changes speed only. */
export const leastCap = 33;
/** A cover must be broken by this much, or it is not worth its row. */
const least = 0.02;
/** So many sums of different weight are followed for a row. */
const mostSums = 1500;

/** Parts of a cover, each with the amount from which its options count; a list from the last one back. */
interface Taken {
  part: number;
  from: number;
  before: Taken | null;
}

/**
 * Covers that the relaxed hookup breaks, at most one a row (E. Balas, Facets of the knapsack polytope, Mathematical Programming 8, 1975, here
 * with parts that take one option each): parts whose options from certain amounts on would together exceed the row's cap. Of those options, and of all
 * options of other parts that take as much as the greatest of these amounts, one fewer than there are parts can stand.
 */
export function brokenCovers({ model, alive, caps, rowAt, simplex }: Relaxation, shares: Float64Array, from = leastCap): Cut[] {
  const found: Cut[] = [];
  for (let r = 0; r < model.rows; r++) {
    const cap = caps[r]!;
    if (rowAt[r]! < 0 || !Number.isFinite(cap) || cap < from) continue;
    const cols = simplex.rowCols[rowAt[r]!]!;
    const amounts = simplex.rowValues[rowAt[r]!]!;
    let used = 0;
    let greatest = 0;
    for (let k = 0; k < cols.length && cols[k]! < alive.length; k++) {
      if (!alive[cols[k]!]) continue;
      used += amounts[k]! * shares[cols[k]!]!;
      if (amounts[k]! > greatest) greatest = amounts[k]!;
    }
    // What the members of a cover lack is worth less than the greatest amount and more than what the row has left.
    if (cap - used >= greatest) continue;
    const entries: Entry[] = [];
    for (let k = 0; k < cols.length && cols[k]! < alive.length; k++) if (alive[cols[k]!]) entries.push({ option: cols[k]!, part: model.partOf[cols[k]!]!, amount: amounts[k]! });
    const cover = heaviest(entries, shares, cap);
    if (cover) found.push(cover);
  }
  return found;
}

/** What an option takes of the row at hand. */
interface Entry {
  option: number;
  part: number;
  amount: number;
}

/** The parts that lack least of being taken whole, with amounts that together exceed the cap. */
function heaviest(entries: Entry[], shares: Float64Array, cap: number): Cut | null {
  const over = Math.floor(cap + 1e-9) + 1;
  let sums = new Map<number, { lacks: number; taken: Taken | null }>([[0, { lacks: 0, taken: null }]]);
  for (let first = 0, next = 0; first < entries.length; first = next) {
    const { part } = entries[first]!;
    while (next < entries.length && entries[next]!.part === part) next++;
    const steps = amountsTaken(entries, first, next, shares);
    if (steps.length === 0) continue;
    const more = new Map(sums);
    for (const step of steps) {
      for (const [sum, state] of sums) {
        const lacks = state.lacks + step.lacks;
        if (lacks >= 1 - least) continue;
        const to = Math.min(over, sum + step.from);
        const there = more.get(to);
        if (!there || lacks < there.lacks - 1e-9) more.set(to, { lacks, taken: { part, from: step.from, before: state.taken } });
      }
    }
    if (more.size > mostSums) break;
    sums = more;
  }
  const best = sums.get(over);
  return best ? coverOf(entries, best.taken, cap) : null;
}

/** The amounts that a part takes pieces of, each with what it lacks of taking at least so much. Its entries are `first` to `next - 1`. */
function amountsTaken(entries: Entry[], first: number, next: number, shares: Float64Array): { from: number; lacks: number }[] {
  const steps: { from: number; lacks: number }[] = [];
  for (let i = first; i < next; i++) if (shares[entries[i]!.option]! > 1e-6 && !steps.some((s) => s.from === entries[i]!.amount)) steps.push({ from: entries[i]!.amount, lacks: 1 });
  for (const step of steps) {
    for (let i = first; i < next; i++) if (entries[i]!.amount >= step.from) step.lacks -= shares[entries[i]!.option]!;
    step.lacks = Math.max(0, step.lacks);
  }
  return steps.filter((s) => s.lacks < 1 - least);
}

function coverOf(entries: Entry[], taken: Taken | null, cap: number): Cut {
  let members: Taken[] = [];
  for (let t = taken; t; t = t.before) members.push(t);
  // Without those that are not needed: fewer parts say more.
  for (const light of [...members].sort((a, b) => a.from - b.from)) {
    const rest = members.filter((m) => m !== light);
    if (rest.reduce((sum, m) => sum + m.from, 0) > cap) members = rest;
  }
  const greatest = Math.max(...members.map((m) => m.from));
  const counts = new Map(members.map((m) => [m.part, m.from]));
  const options = entries.filter((e) => e.amount >= (counts.get(e.part) ?? greatest)).map((e) => e.option);
  return { options, amounts: options.map(() => 1), values: [], limit: members.length - 1, scale: 1 };
}
