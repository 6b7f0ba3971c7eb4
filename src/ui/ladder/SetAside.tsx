import Box from '@mui/material/Box';
import { useState } from 'react';
import type { Ranked } from '@/core';
import { RemoveBoard } from '../shelf/RemoveBoard';
import { firstSentence, tellingRung } from '@/core';

const mostShown = 4;

/** Boards that could not be judged: each with its reason. They hold nothing up, and can be removed without being opened. Sets are made of boards, and counted. */
export function SetAside({ aside }: { aside: readonly Ranked[] }) {
  const [fault, setFault] = useState<string | null>(null);
  const sets = aside.filter((r) => r.climb.members).length;
  const boards = aside.filter((r) => !r.climb.members);
  if (aside.length === 0) return null;
  return (
    <Box
      role="note"
      aria-label="Set aside"
      sx={{ px: 2, py: 0.5, fontSize: 12, borderBottom: '1px solid var(--hair)' }}
    >
      {boards.length > 0 && (
        <div>{boards.length === 1 ? 'One board is set aside' : `${boards.length} boards are set aside`}:</div>
      )}
      {boards.slice(0, mostShown).map(({ climb }) => (
        <div key={climb.boardId}>
          <strong>{climb.boardName}</strong> {climb.maker}: {firstSentence(tellingRung(climb))}{' '}
          <RemoveBoard id={climb.boardId} name={climb.boardName} onDone={setFault} />
        </div>
      ))}
      {boards.length > mostShown && <div>and {boards.length - mostShown} more: remove these first.</div>}
      {sets > 0 && (
        <div>
          {sets === 1 ? 'One set is set aside' : `${sets} sets are set aside`}: what wires them was not worked out
          within the steps of one climb. Fewer optional parts make the search shorter.
        </div>
      )}
      {fault && <div role="alert">{fault}</div>}
    </Box>
  );
}
