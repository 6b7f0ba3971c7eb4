import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Reading } from '@/core';

export type Choice = 'open' | 'taken' | 'left';

const mostShown = 20_000;

/** The text with every figure that was understood marked where it stands; of a long one the part around the figure at hand. */
export function MarkedText({
  text,
  readings,
  at,
  choice,
}: {
  text: string;
  readings: Reading[];
  at: number;
  choice: (i: number) => Choice;
}) {
  const now = readings[at]?.start ?? 0;
  const from = text.length > mostShown ? Math.max(0, now - mostShown / 2) : 0;
  const shown = text.slice(from, from + mostShown);
  const out: ReactNode[] = [];
  let done = 0;
  readings.forEach((r, i) => {
    const [start, end] = [r.start - from, r.end - from];
    if (start < done || end > shown.length) return;
    out.push(shown.slice(done, start));
    let textDecoration: 'none' | 'line-through' | 'underline dotted';
    if (choice(i) === 'left') textDecoration = 'line-through';
    else if (r.doubt === 'sure') textDecoration = 'none';
    else textDecoration = 'underline dotted';
    out.push(
      <Box
        component="mark"
        key={i}
        ref={(mark: HTMLElement | null) => {
          if (mark && i === at) mark.scrollIntoView({ block: 'nearest' });
        }}
        sx={{
          background: i === at ? 'var(--copper)' : 'var(--copperSoft)',
          color: i === at ? 'var(--paper)' : 'inherit',
          textDecoration,
        }}
      >
        {shown.slice(start, end)}
      </Box>,
    );
    done = end;
  });
  out.push(shown.slice(done));
  return (
    <Box
      sx={{
        whiteSpace: 'pre-wrap',
        fontSize: 12,
        border: '1px solid var(--hair)',
        p: 1,
        my: 0.5,
        maxHeight: 150,
        overflow: 'auto',
        background: 'var(--paper)',
      }}
      tabIndex={0}
      role="region"
      aria-label="The text with its marks"
    >
      {out}
    </Box>
  );
}
