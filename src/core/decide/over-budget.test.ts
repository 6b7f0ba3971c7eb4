import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild } from '../tests/make';
import { overBudget } from './over-budget';
import { rankClimbs } from './rank-shelf';

describe('a budget that no board keeps to', () => {
  const at = (budgetCents: number) =>
    rankClimbs(
      [5000, 7000].map((cents) =>
        evaluate(
          makeBuild({ limits: { takeOffMassG: 700, budgetCents } }),
          makeBoard({
            id: `b${cents}`,
            offers: [{ shop: 'Test Shop', cents, shippingCents: 500, seen: '2026-11-01' }],
          }),
        ),
      ),
    );
  test('says what the cheapest comes to; nothing as soon as one keeps to it, and nothing of an empty shelf', () => {
    const cheapest = at(100_000)
      .map((r) => r.climb.totalCents!)
      .sort((a, b) => a - b)[0]!;
    expect(overBudget(at(1000))).toBe(cheapest);
    expect(overBudget(at(cheapest))).toBeNull();
    expect(overBudget([])).toBeNull();
  });
  test('the board that is least over stands first', () =>
    expect(at(1000).map((r) => r.climb.boardId)).toEqual(['b5000', 'b7000']));
});
