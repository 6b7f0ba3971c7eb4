'use client';

import Box from '@mui/material/Box';
import { CopyButton } from '../frame/CopyButton';

/** A secret that is shown once: to be copied now. */
export function Handed({ what, text }: { what: string; text: string }) {
  return (
    <Box role="status" sx={{ border: '2px solid var(--copper)', p: 1, mt: 1, fontSize: 12.5 }}>
      <Box>{what}</Box>
      <Box component="code" sx={{ display: 'block', overflowWrap: 'anywhere', my: 0.5 }}>
        {text}
      </Box>
      <CopyButton text={() => text} />
    </Box>
  );
}
