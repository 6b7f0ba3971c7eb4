import Button from '@mui/material/Button';
import { pickedId, pickOf, type Ranked } from '@/core';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';
import { useCandidate } from '../room/use-candidate';
import { wholeClimb } from '../room/use-whole-climb';
import { today } from '../room/today';

/** Picks a board: a frozen copy with its reasons and open questions is kept with the build. */
export function PickButton({ ranked, firstShare }: { ranked: Ranked; firstShare: number | null }) {
  const { build, edit, ranking } = useRoom('build', 'edit', 'ranking');
  const board = useCandidate(ranked.climb.boardId);
  const last = build.picks.at(-1);
  // A pick keeps its place in the order; of an order of some boards there is none yet.
  if (!board || (ranking.partial && ranking.busy)) return null;
  if (last && pickedId(last) === board.id) return <strong>picked on {last.when}</strong>;
  return (
    <ForWriters>
      <Button
        variant="outlined"
        {...(board.members ? { 'aria-label': `Pick this set: ${board.name}` } : {})}
        onClick={() =>
          edit(`pick ${board.id}`, (b) => ({
            ...b,
            stage: 'picked',
            picks: [
              ...b.picks,
              pickOf(
                b,
                board,
                { ...ranked, climb: wholeClimb(b, board, ranked.climb, ranking.busy) },
                firstShare,
                today(),
              ),
            ].slice(-20),
          }))
        }
      >
        Pick {board.members ? 'this set' : board.name}
        {ranked.climb.stopsAt !== null ? ' all the same' : ''}
      </Button>
    </ForWriters>
  );
}
