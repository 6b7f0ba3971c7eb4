import type { Relaxation } from './relax';

/**
 * A sum that no hookup exceeds although the relaxed one does: of these options at most `most` can stand together.
 */
export interface Cover {
  options: number[];
  most: number;
}

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
 * Cover inequalities that the relaxed hookup breaks, at most one a row (E. Balas, Facets of the knapsack polytope, Mathematical Programming 8, 1975, here
 * with parts that take one option each): parts whose options from certain amounts on would together exceed the row's cap. Of those options, and of all
 * options of other parts that take as much as the greatest of these amounts, one fewer than there are parts can stand.
 */
export function brokenCovers({ model, alive, caps, rowAt }: Relaxation, shares: Float64Array, from: number): Cover[] {
  const parts = model.first.length - 1;
  const amount = new Float64Array(model.options.length);
  const found: Cover[] = [];
  for (let r = 0; r < model.rows; r++) {
    const cap = caps[r]!;
    if (rowAt[r]! < 0 || !Number.isFinite(cap) || cap < from) continue;
    amount.fill(0);
    for (let o = 0; o < amount.length; o++) {
      if (!alive[o]) continue;
      for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (model.row[i] === r) amount[o] = model.amount[i]!;
    }
    const cover = heaviest(cap);
    if (cover) found.push(cover);
  }
  return found;

  /** The parts that lack least of being taken whole, with amounts that together exceed the cap. */
  function heaviest(cap: number): Cover | null {
    const over = Math.floor(cap + 1e-9) + 1;
    let sums = new Map<number, { lacks: number; taken: Taken | null }>([[0, { lacks: 0, taken: null }]]);
    for (let p = 0; p < parts; p++) {
      const steps = amountsTaken(p);
      if (steps.length === 0) continue;
      const next = new Map(sums);
      for (const step of steps) {
        for (const [sum, state] of sums) {
          const lacks = state.lacks + step.lacks;
          if (lacks >= 1 - least) continue;
          const to = Math.min(over, sum + step.from);
          const there = next.get(to);
          if (!there || lacks < there.lacks - 1e-9) next.set(to, { lacks, taken: { part: p, from: step.from, before: state.taken } });
        }
      }
      if (next.size > mostSums) break;
      sums = next;
    }
    const best = sums.get(over);
    return best ? coverOf(best.taken, cap) : null;
  }

  /** The amounts that the part takes pieces of, greatest first, each with what it lacks of taking at least so much. */
  function amountsTaken(p: number): { from: number; lacks: number }[] {
    const steps: { from: number; lacks: number }[] = [];
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) if (amount[o]! > 0 && shares[o]! > 1e-6 && !steps.some((s) => s.from === amount[o])) steps.push({ from: amount[o]!, lacks: 1 });
    for (const step of steps) {
      for (let o = model.first[p]!; o < model.first[p + 1]!; o++) if (amount[o]! >= step.from) step.lacks -= shares[o]!;
      step.lacks = Math.max(0, step.lacks);
    }
    return steps.filter((s) => s.lacks < 1 - least).sort((a, b) => b.from - a.from);
  }

  function coverOf(taken: Taken | null, cap: number): Cover {
    let members: Taken[] = [];
    for (let t = taken; t; t = t.before) members.push(t);
    // Without those that are not needed: fewer parts say more.
    for (const light of [...members].sort((a, b) => a.from - b.from)) {
      const rest = members.filter((m) => m !== light);
      if (rest.reduce((sum, m) => sum + m.from, 0) > cap) members = rest;
    }
    const greatest = Math.max(...members.map((m) => m.from));
    const options: number[] = [];
    for (let p = 0; p < parts; p++) {
      const counts = members.find((m) => m.part === p)?.from ?? greatest;
      for (let o = model.first[p]!; o < model.first[p + 1]!; o++) if (alive[o] && amount[o]! >= counts) options.push(o);
    }
    return { options, most: members.length - 1 };
  }
}
