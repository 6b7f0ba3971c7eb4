import Box from '@mui/material/Box';
import { useRoom } from '../room/store';

/** What the last change of the build moved, in one line. */
export function Moves() {
  const { ranking } = useRoom('ranking');
  const told = ranking.moved.filter((m) => m.before !== m.after || m.because !== null);
  if (told.length === 0) return null;
  const m = told[0]!;
  return (
    <Box
      role="status"
      sx={{
        px: 2,
        py: 0.25,
        fontSize: 12,
        borderBottom: '1px solid var(--hair)',
        overflow: 'hidden',
        whiteSpace: 'nowrap',
        textOverflow: 'ellipsis',
        color: 'primary.main',
      }}
    >
      {m.name} {m.from === m.to ? `stays at ${m.to}` : `moved from ${m.from} to ${m.to}`} because{' '}
      {m.because ?? `it is now judged ${m.after}`}
      {told.length > 1 ? ` (and ${told.length - 1} more changed)` : ''}
    </Box>
  );
}
