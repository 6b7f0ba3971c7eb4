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
    ['STM32F722RET6', { value: 'F7' }],
    ['h743', { value: 'H7' }],
    ['F405', null],
    ['-4', null],
  ])('%s', (typed, made) => expect(valueFromText(typed, ['F7', 'H7'])).toEqual(made));
  // By hand: 1 oz is 28.349523125 g, 1 in 25.4 mm (NIST Special Publication 811, appendix B).
  test.each([
    ['8.5 g', 'g', { value: 8.5 }],
    ['0,3 oz', 'g', { value: 8.50486 }],
    ['8 to 9 g', 'g', { low: 8, high: 9 }],
    ['8 – 9', 'g', { low: 8, high: 9 }],
    ['1-2 oz', 'g', { low: 28.3495, high: 56.699 }],
    ['8 ± 0.3 g', 'g', { low: 7.7, high: 8.3 }],
    ['1.2"', 'mm', { value: 30.48 }],
    ['6S', 'cells', { value: 6 }],
    ['2500 mA', 'A', { value: 2.5 }],
    ['470 uF', 'uF', { value: 470 }],
    ['8 mm', 'g', null],
    ['about 8', 'g', null],
    ['0.1 ± 0.3', 'g', null],
    ['8 V', '', null],
  ])('%s for a figure in %s', (typed, unit, made) => expect(valueFromText(typed, [], unit)).toEqual(made));
  test.each([['USB-C'], ['type c'], ['USB Type-C'], ['c']])('%s is the plug C', (typed) =>
    expect(valueFromText(typed, ['C', 'micro'])).toEqual({ value: 'C' }),
  );
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
  test('a unit beside the number is understood, another one turned into ours', () => {
    expect(withTyped(board, 'massG', '0.75 oz', said)!.massG).toMatchObject({ value: 21.2621 });
    expect(withTyped(board, 'packCells.max', '6S', said)!.packCells.max).toMatchObject({ value: 6 });
    expect(withTyped(board, 'massG', '21 mm', said)).toBeNull();
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
