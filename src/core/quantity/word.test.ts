import { describe, expect, test } from 'vitest';
import { numberFigureSchema } from './figure-schema';
import { ground } from './ground';
import { countingWord, heard, withWord } from './word';

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
    expect(countingWord(both, 0)).toEqual({ ...claim, chosen: true, also: [measured] });
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

describe('which of several words counts, by the rule that is said', () => {
  const word = (origin: string, value: number, more: object = {}) =>
    ({ value, origin, source: `${origin} ${value}`, ...more }) as never;
  const counting = (...words: never[]) =>
    words.reduce<ReturnType<typeof heard>>((now, w) => heard(now, w), { unknown: true });
  test.each([
    ['claim', 'report'],
    ['report', 'print'],
    ['print', 'manual'],
    ['manual', 'tested'],
    ['tested', 'measured'],
    ['assumed', 'claim'],
  ])('%s before %s: the second counts, in whichever order they are heard', (less, more) => {
    for (const order of [
      [less, more],
      [more, less],
    ])
      expect(counting(...order.map((o) => word(o, o === more ? 2 : 3)))).toMatchObject({
        value: 2,
        also: [{ value: 3 }],
      });
  });
  test('of the same kind the newest counts', () => {
    const [old, young] = [word('claim', 3, { seen: '2026-01-01' }), word('claim', 2, { seen: '2026-06-01' })];
    expect(counting(old, young)).toMatchObject({ value: 2 });
    expect(counting(young, old)).toMatchObject({ value: 2 });
  });
  test('what is said of another revision counts behind whatever is said of this one', () =>
    expect(counting(word('claim', 3), word('measured', 2, { ofRevision: '1' }))).toMatchObject({ value: 3 }));
  test('reports of several people make a range, each of them beside it; a third widens it', () => {
    const two = counting(word('report', 2), word('report', 2.6));
    expect(two).toMatchObject({
      low: 2,
      high: 2.6,
      origin: 'report',
      reports: 2,
      also: [{ value: 2.6 }, { value: 2 }],
    });
    expect(numberFigureSchema.safeParse(two).success).toBe(true);
    expect(heard(two, word('report', 1.8))).toMatchObject({ low: 1.8, high: 2.6, reports: 3 });
    expect(heard(two, word('manual', 3))).toMatchObject({ value: 3, also: [{ value: 2.6 }, { value: 2 }] });
  });
  test('what somebody chose stays, whatever is heard afterwards; typed over a better word it is chosen', () => {
    const typed = withWord(measured, claim);
    expect(typed).toMatchObject({ value: 3, chosen: true });
    expect(heard(typed, word('manual', 2.8))).toMatchObject({ value: 3, also: [{ value: 2.8 }, { value: 2.2 }] });
  });
  test('words of yes and no make no range', () => {
    const yes = { value: true, origin: 'report', source: 'a' } as const;
    const both = heard(yes, { value: false, origin: 'report', source: 'b' });
    expect(both).toMatchObject({ value: false, also: [{ value: true }] });
    expect(both).not.toHaveProperty('low');
  });
});
