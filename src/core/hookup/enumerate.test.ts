import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { leastOf } from '../tests/every-hookup';
import { problemArbitrary } from '../tests/random-problem';
import { relaxed } from '../tests/relaxed';
import { levelOrder } from './cost';
import { enumerate } from './enumerate';
import { totalsOf } from './model';
import { boundOf, copyRelaxation, setCap, sharesOf, type Relaxation } from './relax';
import { standTogether } from './search';

const effort = levelOrder.indexOf('effort');
const problems = problemArbitrary({ parts: 5, rows: 4, tags: 2, choices: 3 });

/** Without prices: nothing is left out because of a bound. */
const unpriced = (node: Relaxation) => ({ bound: -Infinity, rise: new Float64Array(node.alive.length) });
const noShares = (node: Relaxation) => new Float64Array(node.alive.length);

describe('trying out what a node has left, fewest first', () => {
  test('finds the least of a level that going through every hookup finds', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const node = relaxed(problem);
        const truth = leastOf(node, effort);
        const { best, ended } = enumerate(node, effort, 1e6, 1e6, unpriced(node), noShares(node), Infinity);
        expect(ended).toBe(true);
        expect(totalsOf(node.model, best!)[node.model.sums + effort]).toBe(truth);
        expect(enumerate(node, effort, truth, 1e6, unpriced(node), noShares(node), Infinity)).toEqual({ best: null, ended: true });
      }),
      { numRuns: 300, seed: 41 },
    );
  });

  test('with the prices of the relaxation, what the bound rules out is skipped and nothing else', () => {
    fc.assert(
      fc.property(problems, (problem) => {
        const node = relaxed(problem);
        const truth = leastOf(node, effort);
        const solved = copyRelaxation(node);
        const bound = boundOf(solved, effort);
        const { best, ended } = enumerate(node, effort, truth + 1, 1e6, bound, sharesOf(solved), truth + 1e-6);
        expect(ended).toBe(true);
        expect(totalsOf(node.model, best!)[node.model.sums + effort]).toBe(truth);
      }),
      { numRuns: 300, seed: 42 },
    );
  });

  test('asked for any hookup it stops at the first, which stands; where a level is held too low there is none', () => {
    fc.assert(
      fc.property(problems, fc.integer({ min: 0, max: 6 }), (problem, cap) => {
        const node = relaxed(problem);
        setCap(node, node.model.sums + effort, cap);
        const possible = leastOf(node, effort) <= cap;
        const { best, ended } = enumerate(node, -1, 1, 1e6, { bound: 0, rise: noShares(node) }, noShares(node), 1e-6);
        expect([best !== null, ended]).toEqual([possible, true]);
        if (best) expect(standTogether(node, best)).not.toBeNull();
      }),
      { numRuns: 300, seed: 43 },
    );
  });

  test('out of steps it proves nothing', () => {
    const problem = fc.sample(problems, { numRuns: 40, seed: 44 }).find((p) => p.parts.length === 5)!;
    const node = relaxed(problem);
    expect(enumerate(node, effort, 1e6, 1, unpriced(node), noShares(node), Infinity).ended).toBe(false);
  });
});
