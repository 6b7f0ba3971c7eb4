import { evaluate } from '../evaluate/climb';
import { candidateAt } from '../sets/candidate';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { pickedId, pickedName } from './pick';
import { rankClimbs } from './rank-shelf';
import { whatMoved } from './moved';

/** What became of a picked board since: judged as build and boards were then, and as they are now. Null: nothing, or there is no telling. */
export function pickMoved(
  was: { build: Build; boards: readonly Board[] },
  now: { build: Build; boards: readonly Board[] },
): string | null {
  const pick = now.build.picks.at(-1);
  if (!pick) return null;
  const id = pickedId(pick);
  const before = candidateAt(was.build, was.boards, id);
  const after = candidateAt(now.build, now.boards, id);
  if (!before) return null;
  if (!after) return `${pickedName(pick)} is no longer on the shelf`;
  const [moved] = whatMoved(rankClimbs([evaluate(was.build, before)]), rankClimbs([evaluate(now.build, after)]));
  if (!moved) return null;
  const judged = moved.before === moved.after ? `still ${moved.after}` : `${moved.before}, now ${moved.after}`;
  return `${pickedName(pick)}: ${judged}${moved.because === null ? '' : `. ${moved.because}`}`;
}
