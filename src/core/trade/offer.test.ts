import { describe, expect, test } from 'vitest';
import { isStale } from './offer';

describe('offers grow stale after 30 days (common practice, no source)', () => {
  test.each([
    ['2026-10-26', false],
    ['2026-10-25', true],
    ['2026-11-25', false],
    ['2025-11-25', true],
  ])('seen %s, on 2026-11-25: %s', (seen, stale) => {
    expect(isStale({ seen }, '2026-11-25')).toBe(stale);
  });
});
