import { levelOrder, levelsOf } from './cost';
import { costOf, type Option, type Seats } from './seats';

/**
 * What a hookup leaves open: level after level, as long as every seat by itself costs at least what it costs in this one, only the options that cost no more than
 * that on the level can be in a better one.
 */
export function settled({ problem, lists, part }: Seats, hookup: Option[]): Seats {
  const reached = levelsOf(costOf(problem, hookup));
  const once = problem.tags.map((tag) => tag.once);
  let open = lists.map((list) => list.map((option) => ({ option, levels: levelsOf(option.cost) })));
  for (let level = 0; level < reached.length - 1; level++) {
    const least = open.map((list) => list.reduce((low, o) => Math.min(low, o.levels[level]!), Infinity));
    if (least.reduce((sum, n) => sum + n, 0) < reached[level]!) break;
    const name = levelOrder[level]!;
    open = open.map((list, seat) =>
      list.filter(
        ({ option, levels }) =>
          levels[level] === least[seat] && option.tags.every(([t, v]) => once[t]![v]![name] === 0),
      ),
    );
  }
  return { problem, part, lists: open.map((list) => list.map((o) => o.option)) };
}
