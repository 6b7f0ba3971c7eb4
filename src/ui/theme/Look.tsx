'use client';

import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { useEffect, type ReactNode } from 'react';
import { useWays } from '../frame/ways';
import { theme } from './theme';

export function Look({ children }: { children: ReactNode }) {
  useEffect(() => void useWays.persist.rehydrate(), []);
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <CssBaseline />
      {children}
    </ThemeProvider>
  );
}
