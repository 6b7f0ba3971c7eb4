import { dice } from './random-build';

/** Pieces of texts that have broken programs: prototype keys, NUL and lone surrogates, huge numbers, signs that turn the writing, markup, formulas, paths. */
const pieces = [
  '__proto__',
  'constructor',
  'prototype',
  '\u0000',
  '\ud800',
  '\udfff\ud83d',
  '\u202e',
  '\u2066',
  '\ufeff',
  '1e999',
  '-0',
  'NaN',
  '0x7f',
  '9'.repeat(400),
  '{"format":"constructor"}',
  '[[[[[[[[[[[[[[[[',
  '{"a":{"a":{"a":',
  '"',
  '\\',
  "'; drop table boards; --",
  '<script>alert(1)</script>',
  '=cmd|/c calc',
  '+1+1',
  '../../../../etc/passwd',
  '%00%2e%2e%2f',
  ',,,,,,',
  ';\t;\t',
  '\r\n\r',
  'null',
  'true',
  '[]',
  '{}',
  '5 V 3 A',
  '30.5 x 30.5 mm',
  'STM32F7',
  '6 UARTs',
  '2-6S',
  'rung-board',
  'rung-shelf',
  'rung-build',
  '"version":2',
  '"boards":[',
] as const;

/** A short text of such pieces, a text that was sound with some of them put in, or the same many times over. */
export function hostileText(seed: number, sound: readonly string[]): string {
  const roll = dice(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(roll() * list.length)]!;
  const kind = roll();
  if (kind < 0.45)
    return Array.from({ length: 1 + Math.floor(roll() * 8) }, () => pick(pieces)).join(pick(['', ' ', '\n', ':']));
  if (kind < 0.55) return pick(pieces).repeat(1 + Math.floor(roll() * 400));
  const text = pick(sound);
  const at = Math.floor(roll() * text.length);
  if (kind < 0.7) return text.slice(0, at);
  const length = Math.floor(roll() * 6);
  return text.slice(0, at) + pick(pieces) + text.slice(at + length);
}
