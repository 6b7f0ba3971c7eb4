import { plausible } from '../figures/plausible-ends';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import { ground } from '../quantity/ground';
import type { Board } from '../records/board';
import type { Hookup } from '../wiring/hookup';
import { togetherKey } from '../wiring/keys';
import { num } from '../quantity/spelled';
import { type Finding } from './finding';

/**
 * What the board itself draws must be carried before any part is: by every regulator on its way, and by several together where they share a limit. Found by solving the circuit; a board with nothing on its rails would
 * otherwise pass with a regulator that cannot even feed its processor.
 */
export function checkOwnDraw(board: Board, hookup: Hookup): Finding[] {
  const own = board.rails.flatMap((r) => (r.ownAmps ? [r.ownAmps] : []));
  const ends = own.map((f) => plausible(f, 'ownAmps'));
  const most = ends.reduce((sum, e) => sum + e.high, 0);
  const share = most > 0 ? ends.reduce((sum, e) => sum + e.low, 0) / most : 0;
  return [...hookup.rails, ...hookup.together].flatMap((line): Finding[] => {
    const rating = ratingOf(board, line.rail);
    if (!isKnown(rating)) return [];
    const rated = interval(rating);
    const amps = { low: (line.ownMa * share) / 1000, high: line.ownMa / 1000 };
    // Draws were rounded up to whole milliamps.
    if (amps.high <= rated.low + 0.001) return [];
    const breaks = amps.low > rated.high + 0.001;
    return [
      {
        rung: 7,
        state: breaks ? 'breaks' : 'unknown',
        code: 'rail load',
        about: line.label,
        says: { code: 'own draw', rail: line.label, amps, carries: rated },
        needed: `${num(amps.high, 2)} A`,
        given: `${num(rated.low, 2)} A`,
        grounds: [ground(`${line.label} rating`, rating, 'A'), ...own.map((f) => ground('The board itself', f, 'A'))],
      },
    ];
  });
}

/** What a regulator, or several together, are said to carry. */
function ratingOf(board: Board, name: string): NumberFigure | undefined {
  const source = board.rails.find((r) => r.id === name)?.source;
  if (source?.kind === 'regulator') return source.ratedAmps;
  return board.sharedLimits?.find((l) => togetherKey(l.rails) === name)?.amps;
}
