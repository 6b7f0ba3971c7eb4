import { expect, test } from 'vitest';
import { makeBoard } from '../tests/make';
import { padWords } from './pad-words';

const pad = (
  id: string,
  label: string,
  edge: 'front' | 'left' | 'rear',
  order: number,
  face: 'top' | 'bottom' = 'top',
) => ({
  id,
  label,
  edge,
  order,
  face,
});
const board = makeBoard({
  pads: [
    pad('vbat', 'VBAT', 'front', 0),
    pad('a', '5V', 'front', 1),
    pad('b', '5V', 'front', 2),
    pad('g1', 'GND', 'left', 0),
    pad('g2', 'GND', 'left', 1),
    pad('g3', 'GND', 'rear', 0),
    pad('u', 'GND', 'left', 0, 'bottom'),
    pad('tx', 'T1', 'left', 1, 'bottom'),
  ],
});

test('what is printed once is called by its print, what is printed twice also by its place', () => {
  // Orders run clockwise: up the left side, so that the later one is nearer to the nose.
  expect(['vbat', 'a', 'b', 'g1', 'g2', 'g3'].map((id) => padWords(board, id))).toEqual([
    'VBAT',
    '1st 5V from the left at the front',
    '2nd 5V from the left at the front',
    '2nd GND from the nose at the left',
    '1st GND from the nose at the left',
    'GND at the rear',
  ]);
});
test('on the underside as it is seen from below: left and right change places', () =>
  expect(['u', 'tx'].map((id) => padWords(board, id))).toEqual(['GND at the right (underside)', 'T1 (underside)']));

test('ordinals as they are said: 1st to 3rd, 11th to 13th, 21st to 23rd; in the middle from the left', () => {
  const many = makeBoard({
    rails: [],
    pads: Array.from({ length: 23 }, (_, i) => ({ id: `g${i + 1}`, label: 'GND', edge: 'inner' as const, order: i })),
  });
  expect(
    [1, 2, 3, 4, 11, 12, 13, 21, 22, 23].map((n) =>
      padWords(many, `g${n}`).replace(' GND from the left in the middle', ''),
    ),
  ).toEqual(['1st', '2nd', '3rd', '4th', '11th', '12th', '13th', '21st', '22nd', '23rd']);
});

test('on the right they count from the nose; a pad that is not there has no words', () => {
  const right = makeBoard({
    rails: [],
    pads: [0, 1].map((order) => ({ id: `v${order}`, label: '5V', edge: 'right' as const, order })),
  });
  expect(['v0', 'v1', 'v9'].map((id) => padWords(right, id))).toEqual([
    '1st 5V from the nose at the right',
    '2nd 5V from the nose at the right',
    '?',
  ]);
});
