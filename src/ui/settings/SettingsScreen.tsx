'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useColorScheme } from '@mui/material/styles';
import { Link } from '../frame/Link';
import type { ReactNode } from 'react';
import { dayWays, preferred, unitWays } from '@/core';
import { Choice } from '../form/Choice';
import { LetterKeys } from '../frame/LetterKeys';
import { useWays } from '../frame/ways';
import { WorkspaceMoney } from './WorkspaceMoney';

const lights = ['system', 'light', 'dark'] as const;
const lightWords = { system: 'as the system says', light: 'day bench', dark: 'night bench' };
const sample = 'A board of 36 x 36 mm and 8.4 g, seen on 2026-11-28.';

/** How whoever uses this browser likes to read and type, and what new builds of the workspace are paid in. */
export function SettingsScreen({ mayWrite }: { mayWrite: boolean }) {
  const { units, days, say } = useWays();
  const { mode, setMode } = useColorScheme();
  return (
    <Box component="main" sx={{ maxWidth: 720, mx: 'auto', px: 3, py: 4 }}>
      <Typography variant="h1">
        <Link href="/">Rung</Link>: settings
      </Typography>
      <Group title="Reading, in this browser">
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <Choice label="Masses and lengths" value={units} words={unitWays} onChange={(u) => say({ units: u })} />
          <Choice label="Days" value={days} words={dayWays} onChange={(d) => say({ days: d })} />
          <Choice
            label="Light"
            value={mode ?? 'system'}
            words={lights}
            says={(l) => lightWords[l]}
            onChange={(l) => setMode(l)}
          />
        </Box>
        <Box role="status" sx={{ fontSize: 12.5, mt: 1 }}>
          {preferred(sample, { units, days })}
        </Box>
        <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
          Whatever is chosen, boxes understand other units where they are typed: 23 oz, 1.2 in, 0,3 A. Files and what is
          printed for others stay metric.
        </Box>
      </Group>
      <Group title="Keys, in this browser">
        <LetterKeys />
      </Group>
      <Group title="Money, for new builds of everybody here">
        <WorkspaceMoney mayWrite={mayWrite} />
      </Group>
    </Box>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ mt: 3, borderTop: '1px solid var(--hair)', pt: 1 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
