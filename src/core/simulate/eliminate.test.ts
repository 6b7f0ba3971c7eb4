import fc from 'fast-check';
import { LuDecomposition, Matrix } from 'ml-matrix';
import { expect, test } from 'vitest';
import { eliminate } from './eliminate';

const entry = fc.oneof({ weight: 3, arbitrary: fc.constant(0) }, fc.integer({ min: -1000, max: 1000 }));
/** Nearly empty, with a strong entry in every row and column, rows turned over so that pivots must be looked for. */
const system = fc.integer({ min: 1, max: 12 }).chain((n) => {
  const list = fc.array(entry, { minLength: n, maxLength: n });
  return fc.tuple(fc.array(list, { minLength: n, maxLength: n }), list).map(([rows, right]) => ({
    rows: rows.map((r, i) => r.map((x, j) => (i === j ? x + 20_000 : x))).reverse(),
    right,
  }));
});

test('agrees with an independent package (ml-matrix) on sparse systems', () => {
  fc.assert(
    fc.property(system, ({ rows, right }) => {
      const mine = eliminate(
        rows.map((r) => Float64Array.from(r)),
        Float64Array.from(right),
      )!;
      const theirs = new LuDecomposition(new Matrix(rows)).solve(Matrix.columnVector(right)).to1DArray();
      mine.forEach((x, i) => expect(Math.abs(x - theirs[i]!)).toBeLessThan(1e-9 * (1 + Math.abs(theirs[i]!))));
    }),
    { numRuns: 300 },
  );
});

test('a system without a single answer has none', () =>
  expect(eliminate([Float64Array.of(1, 2), Float64Array.of(2, 4)], Float64Array.of(1, 1))).toBeNull());
