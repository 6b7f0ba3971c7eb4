import { describe, expect, test } from 'vitest';
import { makeBoard, regulator } from '../tests/make';
import { valueFromText } from './figure-text';
import { withTyped } from './typed-figure';

describe('what a person types for a figure', () => {
  test.each([
    ['8.5', { value: 8.5 }],
    ['8,5', { value: 8.5 }],
    ['7..9', { low: 7, high: 9 }],
    ['7,5 to 9', { low: 7.5, high: 9 }],
    ['', { unknown: true }],
    ['?', { unknown: true }],
    ['Yes', { value: true }],
    ['no', { value: false }],
    ['9..7', null],
    ['heavy', null],
    ['h7', { value: 'H7' }],
  ])('%s', (typed, made) => expect(valueFromText(typed, ['F7', 'H7'])).toEqual(made));
});

describe('a typed figure on a board', () => {
  const said = { origin: 'manual' as const, seen: '2026-11-25', who: 'manual, typed in' };
  const board = makeBoard({
    rails: [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
      { id: 'five', label: '5 V', source: regulator(5, 2) },
    ],
  });
  test('carries whose word it is and the day, and keeps what stood there before', () => {
    const next = withTyped(board, 'massG', '21,5', said)!;
    expect(next.massG).toEqual({ value: 21.5, origin: 'manual', seen: '2026-11-25' });
    expect(next.history).toEqual([
      { when: '2026-11-25', field: 'massG', before: '20 g', after: '21.5 g', who: 'manual, typed in' },
    ]);
  });
  test('a regulator is answered like any other figure', () => {
    expect(withTyped(board, 'rails[1].source.ratedAmps', '3', said)!.rails[1]!.source).toMatchObject({
      ratedAmps: { value: 3, origin: 'manual' },
    });
  });
  test.each([
    ['massG', 'yes'],
    ['barometer', '3'],
    ['processor', 'Z9'],
    ['massG', '-4'],
    ['nothing', '3'],
  ])('%s: "%s" is not taken', (field, typed) => expect(withTyped(board, field, typed, said)).toBeNull());
  test('empty makes it unknown again', () =>
    expect(withTyped(board, 'massG', '', said)!.massG).toEqual({ unknown: true }));
});
