import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { problemArbitrary } from '../tests/random-problem';
import { compare, pack } from './cost';
import { improve } from './improve';
import { costOf, leftOut, picksOf, seatsOf, type Option, type Seats } from './seats';
import { priceOf, solve } from './solve';

const problems = problemArbitrary({ parts: 7, rows: 4, tags: 2, choices: 4 });

const limitsOf = ({ problem }: Seats) => problem.rows.map((row) => row.limit);

/** Within every limit, and no tag two ways. */
function stands({ problem }: Seats, options: Option[]): boolean {
  const used = problem.rows.map(() => 0);
  const tags = new Map<number, number>();
  for (const o of options) {
    for (const [r, a] of o.uses) used[r]! += a;
    for (const [t, v] of o.tags) {
      if ((tags.get(t) ?? v) !== v) return false;
      tags.set(t, v);
    }
  }
  return problem.rows.every((row, r) => used[r]! <= row.limit);
}

describe('improving a hookup a few seats at a time', () => {
  test('the result stands, costs no more than the start, and is the same each time', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const seats = seatsOf(problem, 30);
        const start = leftOut(seats);
        const better = improve(seats, limitsOf(seats), start, 20);
        expect(stands(seats, better)).toBe(true);
        expect(compare(costOf(seats.problem, better), costOf(seats.problem, start))).toBeLessThanOrEqual(0);
        expect(improve(seats, limitsOf(seats), start, 20)).toEqual(better);
        expect(pack(priceOf(problem, picksOf(seats, better)))).toEqual(costOf(seats.problem, better));
      }),
      { numRuns: 300, seed: 5 },
    );
  });

  test('it keeps to limits that are narrower than the rows have', () => {
    fc.assert(
      fc.property(problems, fc.integer({ min: 1, max: 4 }), (problem, by) => {
        const seats = seatsOf(problem, 30);
        const narrow = {
          ...seats.problem,
          rows: seats.problem.rows.map((row) => ({ ...row, limit: Math.floor(row.limit / by) })),
        };
        const better = improve(
          seats,
          narrow.rows.map((row) => row.limit),
          leftOut(seats),
          12,
        );
        expect(stands({ ...seats, problem: narrow }, better)).toBe(true);
      }),
      { numRuns: 200, seed: 9 },
    );
  });

  test('from nothing wired it mostly reaches the best there is, and never claims less', () => {
    let reached = 0;
    const runs = 300;
    fc.assert(
      fc.property(problems, (problem) => {
        const seats = seatsOf(problem, 30);
        const [must, rest] = costOf(seats.problem, improve(seats, limitsOf(seats), leftOut(seats), 20));
        const best = pack(solve(problem, undefined, 30).cost);
        expect(must - best[0] || rest - best[1]).toBeGreaterThanOrEqual(0);
        if (must === best[0] && rest === best[1]) reached++;
      }),
      { numRuns: runs, seed: 7 },
    );
    expect(reached / runs).toBeGreaterThan(0.9);
  });
});
