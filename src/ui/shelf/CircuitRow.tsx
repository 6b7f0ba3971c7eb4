import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** One thing of the board's circuit with what may be changed about it. */
export function CircuitRow({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box
      role="group"
      aria-label={name}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'flex-end',
        columnGap: 1.5,
        rowGap: 0.5,
        borderBottom: '1px solid var(--hair)',
        py: 0.5,
        fontSize: 12.5,
      }}
    >
      {children}
    </Box>
  );
}

export function CircuitPart({ title, action, children }: { title: string; action?: ReactNode; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, mt: 1.5 }}>
        <Typography variant="h2">{title}</Typography>
        {action}
      </Box>
      {children}
    </section>
  );
}
