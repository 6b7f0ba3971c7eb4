import Box from '@mui/material/Box';
import type { RungState } from '@/core';
import { Term } from '../frame/Term';
import { RungMark } from './RungMark';

const states: RungState[] = ['holds', 'strained', 'unknown', 'breaks'];

/** What the four marks mean. */
export function MarkKey() {
  return (
    <Box
      component="ul"
      aria-label="What the marks mean"
      sx={{ display: 'flex', gap: 2.5, m: 0, p: 0, listStyle: 'none', color: 'text.secondary', fontSize: 12 }}
    >
      {states.map((s) => (
        <Box component="li" key={s} sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
          <svg width={20} height={24} viewBox="-10 -16 20 32" aria-hidden>
            <RungMark state={s} />
          </svg>
          <Term>{s}</Term>
        </Box>
      ))}
    </Box>
  );
}
