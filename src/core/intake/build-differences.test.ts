import { expect, test } from 'vitest';
import { makeBuild, makePart } from '../tests/make';
import { buildDifferences } from './build-differences';

const a = makePart('a', {});
const b = makePart('b', {});

test('parts that it had, had not, or had in another way, by name; the rest by what it is', () => {
  const was = makeBuild({ name: 'Was' }, [a]);
  const now = { ...was, name: 'Is', parts: [b], limits: { ...was.limits, budgetCents: 1 } };
  expect(buildDifferences(was, now)).toEqual(['Had: a.', 'Had not: b.', 'Other: the name.', 'Other: limits.']);
  expect(buildDifferences(was, { ...was, parts: [{ ...a, owned: true }] })).toEqual(['Other details: a.']);
});
test('that nothing differs is said', () =>
  expect(buildDifferences(makeBuild(), makeBuild())).toEqual(['Nothing differs from what stands now.']));
test('no field of a build can differ unsaid: what it is for, a radio, whose word a number is', () => {
  const was = makeBuild();
  const said = { 'bay height': { origin: 'measured' as const } };
  expect(buildDifferences(was, { ...was, craft: 'long flights', said, radio: { system: 'any' } })).toEqual([
    'Other: what it is for.',
    'Other: whose word its numbers are.',
    'Other: the radio.',
  ]);
});
