import Box from '@mui/material/Box';
import { buildDoubts } from '@/core';
import { useRoom } from '../room/store';

/** What of the build cannot all be true at once, and what it flies with and nobody listed: said where it is planned, and where something is decided by it. */
export function BuildDoubts() {
  const { build } = useRoom('build');
  const doubts = buildDoubts(build);
  if (doubts.length === 0) return null;
  return (
    <Box role="note" sx={{ my: 0.5, fontSize: 12.5, color: 'error.main' }}>
      Look at the build again: {doubts.join(' ')}
    </Box>
  );
}
