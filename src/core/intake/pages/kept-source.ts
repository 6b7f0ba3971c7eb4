import type { Board, Source } from '../../records/board';

/** Long texts are kept up to here: enough for every page of a manual. */
const mostChars = 20_000;
const mostPages = 24;
const mostSources = 12;

/** The board with a page of a source kept, once. The sources that were read last stay. */
export function withSource(board: Board, source: Omit<Source, 'pages'>, page: { number: number; text: string }): Board {
  const sources = board.sources ?? [];
  const known = sources.find((s) => s.id === source.id) ?? { ...source, pages: [] };
  if (known.pages.some((p) => p.number === page.number)) return board;
  const pages = [...known.pages, { ...page, text: page.text.slice(0, mostChars) }]
    .sort((a, b) => a.number - b.number)
    .slice(0, mostPages);
  return { ...board, sources: [...sources.filter((s) => s.id !== source.id), { ...known, pages }].slice(-mostSources) };
}

/** The board with the picture of one of those pages; the same board where that page is not kept. */
export function withPictureOfPage(board: Board, source: string, page: number, picture: string): Board {
  if (!board.sources?.some((s) => s.id === source && s.pages.some((p) => p.number === page && !p.picture)))
    return board;
  return {
    ...board,
    sources: board.sources.map((s) =>
      s.id === source ? { ...s, pages: s.pages.map((p) => (p.number === page ? { ...p, picture } : p)) } : s,
    ),
  };
}
