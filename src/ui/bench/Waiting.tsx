import Box from '@mui/material/Box';

/** While a worker solves. */
export function Waiting({ what }: { what: string }) {
  return (
    <Box role="status" sx={{ p: 2, color: 'text.secondary' }}>
      {what} ...
    </Box>
  );
}

/** What the circuit took for granted. */
export function Assumed({ assumed }: { assumed: readonly string[] }) {
  if (assumed.length === 0) return null;
  return <Box sx={{ fontSize: 12, color: 'text.secondary' }}>Taken for granted: {assumed.join('; ')}.</Box>;
}
