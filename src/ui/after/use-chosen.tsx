import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { Link } from '../frame/Link';
import { parseAsString, useQueryState } from 'nuqs';
import type { ReactNode } from 'react';
import { outcomeWords, type Board, type Climb, type Ranked } from '@/core';
import { KeepSet } from '../frame/KeepSet';
import { NoBoard } from '../frame/NoBoard';
import { useBoardAtHand } from '../room/board-at-hand';
import { useRoom } from '../room/store';
import { useWholeClimb } from '../room/use-whole-climb';
import { useCandidate } from '../room/use-candidate';

export interface Chosen {
  board: Board;
  climb: Climb;
}

/** The board that the work goes on with. */
function useChosen(ranked: Ranked | null): Chosen | null {
  const board = useCandidate(ranked?.climb.boardId);
  const climb = useWholeClimb(ranked?.climb ?? null, board);
  return climb && board ? { board, climb } : null;
}

/** So many boards are listed to choose from, and the one at hand. */
const mostListed = 60;

/** The head of a page that is about one board, with a way to another board; waits until there is one. */
export function WithBoard({ title, children }: { title: string; children: (chosen: Chosen) => ReactNode }) {
  const { ranking } = useRoom('ranking');
  const { ranked, missing, pickGone } = useBoardAtHand();
  const chosen = useChosen(ranked);
  const unasked = useCandidate(missing);
  const [, setAsked] = useQueryState('board', parseAsString);
  if (missing !== null) return unasked?.members ? <KeepSet board={unasked} /> : <NoBoard />;
  if (!chosen)
    return (
      <Box role="status" sx={{ p: 3, color: 'text.secondary' }}>
        {ranking.ranked?.length === 0
          ? 'The shelf is empty, so there is no board to go on with.'
          : 'The boards are climbing ...'}
      </Box>
    );
  return (
    <Box sx={{ p: 2 }}>
      <Box className="no-print" sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', mb: 1 }}>
        <Box component="h1" sx={{ m: 0, fontSize: 20, fontWeight: 620, fontStretch: '88%' }}>
          {title}
        </Box>
        <Select
          value={chosen.board.id}
          onChange={(e) => void setAsked(e.target.value)}
          inputProps={{ 'aria-label': 'Board' }}
        >
          {ranking
            .ranked!.filter((r, i) => i < mostListed || r.climb.boardId === chosen.board.id)
            .map((r) => (
              <MenuItem key={r.climb.boardId} value={r.climb.boardId}>
                {r.climb.boardName}, {r.climb.verdict}
              </MenuItem>
            ))}
        </Select>
      </Box>
      {pickGone !== null && (
        <Box role="note" sx={{ mb: 1, fontSize: 13, color: 'error.main' }}>
          {pickGone}, which was picked, is not on the ladder: it has left the shelf, or its search was stopped. What
          follows is for {chosen.climb.boardName}, the first of the ladder.
        </Box>
      )}
      <Warning climb={chosen.climb} />
      {children(chosen)}
    </Box>
  );
}

/** Above every page about a board that does not surely carry the build, on paper too. */
function Warning({ climb }: { climb: Climb }) {
  const { build } = useRoom('build');
  if (climb.stopsAt === null && climb.verdict !== 'cannot say yet') return null;
  const words =
    climb.stopsAt === null
      ? `Whether ${climb.boardName} carries the build hangs on figures that nobody says.`
      : `${climb.boardName} does not carry the build: it ${outcomeWords(climb)}. What follows is for the hookup that leaves least unmet.`;
  return (
    <Box role="note" sx={{ mb: 1, fontSize: 13, color: climb.stopsAt === null ? 'text.secondary' : 'error.main' }}>
      {words} <Link href={`/b/${build.id}/board/${climb.boardId}`}>Findings</Link>
    </Box>
  );
}
