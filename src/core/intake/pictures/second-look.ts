import type { Reading } from '../reading';
import { readingText } from '../correct-reading';

/**
 * Readings of print in a picture, held against those of a second look at another size. A reader of print loses points and takes 5 for S, so none of them is sure: what both looks
 * say is to be compared with the picture, what only one says is doubted with what the other says.
 */
export function heldAgainst(
  readings: readonly Reading[],
  again: readonly Reading[],
  ofPicture: (r: Reading) => boolean,
): Reading[] {
  return readings.map(({ onlyOfVersions, ...r }) => {
    if (!ofPicture(r)) return onlyOfVersions ? { ...r, onlyOfVersions } : r;
    const same = again.filter((o) => o.field === r.field);
    if (same.some((o) => o.value === r.value))
      return r.doubt === 'sure' ? { ...r, doubt: 'likely', why: 'read off a picture, twice the same: compare it' } : r;
    const other =
      r.field === 'regulators'
        ? same.filter((o) => String(o.value).split('@')[0] === String(r.value).split('@')[0])
        : same;
    const said = other.length > 0 ? `read ${other.map(readingText).slice(0, 3).join(' and ')}` : 'did not find it';
    return { ...r, doubt: 'contradicted', why: `read off a picture; a second look ${said}` };
  });
}
