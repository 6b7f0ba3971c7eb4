import fc from 'fast-check';
import { expect, test } from 'vitest';
import { edited, replaced, scriptOf, sourceOf } from './script';

test('what was put in place of a word stands where the word stood', () => {
  const script = replaced(scriptOf('Gewicht: 8 g'), /Gewicht/g, () => 'weight');
  expect(script.text).toBe('weight: 8 g');
  expect(sourceOf(script, 0, 11)).toEqual([0, 12]);
  expect(sourceOf(script, 8, 11)).toEqual([9, 12]);
});

test('a label that the head of a table puts in front of a cell stands for nothing, so the mark is the cell', () => {
  const script = edited(scriptOf('a|b\n1|2'), [
    { start: 0, end: 7, text: ['a: ', { start: 4, end: 5 }, '\n', 'b: ', { start: 6, end: 7 }] },
  ]);
  expect(script.text).toBe('a: 1\nb: 2');
  expect(sourceOf(script, 0, 4)).toEqual([4, 5]);
  expect(sourceOf(script, 5, 9)).toEqual([6, 7]);
});

test('property: whatever is replaced, every piece of the script stands inside the original, and what was kept is what stands there', () => {
  fc.assert(
    fc.property(fc.string(), fc.string({ maxLength: 5 }), (text, put) => {
      const script = replaced(
        replaced(scriptOf(text), /[aeiou]/g, () => put),
        /\s/g,
        () => ' ',
      );
      for (let i = 0; i < script.text.length; i++) {
        const [a, b] = sourceOf(script, i, i + 1);
        expect(a >= 0 && b <= text.length && a <= b).toBe(true);
      }
    }),
    { numRuns: 500, seed: 3 },
  );
});
