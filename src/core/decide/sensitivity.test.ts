import { expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild } from '../tests/make';
import { rankClimbs } from './rank-shelf';
import { tippingPoints } from './sensitivity';

/** Two boards alike, of which one is 10 dearer. */
const build = makeBuild();
const cheap = makeBoard({ id: 'a', name: 'A' });
const dear = makeBoard({
  id: 'b',
  name: 'B',
  offers: [{ shop: 'Test Shop', cents: 6000, shippingCents: 500, seen: '2026-11-01' }],
});
const tipping = tippingPoints(build, cheap, rankClimbs([cheap, dear].map((b) => evaluate(build, b))));
const at = (field: string, direction: 'below' | 'above') =>
  tipping.find((t) => t.field === field && t.direction === direction);

test('a figure tips where the rules say, to a hundredth of it', () => {
  // Landed 55 and 65; a gram more, or a millimetre, and the other one is the better; rungs 1 and 2 want a pack of four cells.
  for (const [field, direction, threshold] of [
    ['offers', 'above', 65],
    ['massG', 'above', 20],
    ['lengthMm', 'above', 36],
    ['packCells.max', 'below', 4],
    ['packCells.min', 'above', 4],
    ['esc.channels', 'below', 4],
    // A burst below what is carried for long, or a continuous rating above the burst, cannot be true.
    ['esc.burstAmps', 'below', 40],
    ['esc.continuousAmps', 'above', 50],
  ] as const) {
    const found = at(field, direction);
    expect(found, `${field} ${direction}`).toMatchObject({ then: 'B' });
    expect(Math.abs(found!.at - threshold), `${field} ${direction}: ${found!.at}`).toBeLessThan(0.01 * found!.now);
  }
});

test('figures are named with their unit and what they are now, the nearest first', () => {
  expect(at('offers', 'above')).toMatchObject({ says: 'Landed price', unit: '€', now: 55 });
  expect(at('massG', 'above')).toMatchObject({ says: 'Mass', unit: 'g', now: 20 });
  const distances = tipping.map((t) => Math.abs(t.at - t.now) / t.now);
  expect(distances).toEqual([...distances].sort((a, b) => a - b));
});

test('what decides nothing does not tip', () => {
  expect(at('storageMb', 'above')).toBeUndefined();
  expect(at('offers', 'below')).toBeUndefined();
  // What is made in steps does not go by more or less.
  expect(tipping.filter((t) => t.field.startsWith('mounting'))).toEqual([]);
});
