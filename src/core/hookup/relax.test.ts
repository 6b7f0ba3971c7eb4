import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { leastOf } from '../tests/every-hookup';
import { problemArbitrary } from '../tests/random-problem';
import { relaxed } from '../tests/relaxed';
import { levelOrder } from './cost';
import { totalsOf } from './model';
import { propagate } from './propagate';
import { lowerToReachable } from './reachable';
import { boundOf, copyRelaxation } from './relax';
import { searchLevel } from './search';

const effort = levelOrder.indexOf('effort');
const small = problemArbitrary({ parts: 5, rows: 4, tags: 2, choices: 3 });

describe('bounds and cuts never lose a hookup', () => {
  test('the bound of the relaxation is never above the true least, and says impossible only when it is', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const node = relaxed(problem);
        const truth = leastOf(node, effort);
        const { bound } = boundOf(copyRelaxation(node), effort);
        expect(bound).toBeLessThanOrEqual(truth + 1e-6);
        if (truth === Infinity) return;
        expect(bound).toBeLessThan(Infinity);
      }),
      { numRuns: 400, seed: 21 },
    );
  });

  test('taking an option never costs less than the bound and its rise say', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const node = relaxed(problem);
        const { bound, rise } = boundOf(copyRelaxation(node), effort);
        for (let o = 0; o < node.alive.length; o++) {
          const only = copyRelaxation(node);
          for (let x = node.model.first[node.model.partOf[o]!]!; x < node.model.first[node.model.partOf[o]! + 1]!; x++) if (x !== o) only.alive[x] = 0;
          expect(bound + rise[o]!).toBeLessThanOrEqual(leastOf(only, effort) + 1e-6);
        }
      }),
      { numRuns: 120, seed: 22 },
    );
  });

  test('propagation and lowered caps leave the true least as it was', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const node = relaxed(problem);
        const before = leastOf(node, effort);
        const cut = copyRelaxation(node);
        if (!propagate(cut)) {
          expect(before).toBe(Infinity);
          return;
        }
        lowerToReachable(cut, 0);
        expect(leastOf(cut, effort)).toBe(before);
      }),
      { numRuns: 400, seed: 23 },
    );
  });

  test('searching a level and going through every hookup find the same least', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const node = relaxed(problem);
        const truth = leastOf(node, effort);
        const { best } = searchLevel(copyRelaxation(node), effort, 1e6, 1);
        expect(best ? totalsOf(node.model, best)[node.model.sums + effort]! : Infinity).toBe(truth);
      }),
      { numRuns: 400, seed: 24 },
    );
  });

  test('a level held at its least keeps every hookup that reaches it', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const node = relaxed(problem);
        const truth = leastOf(node, effort);
        if (truth === Infinity) return;
        const { best } = searchLevel(copyRelaxation(node), effort, truth + 1, 1);
        expect(best).not.toBeNull();
        expect(searchLevel(copyRelaxation(node), effort, truth, 1).best).toBeNull();
      }),
      { numRuns: 200, seed: 25 },
    );
  });
});
