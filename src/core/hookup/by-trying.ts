import type { Packed } from './cost';
import { marginOf, widestStep } from './margin';
import { costOf, type Option, type Seats } from './options';
import { limitAt } from './problem';
import { dearest, trialOf, tryOut } from './try-out';

/** What searches of a problem came to: the best hookup that was found, and whether it is proved to be the best there is. */
export interface Found {
  best: Option[] | null;
  ended: boolean;
  steps: number;
}

/** The best hookup by trying options out; `known` is one that needs no finding. Where a search takes more than `most` steps, the best so far, with nothing proved. */
export function byTrying({ problem, lists }: Seats, cap: number, most: number, known?: Option[]): Found {
  let steps = 0;
  let ended = true;
  const at = (floor: number, below: Packed) => {
    const wide = lists.map((list) => list.filter((o) => o.margin >= floor));
    const found = tryOut(trialOf(problem, wide, problem.rows.map((row) => limitAt(row, floor))), below, most);
    steps += found.steps;
    ended &&= found.ended;
    return found.best;
  };
  // One tick above what a hookup costs is the bar for those as cheap.
  const barOf = (options: Option[]): Packed => {
    const cost = costOf(problem, options);
    return [cost[0], cost[1] + 1, 0];
  };
  let best = at(-Infinity, known ? barOf(known) : dearest);
  if (best && ended) {
    const bar = barOf(best);
    const step = widestStep(marginOf(problem, best, cap), (s) => {
      const found = ended ? at(s, bar) : null;
      return found && marginOf(problem, found, cap);
    });
    if (ended) best = at(step, bar) ?? best;
  }
  return { best, ended, steps };
}
