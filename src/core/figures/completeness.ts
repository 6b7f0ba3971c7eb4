import { isUnknown, originOf, type NumberFigure, type Origin } from '../quantity/figure';
import type { Board } from '../records/board';
import { figuresOf } from './board-figures';
import { railFigures } from './rail-figures';

export interface Completeness {
  known: number;
  total: number;
  missing: { field: string; says: string; ask: string }[];
  origins: Partial<Record<Origin | 'unknown', number>>;
}

/** How many of a board's figures are known, whose word they are, and what is still to find out. What a board does not have (an ESC) is not missed. */
export function completenessOf(board: Board): Completeness {
  const found: Completeness = { known: 0, total: 0, missing: [], origins: {} };
  for (const { field, says, ask, get } of [...figuresOf(board), ...railFigures(board)]) {
    const figure = get(board);
    if (!figure) continue;
    found.total += 1;
    const origin = originOf(figure as NumberFigure);
    found.origins[origin] = (found.origins[origin] ?? 0) + 1;
    if (isUnknown(figure)) found.missing.push({ field, says, ask });
    else found.known += 1;
  }
  return found;
}
