import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { problemArbitrary } from '../tests/random-problem';
import { compare, type Packed } from './cost';
import { costOf, seatsOf, type Option, type Seats } from './seats';
import { settled } from './settled';
import { dearest, onceOf, poolsIn, searchOf, search } from './search';

const problems = problemArbitrary({ parts: 5, rows: 4, tags: 2, choices: 3 });
const limitsOf = ({ problem }: Seats) => problem.rows.map((row) => row.limit);

/** The cheapest of all hookups of the lists, by going through every one of them. */
function cheapest({ problem, lists }: Seats): { cost: Packed; options: Option[] } | null {
  let best: { cost: Packed; options: Option[] } | null = null;
  const walk = (chosen: Option[]) => {
    if (chosen.length === lists.length) {
      const used = problem.rows.map((_, r) =>
        chosen.flatMap((o) => o.uses).reduce((sum, [row, amount]) => sum + (row === r ? amount : 0), 0),
      );
      const values = new Map<number, Set<number>>();
      for (const [t, v] of chosen.flatMap((o) => o.tags)) values.set(t, (values.get(t) ?? new Set()).add(v));
      if (problem.rows.some((row, r) => used[r]! > row.limit) || [...values.values()].some((v) => v.size > 1)) return;
      const cost = costOf(problem, chosen);
      if (!best || compare(cost, best.cost) < 0) best = { cost, options: chosen };
      return;
    }
    for (const option of lists[chosen.length]!) walk([...chosen, option]);
  };
  walk([]);
  return best;
}

describe('trying options out, fewest first', () => {
  test('finds the cost that going through every hookup finds, and proves it', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const seats = seatsOf(problem, 30);
        const found = search(searchOf(seats.problem, seats.lists, limitsOf(seats)), dearest, 1e6);
        expect(found.ended).toBe(true);
        expect(found.cost).toEqual(cheapest(seats)!.cost);
        expect(costOf(seats.problem, found.best!)).toEqual(found.cost);
      }),
      { numRuns: 300, seed: 3 },
    );
  });

  test('finds nothing where nothing is strictly below the bar', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const seats = seatsOf(problem, 30);
        const { cost } = cheapest(seats)!;
        expect(search(searchOf(seats.problem, seats.lists, limitsOf(seats)), cost, 1e6)).toMatchObject({
          best: null,
          ended: true,
        });
      }),
      { numRuns: 100, seed: 4 },
    );
  });

  test('goes on from what is chosen already, as if it had chosen that itself', () => {
    fc.assert(
      fc.property(problems, fc.nat(4), (problem, at) => {
        const seats = seatsOf(problem, 30);
        const { cost, options } = cheapest(seats)!;
        const p = at % options.length;
        const { uses, tags } = options[p]!;
        const left = limitsOf(seats).map((limit, r) => limit - (uses.find(([row]) => row === r)?.[1] ?? 0));
        const standing = new Int32Array(seats.problem.tags.length).fill(-1);
        for (const [t, v] of tags) standing[t] = v;
        const rest = seats.lists.filter((_, q) => q !== p);
        const found = search(
          {
            lists: rest,
            left,
            standing,
            once: onceOf(seats.problem),
            spent: costOf(seats.problem, [options[p]!]),
            pools: poolsIn(seats.problem),
          },
          dearest,
          1e6,
        );
        expect(found.cost).toEqual(cost);
      }),
      { numRuns: 200, seed: 5 },
    );
  });

  test('says that nothing is proved when it ran out of steps', () => {
    const seats = seatsOf(
      fc.sample(problems, { numRuns: 40, seed: 6 }).find((p) => p.parts.length === 5)!,
      30,
    );
    expect(search(searchOf(seats.problem, seats.lists, limitsOf(seats)), dearest, 1).ended).toBe(false);
  });
});

describe('what is settled without a proof', () => {
  test('leaves the hookup itself and a cheapest one, and drops something now and then', () => {
    let dropped = 0;
    fc.assert(
      fc.property(problems, fc.integer({ min: 1, max: 30 }), (problem, steps) => {
        const seats = seatsOf(problem, 30);
        const hookup = search(searchOf(seats.problem, seats.lists, limitsOf(seats)), dearest, steps).best;
        if (!hookup) return;
        const open = settled(seats, hookup);
        hookup.forEach((o, p) => expect(open.lists[p]).toContain(o));
        expect(cheapest(open)!.cost).toEqual(cheapest(seats)!.cost);
        if (open.lists.flat().length < seats.lists.flat().length) dropped++;
      }),
      { numRuns: 300, seed: 7 },
    );
    expect(dropped).toBeGreaterThan(50);
  });
});
