import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { problemArbitrary } from '../tests/random-problem';
import { relaxed } from '../tests/relaxed';
import { cost } from './cost';
import { brokenCovers } from './covers';
import { boundOf, sharesOf } from './relax';
import type { Problem } from './problem';

/** Parts that each want so many mA of one regulator, or stay unmet. */
const onOneRegulator = (limit: number, ...amps: number[]): Problem => ({
  rows: [{ id: 'peak:five', limit }],
  tags: [],
  parts: amps.map((a, i) => ({ id: `part${i}`, unmet: cost({ must: 1 }), modes: [{ id: 'mode', cost: cost({}), needs: [{ id: 'supply', choices: [{ cost: cost({}), margin: Infinity, uses: [[0, a]], tags: [] }] }] }] })),
});

/** Shares by part: so much of its load, the rest of leaving it out. */
function sharesFor(problem: Problem, taken: number[]): { node: ReturnType<typeof relaxed>; shares: Float64Array } {
  const node = relaxed(problem);
  const shares = new Float64Array(node.alive.length);
  for (let o = 0; o < shares.length; o++) {
    const p = node.model.partOf[o]!;
    shares[o] = node.model.options[o]!.pick ? taken[p]! : 1 - taken[p]!;
  }
  return { node, shares };
}

describe('covers of a full row', () => {
  test('by hand: of three 400 mA parts on 1000 mA two can stand, and a larger fourth counts with them', () => {
    // 400 + 400 + 400 > 1000. The relaxed hookup takes 0.8 of each: 960 mA, within the limit, but 2.4 parts where 2 can stand.
    const { node, shares } = sharesFor(onOneRegulator(1000, 400, 400, 400, 700), [0.8, 0.8, 0.8, 0]);
    const [cover] = brokenCovers(node, shares, 33);
    expect(cover!.limit).toBe(2);
    expect(cover!.options.map((o) => node.model.partOf[o])).toEqual([0, 1, 2, 3]);
  });

  test('by hand: a row with room for whole parts has no broken cover', () => {
    const { node, shares } = sharesFor(onOneRegulator(1000, 400, 400, 400), [1, 1, 0]);
    expect(brokenCovers(node, shares, 33)).toEqual([]);
  });

  test('by hand: the relaxation with covers sees that the third part stays unmet', () => {
    // Without covers 2.5 parts fit 1000 mA, so half a must is the bound; with them it is the whole one.
    const node = relaxed(onOneRegulator(1000, 400, 400, 400));
    expect(boundOf(node, 0).bound).toBeCloseTo(1, 6);
  });

  test('every cover is broken by the relaxed hookup and kept by every set of options that the row can carry', () => {
    let found = 0;
    fc.assert(
      fc.property(problemArbitrary({ parts: 5, rows: 2, tags: 1, choices: 3 }), fc.integer(), (problem, seed) => {
        const node = relaxed(problem);
        const { model, caps } = node;
        boundOf(node, 0);
        const parts = model.first.length - 1;
        // What the relaxation takes, and shares of no meaning: separation must be right for any.
        const odd = new Float64Array(node.alive.length);
        for (let p = 0; p < parts; p++) {
          let sum = 0;
          for (let o = model.first[p]!; o < model.first[p + 1]!; o++) sum += odd[o] = ((o * 7919 + Math.abs(seed % 1000)) * 0.618) % 1;
          for (let o = model.first[p]!; o < model.first[p + 1]!; o++) odd[o]! /= sum;
        }
        for (const shares of [sharesOf(node), odd]) {
          for (const { options, limit } of brokenCovers(node, shares, 1)) {
            found++;
            expect(options.reduce((sum, o) => sum + shares[o]!, 0)).toBeGreaterThan(limit + 0.01);
            expect(mostTogether(options)).toBeLessThanOrEqual(limit);
          }
        }
        /** Over all rows: the most of these options, one a part, that a row can carry; the least over the rows is what a cover may say. */
        function mostTogether(options: number[]): number {
          const perRow = Array.from({ length: model.rows }, (_, r) => {
            const cheapest = Array.from({ length: parts }, (_, p) => Math.min(...options.filter((o) => model.partOf[o] === p).map((o) => amountOn(o, r))));
            // Lightest first is the best way to put many on one row.
            let left = caps[r]!;
            return cheapest.filter(Number.isFinite).sort((a, b) => a - b).filter((a) => (left -= a) >= 0).length;
          });
          return Math.min(...perRow);
        }
        function amountOn(o: number, r: number): number {
          for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (model.row[i] === r) return model.amount[i]!;
          return 0;
        }
      }),
      { numRuns: 600, seed: 31 },
    );
    expect(found).toBeGreaterThan(100);
  });
});
