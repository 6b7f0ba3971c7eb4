import type { Board } from '../../records/board';

/** The board as it may be given away: without prices that somebody typed, without its history, without what was put right and the pictures of pages. */
export function publicBoard(board: Board): Board {
  const { corrections: _, sources, ...rest } = board;
  return {
    ...rest,
    offers: board.offers.filter((o) => !o.typed),
    history: [],
    ...(sources
      ? { sources: sources.map((s) => ({ ...s, pages: s.pages.map(({ picture: _p, ...page }) => page) })) }
      : {}),
  };
}
