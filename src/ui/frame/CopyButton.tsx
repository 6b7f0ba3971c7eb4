'use client';

import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';

const saidMs = 2500;

/** Copies a text and says whether it did. */
export function CopyButton({ text, children = 'Copy' }: { text: () => string; children?: ReactNode }) {
  const [said, setSaid] = useState<string | null>(null);
  const copy = async () => {
    // A browser may refuse; then the text is still there to be marked by hand.
    const went = await navigator.clipboard.writeText(text()).then(
      () => true,
      () => false,
    );
    setSaid(went ? 'Copied' : 'The browser did not let it');
    setTimeout(() => setSaid(null), saidMs);
  };
  return (
    <>
      <Button className="no-print" onClick={() => void copy()} sx={{ whiteSpace: 'nowrap' }}>
        {said ?? children}
      </Button>
      <span role="status" className="sr">
        {said}
      </span>
    </>
  );
}
