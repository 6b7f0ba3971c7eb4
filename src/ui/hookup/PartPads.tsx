'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { drawHookup, type Board, type Climb, type Wire } from '@/core';
import { FaceFigure } from './FaceFigure';

/** On a phone: one part at a time, its pads numbered on the board, its joints below in large letters. */
export function PartPads({
  board,
  climb,
  wires,
  part,
  onPart,
}: {
  board: Board;
  climb: Climb;
  wires: readonly Wire[];
  part: string | null;
  onPart: (part: string) => void;
}) {
  const parts = climb.hookup.parts.filter((p) => wires.some((w) => w.part === p.id));
  const at = Math.max(
    0,
    parts.findIndex((p) => p.id === part),
  );
  const shown = parts[at];
  if (!shown) return <Box sx={{ fontSize: 13 }}>Nothing is wired to this board.</Box>;
  const mine = wires.filter((w) => w.part === shown.id);
  const step = (by: number) => onPart(parts[(at + by + parts.length) % parts.length]!.id);
  const marks = new Map<string, string>();
  mine.forEach((w, i) => w.padId && marks.set(w.padId, [marks.get(w.padId), i + 1].filter(Boolean).join(' ')));
  const faces = drawHookup(board, climb.hookup, mine, { stubs: true, only: shown.id }).filter((f) =>
    f.pads.some((p) => marks.has(p.id)),
  );
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
        <Button aria-label="Part before" onClick={() => step(-1)} sx={{ minHeight: 40, minWidth: 40 }}>
          ‹
        </Button>
        <Select
          value={shown.id}
          onChange={(e) => onPart(e.target.value)}
          inputProps={{ 'aria-label': 'Part' }}
          sx={{ flex: 1, fontSize: 16 }}
        >
          {parts.map((p) => (
            <MenuItem key={p.id} value={p.id}>
              {p.name}
            </MenuItem>
          ))}
        </Select>
        <Button aria-label="Next part" onClick={() => step(1)} sx={{ minHeight: 40, minWidth: 40 }}>
          ›
        </Button>
      </Box>
      {faces.map((f) => (
        <figure key={`${f.member} ${f.face}`} style={{ margin: '6px 0' }}>
          <figcaption style={{ fontSize: 13 }}>
            {f.member !== null && `${f.member}: `}
            {f.face === 'top' ? 'Top, nose up' : 'Underside, seen from below, nose up'}
          </figcaption>
          <FaceFigure drawing={f} picked={{ part: shown.id }} marks={marks} boardOnly />
        </figure>
      ))}
      <Box component="ol" sx={{ m: 0, pl: 3, fontSize: 16, lineHeight: 1.6 }}>
        {mine.map((w, i) => (
          <li key={i}>
            <b>{w.from}</b> to {[w.pin.of, w.pin.name, w.pin.colour].filter(Boolean).join(', ')}, {w.gauge} AWG,{' '}
            {w.colour}
          </li>
        ))}
      </Box>
    </Box>
  );
}
