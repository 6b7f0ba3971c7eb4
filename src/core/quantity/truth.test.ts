import { expect, test } from 'vitest';
import { all, any, atLeast, both, either, not, type Truth } from './truth';

// Kleene 1952, section 64: the strong tables, written out.
const tables: [Truth, Truth, Truth, Truth][] = [
  // a, b, a and b, a or b
  ['yes', 'yes', 'yes', 'yes'],
  ['yes', 'unknown', 'unknown', 'yes'],
  ['yes', 'no', 'no', 'yes'],
  ['unknown', 'yes', 'unknown', 'yes'],
  ['unknown', 'unknown', 'unknown', 'unknown'],
  ['unknown', 'no', 'no', 'unknown'],
  ['no', 'yes', 'no', 'yes'],
  ['no', 'unknown', 'no', 'unknown'],
  ['no', 'no', 'no', 'no'],
];

test.each(tables)('%s with %s: and %s, or %s', (a, b, conjunction, disjunction) => {
  expect(both(a, b)).toBe(conjunction);
  expect(either(a, b)).toBe(disjunction);
  expect(not(both(a, b))).toBe(either(not(a), not(b)));
});

test('over lists, nothing is yes for all and no for any', () => {
  expect(all([])).toBe('yes');
  expect(any([])).toBe('no');
  expect(all(['yes', 'unknown'])).toBe('unknown');
  expect(any(['no', 'unknown'])).toBe('unknown');
});

test('ranges that overlap leave the question open; equal is enough', () => {
  expect(atLeast({ low: 5, high: 5 }, { low: 5, high: 5 })).toBe('yes');
  expect(atLeast({ low: 4, high: 6 }, { low: 5, high: 5 })).toBe('unknown');
  expect(atLeast({ low: 4, high: 4.9 }, { low: 5, high: 5 })).toBe('no');
  expect(atLeast({ low: -Infinity, high: Infinity }, { low: 5, high: 5 })).toBe('unknown');
});
