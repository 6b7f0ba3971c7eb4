import { railFigures } from '../figures/rail-figures';
import { figuresOf } from '../figures/board-figures';
import { figureWords } from '../quantity/figure';
import type { Ground } from '../quantity/ground';
import type { Board } from '../records/board';
import { withWordCounting } from './typed-figure';

/**
 * The board as it would be if the word at `at` of those that do not count on a figure counted after all; null where the figure is not one of the board's own, or is not told from
 * another that says just the same. For a set the member that bears it is changed.
 */
export function ifWordCounts(board: Board, ground: Ground, at: number, day: string): Board | null {
  const word = ground.also?.[at];
  if (!word) return null;
  const found = [...figuresOf(board), ...railFigures(board)].filter(({ get, unit }) => {
    const now = get(board);
    return (
      now !== undefined &&
      'origin' in now &&
      now.origin === ground.origin &&
      (now.source ?? '') === (ground.source ?? '') &&
      figureWords(now, unit) === ground.figure &&
      now.also?.some((w) => figureWords(w as never, unit) === word.figure)
    );
  });
  if (found.length === 0) return null;
  // Several figures from one line of a page: the one whose name the ground bears.
  const meant = found.find((f) => f.says === ground.what) ?? (found.length === 1 ? found[0] : undefined);
  return meant ? withWordCounting(board, meant.field, at, day) : null;
}
