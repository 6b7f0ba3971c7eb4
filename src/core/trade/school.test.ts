import { describe, expect, test } from 'vitest';
import { makeBuild } from '../tests/make';
import { meetings } from './harness';
import { isStale } from './offer';
import { schools } from './school';

describe('schools of the trade', () => {
  const build = makeBuild();
  test.each(schools.map((s) => [s.policy, s] as const))('%s: the first way is the default, with a reason and the other school beside it', (policy, s) => {
    expect(build.policies[policy]).toBe(s.ways[0]!.value);
    expect(new Set(s.ways.map((w) => w.value)).size).toBe(s.ways.length);
    expect(s.ways.length).toBeGreaterThan(1);
    for (const sentence of [s.reason, s.otherSchool]) expect(sentence).toMatch(/^[A-Z].*\.$/);
  });
  test('every policy that a build holds is a question somebody may answer', () => {
    expect(schools.map((s) => s.policy).sort()).toEqual(Object.keys(build.policies).sort());
  });
});

describe('two ends of a straight harness', () => {
  test('by hand: the same pins meet as they should, whatever their spelling', () => {
    expect(meetings(['VBAT', 'GND', 'M1'], ['bat', 'g', 'm1'])).toEqual([]);
  });
  test('pack on ground burns, so does a signal on either; two signals only go astray', () => {
    expect(meetings(['VBAT'], ['GND'])).toMatchObject([{ pin: 1, burns: true }]);
    expect(meetings(['CUR'], ['VBAT'])).toMatchObject([{ burns: true }]);
    expect(meetings(['TLM'], ['CUR'])).toMatchObject([{ burns: false }]);
  });
  test('a pin that meets nothing is said, and burns nothing', () => {
    expect(meetings(['GND', 'VBAT', 'S1'], ['GND', 'VBAT'])).toEqual([{ pin: 3, board: 'S1', esc: 'nothing', burns: false }]);
  });
  test('turning the harness round tells the same pins', () => {
    const [a, b] = [['GND', 'VBAT', 'S1', 'S2'], ['VBAT', 'GND', 'S2']];
    expect(meetings(b, a).map((m) => [m.pin, m.burns])).toEqual(meetings(a, b).map((m) => [m.pin, m.burns]));
  });
});

describe('offers grow stale after 30 days (common practice, no source)', () => {
  test.each([['2026-10-26', false], ['2026-10-25', true], ['2026-11-25', false], ['2025-11-25', true]])('seen %s, on 2026-11-25: %s', (seen, stale) => {
    expect(isStale({ seen }, '2026-11-25')).toBe(stale);
  });
});
