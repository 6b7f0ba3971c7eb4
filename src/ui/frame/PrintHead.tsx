'use client';

import Box from '@mui/material/Box';
import { usePathname } from 'next/navigation';
import { useEffect } from 'react';
import { today } from '../room/today';
import { useRoom } from '../room/store';
import { usePrinting } from './print';
import { boardScreens, screens } from './screens';
import { useWords } from './ways';

const titles: Record<string, string> = { ...screens, ...boardScreens };

/** Wider than high on paper. */
const wide = ['ladder', 'shelf', 'compare'];

/** On paper alone: what this is, of which build, and of which day. */
export function PrintHead() {
  const { build } = useRoom('build');
  // Listens, so that paper is prepared on every screen.
  usePrinting();
  const words = useWords();
  const screen = usePathname().split('/')[3] ?? '';
  const isWide = wide.includes(screen);
  // The whole page is turned, not a part of it: else its head would stand on a page of its own.
  useEffect(() => {
    document.body.classList.toggle('paper-wide', isWide);
    return () => document.body.classList.remove('paper-wide');
  }, [isWide]);
  return (
    <Box className="print-only" sx={{ borderBottom: '1px solid #000', mb: 1, pb: 0.5 }}>
      <strong>
        {build.name}: {titles[screen] ?? screen}
      </strong>
      , {words(today())}
    </Box>
  );
}
