'use client';

import Box from '@mui/material/Box';
import ClickAwayListener from '@mui/material/ClickAwayListener';
import Tooltip from '@mui/material/Tooltip';
import { useState, type ReactNode } from 'react';
import { glossary, rungWords } from '@/core';

const means = new Map<string, string>([
  ...glossary.map((g) => [g.term, g.means] as const),
  ...Object.entries(rungWords),
]);

/** A word of the trade that explains itself where it stands: on a click, on a key, or under the pointer. `of`: the term, where it is written otherwise here. */
export function Term({ children, of }: { children: ReactNode; of?: string }) {
  const [open, setOpen] = useState(false);
  const says = means.get(of ?? String(children));
  if (says === undefined) throw new Error(`${of ?? String(children)} is no word of the glossary`);
  return (
    <ClickAwayListener onClickAway={() => setOpen(false)}>
      <Tooltip
        title={says}
        describeChild
        open={open}
        onOpen={() => setOpen(true)}
        onClose={() => setOpen(false)}
        enterDelay={300}
        enterTouchDelay={0}
      >
        <Box
          component="button"
          type="button"
          onClick={(e) => (e.stopPropagation(), setOpen(true))}
          onKeyDown={(e) => e.key === 'Escape' && setOpen(false)}
          sx={{
            font: 'inherit',
            color: 'inherit',
            background: 'none',
            border: 0,
            p: 0,
            cursor: 'help',
            textDecoration: 'underline dotted',
            textUnderlineOffset: 3,
          }}
        >
          {children}
        </Box>
      </Tooltip>
    </ClickAwayListener>
  );
}
