import fc from 'fast-check';
import { beforeAll, describe, expect, test } from 'vitest';
import type { Highs } from 'highs';
import { loadHighs } from '../tests/milp';
import { dual } from './dual';
import { primal } from './primal';
import { isOff, renew } from './renew';
import { columnOf, copySimplex, moveLimit, pivot, rowTimes, simplexOf, valueOf, wake, type Simplex } from './simplex';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

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

  test('lines and columns stay those of the inverse through exchanges, waking rows, moved limits and copies', () => {
    fc.assert(
      fc.property(fc.array(line(-4, 9, 5), { minLength: 6, maxLength: 6 }), line(-5, 30, 6), line(-6, 6, 5), line(-4, 4, 3), (rows, bounds, costs, moves) => {
        let a = programme(rows, bounds, costs, 2);
        const look = () => {
          expect(isOff(a)).toBe(false);
          const entries = new Float64Array(a.cols + a.rows);
          const column = new Float64Array(a.rows);
          for (let place = 0; place < a.places; place++) {
            rowTimes(a, place, entries);
            for (let other = 0; other < a.places; other++) expect(entries[a.basic[other]!]).toBeCloseTo(place === other ? 1 : 0, 7);
            for (let col = 0; col < a.cols; col++) {
              if (a.placeOf[col]! >= 0) continue;
              columnOf(a, col, column);
              expect(column[place]).toBeCloseTo(entries[col]!, 7);
            }
          }
        };
        for (const [step, by] of moves.entries()) {
          dual(a, rows.length, 40);
          primal(a, rows.length, 40);
          look();
          if (step < 2) wake(a, rows.length - 2 + step);
          moveLimit(a, step, by);
          const copy = copySimplex(a);
          look();
          renew(a);
          look();
          a = copy;
        }
      }),
      { numRuns: 150, seed: 6 },
    );
  });

  test('a column that hangs on the others but for dust gives way to a slack when the inverse is worked out afresh', () => {
    const a = programme([[1, 1], [1, 1 + 5e-8]], [1, 1], [1, 1]);
    pivot(a, 0, 0);
    pivot(a, 1, 1);
    expect(renew(a)).toBe(true);
    expect(a.placeOf[1]).toBe(-1);
    expect([...a.stands.subarray(0, 3)].every(Number.isFinite)).toBe(true);
    expect(renew(a)).toBe(false);
    expect(dual(a, 2, 20).kind).toBe('done');
    expect(valueOf(a, 0)).toBe(1);
  });
});
