import { describe, expect, test } from 'vitest';
import { makeBuild } from '../tests/make';
import { schools } from './school';

describe('schools of the trade', () => {
  const build = makeBuild();
  test.each(schools.map((s) => [s.policy, s] as const))(
    '%s: the first way is the default, with a reason and the other school beside it',
    (policy, s) => {
      expect(build.policies[policy]).toBe(s.ways[0]!.value);
      expect(new Set(s.ways.map((w) => w.value)).size).toBe(s.ways.length);
      expect(s.ways.length).toBeGreaterThan(1);
      for (const sentence of [s.reason, s.otherSchool]) expect(sentence).toMatch(/^[A-Z].*\.$/);
    },
  );
  test('every policy that a build holds is a question somebody may answer', () => {
    expect(schools.map((s) => s.policy).sort()).toEqual(Object.keys(build.policies).sort());
  });
});
