import type { Board, Source } from '../../records/board';
import { applyReadings, type Said } from '../apply-readings';
import type { Reading } from '../reading';
import type { Joined } from './joined';
import { withSource } from './kept-source';
import type { Page } from './page';

/** The board with readings taken from a source: each with its place, and the pages that they stand on kept beside them. */
export function withReadings(
  board: Board,
  readings: readonly Reading[],
  said: Omit<Said, 'placeOf'>,
  from: { source: Omit<Source, 'pages'>; pages: readonly Page[]; joined: Joined },
): Board {
  const placeOf = (r: Reading) => ({ source: from.source.id, ...from.joined.placeAt(r.start, r.end) });
  const numbers = new Set(readings.map((r) => placeOf(r).page));
  const kept = from.pages
    .filter((p) => numbers.has(p.number))
    .reduce((b, { number, text }) => withSource(b, from.source, { number, text }), board);
  return applyReadings(kept, readings, { ...said, placeOf });
}
