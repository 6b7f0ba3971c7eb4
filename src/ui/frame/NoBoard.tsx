import Box from '@mui/material/Box';
import { Link } from './Link';
import { useRoom } from '../room/store';

/** An address that names a board which is not on the shelf (any more). */
export function NoBoard() {
  const { build } = useRoom('build');
  return (
    <Box role="status" sx={{ p: 3 }}>
      No board of this name is on the shelf. <Link href={`/b/${build.id}/ladder`}>Back to the ladder</Link> or{' '}
      <Link href={`/b/${build.id}/shelf`}>to the shelf</Link>.
    </Box>
  );
}
