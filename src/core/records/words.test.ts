import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { idFrom } from './words';
import { idSchema } from './word-schemas';

describe('ids', () => {
  test.each([
    ['Tarn Field, Keel F7!', 'tarn-field-keel-f7'],
    ['  --Überflug 3--  ', 'u-berflug-3'],
    ['', 'board'],
    ['火', 'board'],
    // A word that every object of the language answers to would be found where nobody put it.
    ['Constructor', 'board'],
  ])('%j becomes %s', (words, id) => expect(idFrom(words, 'board')).toBe(id));

  test('whatever somebody types, the id can be stored', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme', maxLength: 200 }),
        (words) => idSchema.safeParse(idFrom(words, 'board')).success,
      ),
      { numRuns: 1000, seed: 9 },
    );
  });

  test('no id is a word that an empty object knows', () => {
    for (const word of Object.getOwnPropertyNames(Object.prototype))
      expect(idSchema.safeParse(word).success).toBe(false);
  });
});
