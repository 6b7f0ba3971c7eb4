import Box from '@mui/material/Box';
import { useState } from 'react';
import type { Ranked } from '@/core';
import { RemoveBoard } from '../shelf/RemoveBoard';

const mostShown = 4;

/** Boards whose wiring takes more steps than a climb has: they hold nothing up, and can be removed without being opened. */
export function SetAside({ boards }: { boards: readonly Ranked[] }) {
  const [fault, setFault] = useState<string | null>(null);
  if (boards.length === 0) return null;
  return (
    <Box
      role="note"
      aria-label="Boards set aside"
      sx={{ px: 2, py: 0.5, fontSize: 12, borderBottom: '1px solid var(--hair)' }}
    >
      <div>
        {boards.length === 1
          ? 'One board is set aside: its wiring'
          : `${boards.length} boards are set aside: their wiring`}{' '}
        was not worked out within the steps of one climb, so nothing is said about rungs 4 to 7.
      </div>
      {boards.slice(0, mostShown).map(({ climb }) => (
        <div key={climb.boardId}>
          <strong>{climb.boardName}</strong> {climb.maker}{' '}
          <RemoveBoard id={climb.boardId} name={climb.boardName} onDone={setFault} />
        </div>
      ))}
      {boards.length > mostShown && <div>and {boards.length - mostShown} more: remove these first.</div>}
      {fault && <div role="alert">{fault}</div>}
    </Box>
  );
}
