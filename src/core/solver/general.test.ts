import fc from 'fast-check';
import { beforeAll, describe, expect, test } from 'vitest';
import { generalSolver } from '../../highs/general-solver';
import { compile } from '../wiring/compile';
import { layOut } from '../wiring/lay-out';
import { workshop } from '../wiring/way';
import { loadHighs, solveMilp } from '../tests/milp';
import { largest, randomPair } from '../tests/random-build';
import { problemArbitrary } from '../tests/random-problem';
import { budgetWith, OutOfSteps, type GeneralSolver } from './budget';
import { pack } from './cost';
import { solveByGeneral, worksByGeneral } from './general';
import { marginOf } from './margin';
import { dearest, search, searchOf } from './search';
import { costOf, leftOut, seatsOf, type Seats } from './seats';
import { solve } from './solve';

let general: GeneralSolver;
beforeAll(async () => {
  general = await generalSolver();
});

const problems = problemArbitrary({ parts: 5, rows: 4, tags: 2, choices: 4 });
const limitsOf = ({ problem }: Seats) => problem.rows.map((row) => row.limit);

describe('what our own search does not end', () => {
  // Two of the bench's problems: one on which a margin was lost to rounding, one on which HiGHS with its presolve found nothing.
  test.each([145, 485])(
    'problem %i is solved by the general solver, as HiGHS solves it straight from its definition',
    async (seed) => {
      const { build, board } = randomPair(seed, largest);
      const shop = workshop(build, board, 'hopeful');
      const { problem } = compile(shop, layOut(shop), 7);
      const budget = budgetWith(general);
      const ours = solve(problem, budget);
      const theirs = solveMilp(await loadHighs(), problem);
      expect([pack(ours.cost), ours.margin]).toEqual([pack(theirs.cost), theirs.margin]);
      expect(budget.delegated).toBe(1);
      expect(() => solve(problem)).toThrow(OutOfSteps);
    },
  );

  test('small problems come out as by our own search', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const seats = seatsOf(problem, 30);
        const found = solveByGeneral(seats, 30, leftOut(seats), general)!;
        const own = solve(problem);
        expect([costOf(seats.problem, found), marginOf(seats.problem, found, 30)]).toEqual([
          pack(own.cost),
          own.margin,
        ]);
      }),
      { numRuns: 60, seed: 3 },
    );
  });

  test('whether anything works at all is answered as by our own search', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const seats = seatsOf(problem, 30);
        const wanted = { ...seats, lists: seats.lists.map((list) => list.filter((o) => o.pick !== null)) };
        if (wanted.lists.some((l) => l.length === 0)) return;
        expect(worksByGeneral(wanted, general)).toBe(
          search(searchOf(wanted.problem, wanted.lists, limitsOf(wanted)), dearest, 1e6).best !== null,
        );
      }),
      { numRuns: 100, seed: 4 },
    );
  });
});

describe('an answer of the general solver is believed only as far as it can be counted again', () => {
  const { build, board } = randomPair(145, largest);
  const shop = workshop(build, board, 'hopeful');
  const { problem } = compile(shop, layOut(shop), 7);
  test.each<[string, (true_: GeneralSolver) => GeneralSolver]>([
    ['it says nothing', () => () => ({ status: 'unknown', objective: 0, valueOf: () => 0 })],
    ['it says that nothing works', () => () => ({ status: 'infeasible', objective: 0, valueOf: () => 0 })],
    ['it takes everything at once', () => () => ({ status: 'optimal', objective: 0, valueOf: () => 1 })],
    ['it takes nothing', () => () => ({ status: 'optimal', objective: 0, valueOf: () => 0 })],
    ['its sum is another one', (g) => (p) => ({ ...g(p), objective: g(p).objective + 1 })],
  ])('%s: not proved', (_, lie) => {
    expect(() => solve(problem, budgetWith(lie(general)))).toThrow(OutOfSteps);
  });
});
