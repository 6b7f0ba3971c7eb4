'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';

/** A secret that is shown once: to be copied now. */
export function Handed({ what, text }: { what: string; text: string }) {
  const [copied, setCopied] = useState(false);
  return (
    <Box role="status" sx={{ border: '2px solid var(--copper)', p: 1, mt: 1, fontSize: 12.5 }}>
      <Box>{what}</Box>
      <Box component="code" sx={{ display: 'block', overflowWrap: 'anywhere', my: 0.5 }}>
        {text}
      </Box>
      <Button onClick={() => void navigator.clipboard.writeText(text).then(() => setCopied(true))}>
        {copied ? 'Copied' : 'Copy'}
      </Button>
    </Box>
  );
}
