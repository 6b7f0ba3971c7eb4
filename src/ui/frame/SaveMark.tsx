'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRoom } from '../room/store';

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

/** Shown below the build line when a change could not be saved as it is. */
export function SaveTrouble() {
  const { save, keepMine, takeTheirs, putBack } = useRoom('save', 'keepMine', 'takeTheirs', 'putBack');
  if (save.kind === 'saved' || save.kind === 'saving') return null;
  const time =
    save.kind === 'conflict'
      ? new Date(save.theirs.savedAt).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })
      : '';
  return (
    <Box
      role="alert"
      className="no-print"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.5,
        px: 2,
        py: 0.75,
        borderBottom: '1px solid var(--breaks)',
        background: 'var(--copperSoft)',
        fontSize: 13,
      }}
    >
      {save.kind === 'conflict' ? (
        <>
          <span>
            Another tab or person saved this build at {time}. Your version is still here; nothing is lost until you
            choose.
          </span>
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
