import { describe, expect, test } from 'vitest';
import { numberFigureSchema } from './figure';
import { ground } from './ground';
import { countingWord, withWord } from './word';

const claim = { value: 3, origin: 'claim', source: 'shop page', seen: '2026-10-01' } as const;
const measured = { value: 2.2, origin: 'measured', source: 'logbook', seen: '2026-11-20' } as const;

describe('several words on one figure', () => {
  test('a new word counts, the old one stays beside it with its origin and day', () => {
    const both = withWord(claim, measured);
    expect(both).toEqual({ ...measured, also: [claim] });
    expect(numberFigureSchema.parse(both)).toEqual(both);
    expect(ground('5 V, amps', both, 'A').also).toEqual([
      { what: '5 V, amps', figure: '3 A', origin: 'claim', source: 'shop page', seen: '2026-10-01' },
    ]);
  });
  test('the same speaker from the same source is put right, not heard twice', () =>
    expect(withWord(claim, { ...claim, value: 2.5 })).toEqual({ ...claim, value: 2.5 }));
  test('unknown takes the place of every word, and any word that of unknown', () => {
    expect(withWord(claim, { unknown: true })).toEqual({ unknown: true });
    expect(withWord({ unknown: true }, claim)).toEqual(claim);
  });
  test('another word may count instead; twice the same turn is the figure as it was', () => {
    const both = withWord(claim, measured);
    expect(countingWord(both, 0)).toEqual({ ...claim, also: [measured] });
    expect(countingWord(countingWord(both, 0), 0)).toEqual(both);
    expect(countingWord(both, 5)).toBe(both);
  });
  test('no more than twelve are kept, the newest first', () => {
    let figure = withWord(undefined, claim);
    for (let i = 0; i < 20; i++) figure = withWord(figure, { value: i, origin: 'report', source: `buyer ${i}` });
    expect(figure).toMatchObject({ value: 19, also: { length: 12, 0: { value: 18 } } });
    expect(numberFigureSchema.safeParse(figure).success).toBe(true);
  });
});
