import { spend, type Budget } from './budget';
import type { Packed } from './cost';
import { marginOf, widestStep } from './margin';
import { limitAt } from './problem';
import { dearest, searchOf, search } from './search';
import { costOf, type Option, type Seats } from './seats';
import { settled } from './settled';

/** What searches of a problem came to: the best hookup that was found, and whether it is proved to be the best there is. */
export interface Found {
  best: Option[] | null;
  proved: boolean;
  steps: number;
}

/**
 * The best choice by the plain search: least cost first, then the widest smallest margin at that cost, then fewest ports. `known` is one that needs no finding. Where
 * a search takes more than `most` steps, the best so far, with nothing proved.
 */
export function optimum(seats: Seats, cap: number, most: number, budget: Budget, known?: Option[]): Found {
  const { problem } = seats;
  let { lists } = seats;
  let steps = 0;
  let proved = true;
  const at = (floor: number, below: Packed) => {
    const wide = lists.map((list) => list.filter((o) => o.margin >= floor));
    const found = search(
      searchOf(
        problem,
        wide,
        problem.rows.map((row) => limitAt(row, floor)),
      ),
      below,
      Math.min(most, budget.steps),
    );
    spend(budget, found.steps);
    steps += found.steps;
    proved &&= found.ended;
    return found.best;
  };
  // One tick above what a hookup costs is the bar for those as cheap.
  const barOf = (options: Option[]): Packed => {
    const cost = costOf(problem, options);
    return [cost[0], cost[1] + 1, 0];
  };
  let best = at(-Infinity, known ? barOf(known) : dearest);
  if (best && proved) {
    const bar = barOf(best);
    lists = settled(seats, best).lists;
    const step = widestStep(marginOf(problem, best, cap), (s) => {
      const found = proved ? at(s, bar) : null;
      return found && marginOf(problem, found, cap);
    });
    if (proved) best = at(step, bar) ?? best;
  }
  return { best, proved, steps };
}
