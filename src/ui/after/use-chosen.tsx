import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { parseAsString, useQueryState } from 'nuqs';
import type { ReactNode } from 'react';
import type { Board, Climb } from '@/core';
import { useRoom } from '../room/BuildRoom';

export interface Chosen {
  board: Board;
  climb: Climb;
}

/** The board that the work goes on with: the one in the address, else the last pick, else the first of the ladder. */
export function useChosen(): Chosen | null {
  const { build, ranking, shelf } = useRoom();
  const [asked] = useQueryState('board', parseAsString);
  const has = (id: string | undefined | null) => ranking.ranked?.find((r) => r.climb.boardId === id);
  const ranked = has(asked) ?? has(build.picks.at(-1)?.board.id) ?? ranking.ranked?.[0];
  const board = ranked && shelf?.boards.find((b) => b.id === ranked.climb.boardId);
  return ranked && board ? { board, climb: ranked.climb } : null;
}

/** The head of a page that is about one board, with a way to another board; waits until there is one. */
export function WithBoard({ title, children }: { title: string; children: (chosen: Chosen) => ReactNode }) {
  const { ranking } = useRoom();
  const chosen = useChosen();
  const [, setAsked] = useQueryState('board', parseAsString);
  if (!chosen) return <Box role="status" sx={{ p: 3, color: 'text.secondary' }}>{ranking.ranked?.length === 0 ? 'The shelf is empty, so there is no board to go on with.' : 'The boards are climbing ...'}</Box>;
  return (
    <Box sx={{ p: 2 }}>
      <Box className="no-print" sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', mb: 1 }}>
        <Box component="h1" sx={{ m: 0, fontSize: 20, fontWeight: 620, fontStretch: '88%' }}>
          {title}
        </Box>
        <Select value={chosen.board.id} onChange={(e) => void setAsked(e.target.value)} inputProps={{ 'aria-label': 'Board' }}>
          {ranking.ranked!.slice(0, 60).map((r) => (
            <MenuItem key={r.climb.boardId} value={r.climb.boardId}>
              {r.climb.boardName}, {r.climb.verdict}
            </MenuItem>
          ))}
        </Select>
        {chosen.climb.stopsAt !== null && <Box sx={{ color: 'error.main' }}>This board does not carry the build; what follows is for the hookup that leaves least unmet.</Box>}
      </Box>
      {children(chosen)}
    </Box>
  );
}
