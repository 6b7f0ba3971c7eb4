'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { asItLies, drawHookup, type Board, type Climb, type Step, type Wire } from '@/core';
import { FaceFigure } from '../hookup/FaceFigure';
import { useRoom } from '../room/store';
import { doneKey, ticked } from './done';

/** At the iron: one joint after the other in the order of the sheet, with the face that lies up beside it. What is ticked stays, also over a reload. */
export function SolderWalk({
  steps,
  board,
  climb,
  wires,
  onClose,
}: {
  steps: Step[];
  board: Board;
  climb: Climb;
  wires: readonly Wire[];
  onClose: () => void;
}) {
  const { build, edit } = useRoom('build', 'edit');
  const [back, setBack] = useState<number | null>(null);
  const isDone = (s: Step) => build.done[doneKey(board.id, s)] === true;
  const first = steps.findIndex((s) => !isDone(s));
  const at = back ?? (first < 0 ? steps.length : first);
  const now = steps[at];
  const tick = (s: Step) => edit(`tick ${s.key}`, (b) => ticked(b, board.id, s));
  const done = () => {
    if (!now) return;
    if (!isDone(now)) tick(now);
    setBack(null);
  };
  const undo = () => {
    const last = steps.slice(0, at).findLast(isDone);
    if (last) tick(last);
    setBack(null);
  };
  const look = (by: number) => setBack(Math.max(0, Math.min(steps.length - 1, at + by)));
  useHotkeys('enter, space', done, { preventDefault: true });
  useHotkeys('backspace, u', undo, { preventDefault: true });
  useHotkeys('left', () => look(-1), { preventDefault: true });
  useHotkeys('right', () => look(1), { preventDefault: true });
  useHotkeys('escape', onClose);
  const lying = asItLies(build, board);
  const face = now?.wire && now.wire.padId !== null ? now.wire.face : 'top';
  const joints = steps.flatMap((s) => (s.wire?.padId ? [{ pad: s.wire.padId, ready: isDone(s) }] : []));
  const marks = new Map<string, string>();
  for (const j of joints) {
    const of = joints.filter((x) => x.pad === j.pad);
    marks.set(j.pad, of.every((x) => x.ready) ? '✓' : String(joints.indexOf(of.find((x) => !x.ready)!) + 1));
  }
  const drawing = drawHookup(lying, climb.hookup, wires, { stubs: true }).find(
    (f) => f.face === face && (!now?.wire?.padId || f.pads.some((p) => p.id === now.wire!.padId)),
  );
  return (
    <section aria-label="At the iron">
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box component="strong" role="status">
          {now ? `Step ${at + 1} of ${steps.length}` : 'All joints are done.'}
        </Box>
        <Box sx={{ flex: 1 }} />
        <Button onClick={onClose}>Back to the sheet</Button>
      </Box>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        {drawing && (
          <Box sx={{ flex: '1 1 320px', maxWidth: 460 }}>
            <Box sx={{ fontSize: 13 }}>
              {face === 'top' ? 'The top lies up, nose away from you.' : 'The underside lies up, nose away from you.'}
            </Box>
            <FaceFigure drawing={drawing} picked={{ pad: now?.wire?.padId ?? null }} marks={marks} boardOnly />
          </Box>
        )}
        <Box sx={{ flex: '1 1 280px', fontSize: 17, lineHeight: 1.5 }}>
          {now && (
            <>
              <Box>{now.does}</Box>
              <Box sx={{ fontSize: 14, color: 'text.secondary', my: 1 }}>{now.why}</Box>
              {now.wire?.warning && <Box sx={{ color: 'error.main', fontSize: 15 }}>Mind: {now.wire.warning}.</Box>}
            </>
          )}
          <Box sx={{ display: 'flex', gap: 1, my: 1.5, flexWrap: 'wrap' }}>
            <Button variant="contained" onClick={done} disabled={!now} sx={{ minHeight: 48, px: 3, fontSize: 16 }}>
              {now && isDone(now) ? 'Next' : 'Done'}
            </Button>
            <Button variant="outlined" onClick={undo} sx={{ minHeight: 48 }}>
              Take the last back
            </Button>
            <Button onClick={() => look(-1)} sx={{ minHeight: 48 }}>
              Before
            </Button>
            <Button onClick={() => look(1)} sx={{ minHeight: 48 }}>
              After
            </Button>
          </Box>
          <Box sx={{ fontSize: 12, color: 'text.secondary' }}>
            Enter: done. Backspace: take the last back. Arrows: look at the others. Numbers at the pads are the order of
            the iron.
          </Box>
        </Box>
      </Box>
    </section>
  );
}
