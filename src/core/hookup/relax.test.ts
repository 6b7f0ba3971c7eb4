import fc from 'fast-check';
import { beforeAll, describe, expect, test } from 'vitest';
import type { Highs } from 'highs';
import { loadHighs } from '../tests/milp';
import { problemArbitrary } from '../tests/random-problem';
import { levelOrder } from './cost';
import { enumerate } from './enumerate';
import { modelOf, totalsOf } from './model';
import { optionsOf } from './options';
import { propagate } from './propagate';
import { lowerToReachable } from './reachable';
import { boundOf, copyRelaxation, relaxationOf, type Relaxation } from './relax';
import { searchLevel, standTogether } from './search';
import { dual, emptyTableau, primal, valueOf, type Tableau } from './tableau';
import type { Problem } from './problem';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const relaxed = (problem: Problem): Relaxation => {
  const model = modelOf(problem, problem.parts.map((p) => optionsOf(p, 30)));
  const caps = Float64Array.from({ length: model.rows }, (_, r) => problem.rows[r]?.limit ?? Infinity);
  return relaxationOf(model, caps, model.first.slice(0, -1));
};
const effort = levelOrder.indexOf('effort');
const small = problemArbitrary({ parts: 5, rows: 4, tags: 2, choices: 3 });

/** Every combination of options, by brute force: the least of a level, and whether there is any hookup. */
function leastOf(node: Relaxation, level: number): number {
  const { model } = node;
  let best = Infinity;
  const pick = new Int32Array(model.first.length - 1);
  const walk = (p: number) => {
    if (p === pick.length) {
      const totals = standTogether(node, pick);
      if (totals) best = Math.min(best, level < 0 ? 0 : totals[model.sums + level]!);
      return;
    }
    for (let o = model.first[p]!; o < model.first[p + 1]!; o++) {
      if (!node.alive[o]) continue;
      pick[p] = o;
      walk(p + 1);
    }
  };
  walk(0);
  return best;
}

describe('the simplex tableau', () => {
  test('agrees with HiGHS on random linear programmes: least c x, A x <= b, x >= 0', () => {
    const entry = fc.integer({ min: -4, max: 9 });
    fc.assert(
      fc.property(fc.array(fc.array(entry, { minLength: 4, maxLength: 4 }), { minLength: 3, maxLength: 5 }), fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 5, maxLength: 5 }), fc.array(fc.integer({ min: -6, max: 6 }), { minLength: 4, maxLength: 4 }), (rows, limits, costs) => {
        // A bounding row keeps every programme finite.
        const all = [...rows, [1, 1, 1, 1]];
        const bounds = [...limits.slice(0, rows.length), 20];
        const a: Tableau = emptyTableau(all.length + 1, 4);
        const width = a.cols + 1;
        all.forEach((row, r) => {
          row.forEach((v, c) => (a.t[r * width + c] = v));
          a.t[r * width + a.cols] = bounds[r]!;
        });
        costs.forEach((v, c) => (a.t[all.length * width + c] = v));
        a.free[all.length] = 1;
        expect(primal(a, all.length, 300)).toBe(true);
        const mine = costs.reduce((sum, c, j) => sum + c * valueOf(a, j), 0);
        const sum = (row: number[]) => row.map((v, c) => `${v >= 0 ? '+' : '-'} ${Math.abs(v)} x${c}`).join(' ');
        const text = ['Minimize', ` obj: ${sum(costs)}`, 'Subject To', ...all.map((row, r) => ` c${r}: ${sum(row)} <= ${bounds[r]}`), 'End'].join('\n');
        expect(mine).toBeCloseTo(highs.solve(text).ObjectiveValue, 6);
      }),
      { numRuns: 200, seed: 3 },
    );
  });

  test('the dual step brings a negative right side back, or names the row that forbids it', () => {
    // x0 + x1 <= 4 and -x0 - x1 <= -2: possible; with the first at 1: impossible.
    const make = (limit: number) => {
      const a = emptyTableau(2, 2);
      a.t.set([1, 1, 1, 0, limit, -1, -1, 0, 1, -2]);
      return a;
    };
    expect(dual(make(4), -1, 50)).toEqual({ kind: 'done' });
    expect(dual(make(1), -1, 50).kind).toBe('impossible');
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

  test('searching a level and trying every option by hand find the same least', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const node = relaxed(problem);
        const truth = leastOf(node, effort);
        const { best } = searchLevel(copyRelaxation(node), effort, 1e6, 1);
        expect(best ? totalsOf(node.model, best)[node.model.sums + effort]! : Infinity).toBe(truth);
        const tried = enumerate(node, effort, 1e6, 1e6);
        expect(tried.ended).toBe(true);
        expect(tried.best ? totalsOf(node.model, tried.best)[node.model.sums + effort]! : Infinity).toBe(truth);
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
