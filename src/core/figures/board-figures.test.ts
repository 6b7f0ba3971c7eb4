import { describe, expect, test } from 'vitest';
import { makeBoard, regulator, says, unknown } from '../tests/make';
import { figureWords } from '../quantity/figure';
import { boardFigures } from './board-figures';
import { railFigures } from './rail-figures';
import { completenessOf } from './completeness';

describe('the figures of a board', () => {
  const board = makeBoard({
    motorLine: { value: 'digital', origin: 'manual' },
    rails: [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
      { id: 'five', label: '5 V', pads: [], source: regulator(5, 2) },
    ],
  });

  test.each(boardFigures.map((f) => [f.field, f] as const))(
    '%s: what is set is what is read, nothing else changes, and there is a question for it',
    (_, f) => {
      const made = f.set(board, unknown as never);
      expect(f.get(made)).toEqual(unknown);
      const before = f.get(board);
      if (before) expect(f.set(made, before as never)).toEqual(board);
      expect(f.ask).toMatch(/^[A-Z].*\?$/);
    },
  );

  test('a regulator has volts, amps and drop-out of its own; a rail without one has none', () => {
    expect(railFigures(board).map((f) => f.field)).toEqual([
      'rails[1].source.outVolts',
      'rails[1].source.ratedAmps',
      'rails[1].source.dropOutVolts',
      'rails[1].source.inputVolts.min',
      'rails[1].source.inputVolts.max',
    ]);
    const ranged = railFigures(board)[4]!.set(board, says(26) as never);
    expect(ranged.rails[1]!.source).toMatchObject({ inputVolts: { min: unknown, max: says(26) } });
    expect(railFigures(ranged)[4]!.set(ranged, unknown as never).rails[1]!.source).not.toHaveProperty('inputVolts');
    const made = railFigures(board)[1]!.set(board, says(3) as never);
    expect(made.rails[1]!.source).toMatchObject({ ratedAmps: says(3), outVolts: says(5) });
    expect(made.rails[0]).toBe(board.rails[0]);
  });

  test('completeness: one more unknown is one known less, and the question for it appears', () => {
    const full = completenessOf(board);
    const less = completenessOf({ ...board, massG: unknown });
    expect([less.known, less.total]).toEqual([full.known - 1, full.total]);
    expect(less.missing.map((m) => m.field)).toEqual(
      [...full.missing.map((m) => m.field), 'massG'].sort(
        (a, b) => boardFigures.findIndex((f) => f.field === a) - boardFigures.findIndex((f) => f.field === b),
      ),
    );
    expect(Object.values(less.origins).reduce((a, b) => a! + b!, 0)).toBe(less.total);
  });

  test('a board without an ESC does not miss its figures', () => {
    const bare = completenessOf(makeBoard({ esc: undefined }));
    expect(bare.total).toBeLessThan(completenessOf(makeBoard()).total);
    expect(bare.missing.some((m) => m.field.startsWith('esc.'))).toBe(false);
  });

  test.each([
    [undefined, 'g', 'unknown'],
    [unknown, 'g', 'unknown'],
    [says(8.5), 'g', '8.5 g'],
    [{ low: 3, high: 6, origin: 'manual' as const }, 'V', '3 to 6 V'],
    [{ value: true, origin: 'manual' as const }, '', 'yes'],
    [{ value: 'F7', origin: 'manual' as const }, '', 'F7'],
  ])('%j in %j reads "%s"', (figure, unit, words) => expect(figureWords(figure as never, unit)).toBe(words));
});
