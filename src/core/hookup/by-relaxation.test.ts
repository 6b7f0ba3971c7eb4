import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Board } from '../model/board';
import type { Build } from '../model/build';
import { bruteForce } from '../tests/brute-force';
import { largest, randomPair } from '../tests/random-build';
import { problemArbitrary } from '../tests/random-problem';
import { marginSteps } from '../trade/comfort';
import { byRelaxation } from './by-relaxation';
import { compile } from './compile';
import { levelOrder, pack } from './cost';
import { layOut } from './lay-out';
import { marginOf } from './margin';
import { costOf, seatsOf, type Seats } from './options';
import type { Problem } from './problem';
import { solve } from './solve';
import { workshop } from './way';

/** No hookup is found by trying options out: relaxations, cuts and splits alone. */
const never = { betweenLevels: 0, first: 0, beforeSplit: 0 };
const leftOut = ({ lists }: Seats) => lists.map((list) => list.find((o) => o.pick === null) ?? list.find((o) => o.uses.length === 0)!);

function relaxing(problem: Problem) {
  const seats = seatsOf(problem, 30);
  const { options, nodes } = byRelaxation(seats, 30, leftOut(seats), never);
  return { cost: costOf(seats.problem, options), margin: marginOf(seats.problem, options, 30), nodes };
}

function problemOf(build: Build, board: Board): Problem {
  const shop = workshop(build, board, 'hopeful');
  return compile(shop, layOut(shop), 7).problem;
}

/** The nodes that it took. */
function agrees(problem: Problem, seed: number): number {
  const { cost, margin, nodes } = relaxing(problem);
  const usual = solve(problem);
  expect(cost, `seed ${seed}`).toEqual(pack(usual.cost));
  expect(margin, `seed ${seed}`).toBe(usual.margin);
  return nodes;
}

describe('relaxing alone, with nothing tried out', () => {
  test('agrees with going through every hookup, on every level and on the margin', () => {
    fc.assert(
      fc.property(problemArbitrary({ parts: 5, rows: 4, tags: 2, choices: 3 }), (problem) => {
        const truth = bruteForce(problem);
        const { cost, margin } = relaxing(problem);
        expect(cost).toEqual(pack(truth.cost));
        expect(margin).toBe(truth.margin);
      }),
      { numRuns: 400, seed: 31 },
    );
  });

  test('agrees with solving as usual on builds and boards of every size', () => {
    for (let seed = 1; seed <= 100; seed++) {
      const { build, board } = randomPair(seed, { parts: 4 + (seed % 9), ports: 2 + (seed % 6), rails: 2 + (seed % 5), bridges: seed % 4 });
      agrees(problemOf(build, board), seed);
    }
  });

  // The two of the first 150 problems of full size that take most splits: cuts do it for nearly all others.
  test.each([8, 59])('agrees with solving as usual where a relaxation has to be split: %i', (seed) => {
    const { build, board } = randomPair(seed, largest);
    expect(agrees(problemOf(build, board), seed)).toBeGreaterThan(levelOrder.length + marginSteps.length);
  });
});
