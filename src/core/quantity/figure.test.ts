import { expect, test } from 'vitest';
import { typedOver } from './figure';

const usual = { value: 200, origin: 'assumed' as const, source: 'usual for such a craft' };

test.each([
  ['another number is no longer what is usual', usual, 215, { value: 215, origin: 'manual' }],
  ['the same number stays whose it was', usual, 200, usual],
  ['a range becomes the number', { low: 8, high: 9, origin: 'report' as const }, 9, { value: 9, origin: 'manual' }],
  ['what nobody said is said', { unknown: true as const }, 3, { value: 3, origin: 'manual' }],
  ['nothing typed is unknown', usual, null, { unknown: true }],
])('typed over: %s', (_, figure, typed, after) => expect(typedOver(figure, typed)).toEqual(after));
