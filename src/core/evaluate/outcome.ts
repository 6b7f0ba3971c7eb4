import { rungNames } from '../trade/rungs';
import type { Climb } from './climb';

type Judged = Pick<Climb, 'verdict' | 'stopsAt'>;

/** Does the board surely carry the build? */
export function carries({ verdict }: Pick<Climb, 'verdict'>): boolean {
  return verdict === 'fits' || verdict === 'fits with work';
}

/** What became of a board, to follow its name: "stops at Load". */
export function outcomeWords({ verdict, stopsAt }: Judged): string {
  if (stopsAt !== null) return `stops at ${rungNames[stopsAt - 1]}`;
  return verdict === 'cannot say yet' ? 'hangs on unknown figures' : verdict;
}

/** What leads to the name of the first board of a ladder: one that does not fit is never said to carry the build. */
export function leadWords({ verdict, stopsAt }: Judged): string {
  if (stopsAt !== null) return 'No board carries it yet. Nearest:';
  return verdict === 'cannot say yet' ? 'No board surely carries it yet. Nearest:' : 'Carries it best just now:';
}
