import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { withSet, type Board } from '@/core';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';

/** The address of a set that is not among the best: it can be made, but nobody has asked for it. */
export function KeepSet({ board }: { board: Board }) {
  const { edit } = useRoom('edit');
  return (
    <Box role="status" sx={{ p: 3 }}>
      {board.name} is a set that this shelf makes, but it is not among the best for this build.{' '}
      <ForWriters>
        <Button variant="outlined" onClick={() => edit('keep a set', (b) => withSet(b, board.id))}>
          Let it climb all the same
        </Button>
      </ForWriters>
    </Box>
  );
}
