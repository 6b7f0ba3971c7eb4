import { expect, test } from 'vitest';
import { boardSchema } from '../records/board';
import { newBoard } from '../records/new-board';
import { readHoles, withHoles } from './read-holes';

const sizes = (text: string) => readHoles(text).map((h) => [h.alongMm, h.acrossMm, h.screw]);

test.each([
  ['Mounting: 45 x 19 mm, four M2 holes', [[45, 19, 'M2']]],
  [
    'with two hole patterns: 20 x 20 mm (M2) and 30.5 x 30.5 mm (M3)',
    [
      [20, 20, 'M2'],
      [30.5, 30.5, 'M3'],
    ],
  ],
  [
    'Lochabstand 20 x 20 mm / 30,5 x 30,5 mm',
    [
      [20, 20, null],
      [30.5, 30.5, null],
    ],
  ],
  ['Mounting: four M3 at 70 x 62 mm', [[70, 62, null]]],
  ['Rectangular pattern: 45 mm along, 29.5 mm across, M2', [[45, 29.5, 'M2']]],
  [
    'Lochabstand 30,5 mm (M3), Zweitraster 20 mm (M2)',
    [
      [30.5, 30.5, 'M3'],
      [20, 20, 'M2'],
    ],
  ],
])('%s', (text, expected) => expect(sizes(text)).toEqual(expected));

test.each([
  ['one square pattern is a figure as others are', 'Holes: 30.5 x 30.5 mm, M3'],
  ['a size is none', 'Size: 36 x 41 mm'],
  ['columns are of several boards', 'Holes    20 mm, M2    30.5 mm, M3'],
  ['holes and a size on one line', 'Mounting 30.5 x 30.5 mm M3, size 36 x 41 mm'],
  ['what an adapter fits is none of the board', 'holes 25.5 x 25.5, with the adapter 20 x 20 or 30.5 x 30.5'],
])('%s', (_, text) => expect(readHoles(text)).toEqual([]));

test('they land on the board in place of what was there, with their line', () => {
  const board = withHoles(newBoard('m', 'M', 'T'), readHoles('Mounting: 45 x 19 mm, four M2 holes'), {
    origin: 'manual',
    seen: '2026-11-28',
  });
  expect(board.mounting.patterns).toMatchObject([
    { alongMm: { value: 45, origin: 'manual' }, acrossMm: { value: 19 }, screw: { value: 'M2' } },
  ]);
  expect(boardSchema.safeParse(board).success).toBe(true);
});
