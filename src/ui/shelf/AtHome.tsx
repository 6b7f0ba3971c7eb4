import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import { boardKey, withAtHome, type Board } from '@/core';
import { useRoom } from '../room/store';
import { ChangedByWriters } from '../room/ForWriters';

/** A board that the buyer has costs nothing, alone and in any set. How many of it are there is said in the basket. */
export function AtHome({ board }: { board: Board }) {
  const { build, edit } = useRoom('build', 'edit');
  const key = boardKey(board);
  const there = (build.atHome[key] ?? 0) > 0;
  return (
    <Box>
      <ChangedByWriters>
        <Checkbox
          size="small"
          checked={there}
          onChange={() => edit(`home ${key}`, (b) => withAtHome(b, [board], !there))}
          slotProps={{ input: { 'aria-label': `${board.name} is at home` } }}
          sx={{ p: 0.25 }}
        />
      </ChangedByWriters>
    </Box>
  );
}
