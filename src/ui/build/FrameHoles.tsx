'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { patternWords, type Build } from '@/core';
import { Choice } from '../form/Choice';
import { NumberBox } from '../form/NumberBox';

type Mount = Build['frame']['mounts'][number];

const screws = ['M2', 'M3'] as const;

/** The square patterns of the trade. */
const usual: readonly Mount[] = [
  { alongMm: 16, screw: 'M2' },
  { alongMm: 20, screw: 'M2' },
  { alongMm: 20, screw: 'M3' },
  { alongMm: 25.5, screw: 'M2' },
  { alongMm: 25.5, screw: 'M3' },
  { alongMm: 30.5, screw: 'M3' },
];

function same(a: Mount, b: Mount): boolean {
  return a.alongMm === b.alongMm && (a.acrossMm ?? a.alongMm) === (b.acrossMm ?? b.alongMm) && a.screw === b.screw;
}

/** The hole patterns of a frame: the usual ones to tick, any other by its two distances, or none at all. */
export function FrameHoles({ mounts, onChange }: { mounts: Mount[]; onChange: (mounts: Mount[]) => void }) {
  const others = mounts.flatMap((m, i) => (usual.some((u) => same(u, m)) ? [] : [i]));
  const change = (at: number, next: Partial<Mount>) =>
    onChange(mounts.map((m, i) => (i === at ? { ...m, ...next } : m)));
  return (
    <Box role="group" aria-label="Hole patterns the frame offers" sx={{ width: '100%' }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center' }}>
        {usual.map((u) => (
          <FormControlLabel
            key={`${u.alongMm} ${u.screw}`}
            sx={{ mr: 1.5 }}
            control={
              <Checkbox
                checked={mounts.some((m) => same(u, m))}
                onChange={(_, yes) => onChange(yes ? [...mounts, u] : mounts.filter((m) => !same(u, m)))}
              />
            }
            label={`${patternWords(u)} ${u.screw}`}
          />
        ))}
        <Button
          disabled={mounts.length >= 12}
          onClick={() => onChange([...mounts, { alongMm: 40, acrossMm: 30, screw: 'M3' }])}
          sx={{ px: 0.75 }}
        >
          Another pattern
        </Button>
      </Box>
      {others.map((at) => {
        const mount = mounts[at]!;
        return (
          <Box key={at} sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end', mt: 0.5 }}>
            <NumberBox
              label="Holes along"
              unit="mm"
              min={1}
              max={80}
              value={mount.alongMm}
              onChange={(v) => v && change(at, { alongMm: v })}
            />
            <NumberBox
              label="Holes across"
              unit="mm"
              min={1}
              max={80}
              mayBeUnknown
              empty="as along"
              value={mount.acrossMm ?? null}
              onChange={(v) => change(at, { acrossMm: v ?? undefined })}
            />
            <Choice label="Screw" value={mount.screw} words={screws} onChange={(screw) => change(at, { screw })} />
            <Button
              aria-label={`Remove the pattern of ${patternWords(mount)}`}
              onClick={() => onChange(mounts.filter((_, i) => i !== at))}
              sx={{ px: 0.75 }}
            >
              Remove
            </Button>
          </Box>
        );
      })}
      {mounts.length === 0 && (
        <Box sx={{ fontSize: 12, color: 'text.secondary' }}>No holes: the board is taped down.</Box>
      )}
    </Box>
  );
}
