'use client';

import { money, patternWords, type Build } from '@/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';
import { ChangedByWriters, ForWriters } from '../room/ForWriters';
import { CraftFields } from './CraftFields';
import { Policies } from './Policies';

/** Frame, pack, motors and limits as sentences; opened, as fields. */
export function Craft() {
  const { build } = useRoom('build');
  const words = useWords();
  const [open, setOpen] = useState(build.parts.length === 0);
  return (
    <Box component="section" aria-label="Craft and limits">
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
        <Box
          component="dl"
          sx={{
            m: 0,
            flex: 1,
            display: 'grid',
            gridTemplateColumns: '64px 1fr',
            columnGap: 1.5,
            rowGap: 0.25,
            '& dt': { color: 'text.secondary' },
            '& dd': { m: 0 },
          }}
        >
          {sentences(build).map(([what, is]) => [<dt key={what}>{what}</dt>, <dd key={`${what}-is`}>{words(is)}</dd>])}
        </Box>
        <ForWriters>
          <Button variant="outlined" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Close' : 'Change'}
          </Button>
        </ForWriters>
      </Box>
      {open && (
        <ChangedByWriters>
          <CraftFields />
        </ChangedByWriters>
      )}
      <Policies />
    </Box>
  );
}

function sentences(b: Build): [string, string][] {
  const mass = (f: Build['bareMassG']) => ('value' in f ? `${f.value} g` : 'unknown mass');
  return [
    ...(b.craft === '' ? [] : [['For', b.craft] as [string, string]]),
    [
      'Frame',
      `${b.frame.mounts.map((m) => `${patternWords(m)} ${m.screw}`).join(' or ') || 'a tray without holes'}; bay ${b.frame.bayLengthMm} x ${b.frame.bayWidthMm} x ${b.frame.bayHeightMm} mm; USB reached from ${b.frame.openSides.join(', ') || 'nowhere'}; bare craft ${mass(b.bareMassG)}`,
    ],
    ['Pack', `${b.pack.cells} cells, ${b.pack.chemistry}, ${mass(b.pack.massG)}`],
    [
      'Motors',
      b.motors.count === 0
        ? 'none on the board'
        : `${b.motors.count}, each ${b.motors.cruiseAmps} A at cruise, ${b.motors.peakAmps} A for up to ${b.motors.peakSeconds} s; ESCs ${b.motors.esc}`,
    ],
    ['Limits', `${b.limits.takeOffMassG} g at take-off, ${money(b.limits.budgetCents, b.currency)}`],
  ];
}
