'use client';

import Box from '@mui/material/Box';
import { useColorScheme } from '@mui/material/styles';
import { usePathname } from 'next/navigation';
import { useEffect } from 'react';
import { today } from '../room/today';
import { useRoom } from '../room/store';
import { usePrinting } from './print';
import { useWords } from './ways';

const titles: Record<string, string> = {
  '': 'Build',
  board: 'Findings',
  hookup: 'Hookup',
  ladder: 'Ladder',
  shelf: 'Shelf',
  compare: 'Side by side',
  trade: 'Trade-off',
  questions: 'Questions',
  brief: "The buyer's brief",
  basket: 'Basket',
  sheet: 'Build sheet',
  bench: 'Bench',
  log: 'Logbook',
};

/** On paper alone: what this is, of which build, and of which day. Paper is ink on white whatever the light on the screen. */
export function PrintHead() {
  const { build } = useRoom('build');
  const printing = usePrinting();
  const { mode, setMode } = useColorScheme();
  const words = useWords();
  const screen = usePathname().split('/')[3] ?? '';
  useEffect(() => {
    if (!printing || mode === 'light' || mode === undefined) return;
    setMode('light');
    return () => setMode(mode);
    // Only the light before the paper comes back after it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [printing]);
  return (
    <Box component="header" className="print-only" sx={{ borderBottom: '1px solid #000', mb: 1, pb: 0.5 }}>
      <strong>
        {build.name}: {titles[screen] ?? screen}
      </strong>
      , {words(today())}
    </Box>
  );
}
