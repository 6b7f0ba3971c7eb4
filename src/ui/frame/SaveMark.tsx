'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useContext } from 'react';
import type { SaveState } from '../room/room';
import { RoomContext, useRoom } from '../room/store';

/** Where the last change is: on the server, on its way, or kept in this browser. */
export function SaveMark() {
  const { save } = useRoom('save');
  const words = {
    saved: 'Saved',
    saving: 'Saving ...',
    'kept here': 'Kept in this browser',
    refused: 'Not saved',
    removed: 'Removed elsewhere',
    conflict: 'Two versions',
  }[save.kind];
  const calm = save.kind === 'saved' || save.kind === 'saving';
  return (
    <Box
      component="span"
      role="status"
      data-save={save.kind}
      sx={{ fontSize: 12, color: calm ? 'text.secondary' : 'error.main' }}
    >
      {words}
    </Box>
  );
}

const strip = {
  display: 'flex',
  alignItems: 'center',
  gap: 1.5,
  px: 2,
  py: 0.75,
  borderBottom: '1px solid var(--breaks)',
  background: 'var(--copperSoft)',
  fontSize: 13,
} as const;

/** Shown below the build line when a change could not be saved as it is. */
export function SaveTrouble() {
  const { save, keepMine, takeTheirs, putBack } = useRoom('save', 'keepMine', 'takeTheirs', 'putBack');
  if (save.kind === 'saved' || save.kind === 'saving') return <TakenIn />;
  return (
    <Box role="alert" className="no-print" sx={strip}>
      {save.kind === 'conflict' ? (
        <>
          <span>{conflictWords(save)}</span>
          <Button variant="outlined" onClick={keepMine}>
            Keep mine
          </Button>
          <Button variant="outlined" onClick={takeTheirs}>
            Take theirs
          </Button>
        </>
      ) : (
        <>
          <span>{save.why}</span>
          {save.kind === 'removed' && (
            <Button variant="outlined" onClick={putBack}>
              Put it back as it is here
            </Button>
          )}
        </>
      )}
    </Box>
  );
}

function conflictWords({ theirs, clashes, together }: SaveState & { kind: 'conflict' }): string {
  const time = new Date(theirs.savedAt).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
  const what = new Intl.ListFormat('en').format(clashes);
  return together
    ? `Another tab or person saved this build at ${time}, and both changed ${what}. All else of both is put together; whose stands there?`
    : `Another tab or person saved this build at ${time}, and the two cannot be put together: ${what}. Your version is still here; nothing is lost until you choose.`;
}

/** What came from elsewhere is said: nothing on a screen changes by itself without a word. */
function TakenIn() {
  const { takenIn } = useRoom('takenIn');
  const store = useContext(RoomContext);
  if (takenIn.length === 0) return null;
  return (
    <Box role="status" className="no-print" sx={{ ...strip, borderColor: 'var(--line)', background: 'var(--panel)' }}>
      <span>Taken in from another tab or person: {takenIn.join('; ')}.</span>
      <Button onClick={() => store?.setState({ takenIn: [] })}>Good</Button>
    </Box>
  );
}
