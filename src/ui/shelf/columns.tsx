import Box from '@mui/material/Box';
import { Link } from '../frame/Link';
import type { ReactNode } from 'react';
import {
  figureWords,
  money,
  outcomeWords,
  type Board,
  type Completeness,
  type NumberFigure,
  type Ranked,
} from '@/core';
import { verdictColour } from '../marks/words';
import { AtHome } from './AtHome';

/** What a row of the shelf has to show. */
export interface Line {
  board: Board;
  complete: Completeness;
  doubts: number;
  cents: number | null;
  currency: string;
  /** Where it stands for the build that is open; null: it does not climb alone, or has not yet. */
  ranked: Ranked | null;
}

export interface Column {
  id: string;
  heading: string;
  /** Pixels; 0: what is left. */
  width: number;
  number?: true;
  cell: (line: Line, words: (text: string) => string) => ReactNode;
  /** By what the rows are ordered; the least first. */
  by?: (line: Line) => number | string;
}

const least = (f: NumberFigure) => {
  if ('value' in f) return f.value;
  return 'low' in f ? f.low : Infinity;
};

/** All columns that there are; which of them stand there is a choice, and part of the address. */
export const columns: readonly Column[] = [
  {
    id: 'kind',
    heading: 'Kind',
    width: 126,
    cell: ({ board }) => `${board.kind}${board.revision !== '1' ? `, rev ${board.revision}` : ''}`,
    by: ({ board }) => board.kind,
  },
  {
    id: 'verdict',
    heading: 'For this build',
    width: 158,
    cell: ({ ranked }) =>
      ranked && (
        <Box component="span" sx={{ color: verdictColour[ranked.climb.verdict] }}>
          {ranked.rank}. {outcomeWords(ranked.climb)}
        </Box>
      ),
    by: ({ ranked }) => ranked?.rank ?? Infinity,
  },
  {
    id: 'family',
    heading: 'Family',
    width: 54,
    cell: ({ board }) => ('value' in board.processor ? board.processor.value : '?'),
    by: ({ board }) => ('value' in board.processor ? board.processor.value : '~'),
  },
  {
    id: 'ports',
    heading: 'Ports',
    width: 56,
    number: true,
    cell: ({ board }) => board.ports.length,
    by: ({ board }) => -board.ports.length,
  },
  {
    id: 'mass',
    heading: 'Mass',
    width: 84,
    number: true,
    cell: ({ board }, words) => words(figureWords(board.massG, 'g')),
    by: ({ board }) => least(board.massG),
  },
  {
    id: 'size',
    heading: 'Size',
    width: 110,
    number: true,
    cell: ({ board }, words) => words(sizeWords(board)),
    by: ({ board }) => least(board.lengthMm) * least(board.widthMm),
  },
  {
    id: 'known',
    heading: 'Known',
    width: 118,
    cell: ({ complete }) => (
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Box sx={{ width: 46, height: 7, border: '1px solid var(--ink)' }} aria-hidden>
          <Box
            sx={{
              width: `${(100 * complete.known) / Math.max(1, complete.total)}%`,
              height: '100%',
              background: 'var(--ink)',
            }}
          />
        </Box>
        {complete.known} of {complete.total}
      </Box>
    ),
    by: ({ complete }) => complete.known / Math.max(1, complete.total),
  },
  {
    id: 'origins',
    heading: 'Whose word',
    width: 0,
    cell: ({ complete }) => (
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {Object.entries(complete.origins)
          .sort((a, b) => b[1] - a[1])
          .map(([o, n]) => `${n} ${o}`)
          .join(', ')}
      </Box>
    ),
  },
  {
    id: 'doubts',
    heading: 'Doubts',
    width: 58,
    number: true,
    cell: ({ doubts }) =>
      doubts > 0 && (
        <Box component="span" sx={{ color: 'error.main' }}>
          {doubts}
        </Box>
      ),
    by: ({ doubts }) => -doubts,
  },
  {
    id: 'seen',
    heading: 'Price seen',
    width: 84,
    cell: ({ board }, words) => words(lastSeen(board)),
    by: ({ board }) => lastSeen(board) || '~',
  },
  {
    id: 'price',
    heading: 'from',
    width: 80,
    number: true,
    cell: ({ cents, currency }) => (cents === null ? 'no offer' : money(cents, currency)),
    by: ({ cents }) => cents ?? Infinity,
  },
  { id: 'home', heading: 'At home', width: 58, cell: ({ board }) => <AtHome board={board} /> },
];

export const usualColumns = ['kind', 'verdict', 'family', 'ports', 'known', 'origins', 'doubts', 'price', 'home'];

/** The first column is always there: without it a row is nothing. */
export const nameColumn: Column = {
  id: 'name',
  heading: 'Board',
  width: 210,
  cell: () => null,
  by: ({ board }) => `${board.maker} ${board.name}`.toLowerCase(),
};

export function BoardName({ board, href }: { board: Board; href: string }) {
  return (
    <>
      <Link href={href}>{board.name}</Link>{' '}
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {board.maker}
      </Box>
    </>
  );
}

function sizeWords({ lengthMm, widthMm }: Board): string {
  return `${figureWords(lengthMm)} x ${figureWords(widthMm, 'mm')}`;
}

function lastSeen({ offers }: Board): string {
  return (
    offers
      .map((o) => o.seen)
      .sort()
      .at(-1) ?? ''
  );
}
