import Box from '@mui/material/Box';
import { useState } from 'react';
import type { Ranked } from '@/core';
import { RemoveBoard } from '../shelf/RemoveBoard';
import { tellingRung } from '@/core';

const mostShown = 4;

/** Boards that could not be judged: each with its reason. They hold nothing up, and can be removed without being opened. */
export function SetAside({ boards }: { boards: readonly Ranked[] }) {
  const [fault, setFault] = useState<string | null>(null);
  if (boards.length === 0) return null;
  return (
    <Box
      role="note"
      aria-label="Boards set aside"
      sx={{ px: 2, py: 0.5, fontSize: 12, borderBottom: '1px solid var(--hair)' }}
    >
      <div>{boards.length === 1 ? 'One board is set aside' : `${boards.length} boards are set aside`}:</div>
      {boards.slice(0, mostShown).map(({ climb }) => (
        <div key={climb.boardId}>
          <strong>{climb.boardName}</strong> {climb.maker}: {tellingRung(climb)?.findings[0]?.sentence}{' '}
          <RemoveBoard id={climb.boardId} name={climb.boardName} onDone={setFault} />
        </div>
      ))}
      {boards.length > mostShown && <div>and {boards.length - mostShown} more: remove these first.</div>}
      {fault && <div role="alert">{fault}</div>}
    </Box>
  );
}
