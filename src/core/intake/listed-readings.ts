import type { Reading } from './reading';

/** The versions that a page sells, by the heads of their columns or rows; fewer than two where it is about one board. */
export function versionsIn(readings: readonly Reading[]): string[] {
  return [...new Set(readings.flatMap((r) => r.version ?? []))];
}

/**
 * The readings of a page as they are listed for taking: of several versions those of the chosen one, no longer doubted for being one of several (null: none is chosen yet), and what the
 * page says twice once, as the surer of both.
 */
export function listedReadings(readings: readonly Reading[], version: string | null): Reading[] {
  const own = readings
    .filter((r) => version === null || r.version === undefined || r.version === version)
    .map(({ onlyOfVersions, ...r }): Reading => {
      if (!onlyOfVersions) return r;
      if (version === null) return { ...r, onlyOfVersions };
      const { why: _, ...settled } = r;
      return { ...settled, doubt: 'sure' };
    });
  const sure = new Set(own.filter((r) => r.doubt === 'sure').map(keyOf));
  const seen = new Set<string>();
  return own.filter((r) => {
    const again = seen.has(keyOf(r)) || (r.doubt !== 'sure' && sure.has(keyOf(r)));
    if (!again) seen.add(keyOf(r));
    return !again;
  });
}

const keyOf = (r: Reading) => `${r.field} ${r.value}`;
