import fc from 'fast-check';
import { beforeAll, describe, expect, test } from 'vitest';
import type { Highs } from 'highs';
import { leastOf } from '../tests/every-hookup';
import { loadHighs } from '../tests/milp';
import { problemArbitrary } from '../tests/random-problem';
import { relaxed } from '../tests/relaxed';
import { levelOrder } from './cost';
import { totalsOf } from './model';
import { propagate } from './propagate';
import { lowerToReachable } from './reachable';
import { boundOf, copyRelaxation } from './relax';
import { searchLevel } from './search';
import { dual, primal, simplexOf, valueOf, wake, type Simplex } from './simplex';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const effort = levelOrder.indexOf('effort');
const small = problemArbitrary({ parts: 5, rows: 4, tags: 2, choices: 3 });

/** Rows of plain numbers, each at most its bound; the last one, where there are costs, carries them. */
function programme(rows: number[][], bounds: number[], costs: number[] | null, asleep = 0): Simplex {
  const all = costs ? [...rows, costs] : rows;
  const columns = rows[0]!.map((_, c) => ({ rows: all.map((_, r) => r), values: all.map((row) => row[c]!) }));
  const a = simplexOf(Float64Array.from(all, (_, r) => bounds[r] ?? 0), columns, rows.length - asleep, rows.length);
  if (costs) a.free[rows.length] = 1;
  return a;
}

/** The least by HiGHS, or null where nothing goes. */
function leastByHighs(rows: number[][], bounds: number[], costs: number[]): number | null {
  const sum = (row: number[]) => row.map((v, c) => `${v >= 0 ? '+' : '-'} ${Math.abs(v)} x${c}`).join(' ');
  const solved = highs.solve(['Minimize', ` obj: ${sum(costs)}`, 'Subject To', ...rows.map((row, r) => ` c${r}: ${sum(row)} <= ${bounds[r]}`), 'End'].join('\n'));
  return solved.Status === 'Optimal' ? solved.ObjectiveValue : null;
}

describe('the simplex method', () => {
  const line = (low: number, high: number, length: number) => fc.array(fc.integer({ min: low, max: high }), { minLength: length, maxLength: length });
  const worth = (a: Simplex, costs: number[]) => costs.reduce((sum, c, j) => sum + c * valueOf(a, j), 0);

  test('the primal method agrees with HiGHS on random linear programmes: least c x, A x <= b, x >= 0', () => {
    fc.assert(
      fc.property(fc.array(line(-4, 9, 4), { minLength: 3, maxLength: 5 }), line(1, 30, 5), line(-6, 6, 4), (some, limits, costs) => {
        // A bounding row keeps every programme finite.
        const rows = [...some, [1, 1, 1, 1]];
        const bounds = [...limits.slice(0, some.length), 20];
        const a = programme(rows, bounds, costs);
        expect(primal(a, rows.length, 300)).toBe(true);
        expect(worth(a, costs)).toBeCloseTo(leastByHighs(rows, bounds, costs)!, 6);
      }),
      { numRuns: 200, seed: 3 },
    );
  });

  test('the dual method agrees with HiGHS where limits are below nought, also on which programmes are impossible', () => {
    let impossible = 0;
    fc.assert(
      fc.property(fc.array(line(-9, 9, 4), { minLength: 3, maxLength: 6 }), line(-12, 12, 6), line(0, 6, 4), (some, limits, costs) => {
        const rows = [...some, [1, 1, 1, 1]];
        const bounds = [...limits.slice(0, some.length), 20];
        const a = programme(rows, bounds, costs);
        const ended = dual(a, rows.length, 300);
        const truth = leastByHighs(rows, bounds, costs);
        if (truth === null) impossible++;
        expect(ended.kind).toBe(truth === null ? 'impossible' : 'done');
        if (truth === null) return;
        // The dual method works with slightly changed costs; the primal one cleans up.
        expect(primal(a, rows.length, 300)).toBe(true);
        expect(worth(a, costs)).toBeCloseTo(truth, 6);
      }),
      { numRuns: 300, seed: 4 },
    );
    expect(impossible).toBeGreaterThan(20);
  });

  test('a row that wakes late changes the answer as if it had always been there', () => {
    fc.assert(
      fc.property(fc.array(line(-4, 9, 4), { minLength: 3, maxLength: 5 }), line(1, 30, 5), line(0, 9, 4), fc.integer({ min: 1, max: 30 }), line(-6, 6, 4), (some, limits, extra, extraLimit, costs) => {
        const rows = [...some, [1, 1, 1, 1], extra];
        const bounds = [...limits.slice(0, some.length), 20, extraLimit];
        const a = programme(rows, bounds, costs, 1);
        expect(primal(a, rows.length, 300)).toBe(true);
        wake(a, rows.length - 1);
        expect(dual(a, rows.length, 300).kind).toBe('done');
        expect(primal(a, rows.length, 300)).toBe(true);
        expect(worth(a, costs)).toBeCloseTo(leastByHighs(rows, bounds, costs)!, 6);
      }),
      { numRuns: 200, seed: 5 },
    );
  });
});

describe('bounds and cuts never lose a hookup', () => {
  test('the bound of the relaxation is never above the true least, and says impossible only when it is', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const node = relaxed(problem);
        const truth = leastOf(node, effort);
        const { bound } = boundOf(copyRelaxation(node), effort, true);
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
        const { bound, rise } = boundOf(copyRelaxation(node), effort, true);
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
