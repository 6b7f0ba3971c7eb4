import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import { byReason, type Step } from '@/core';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';
import { ChangedByWriters } from '../room/ForWriters';
import { doneKey, ticked } from './done';

/** Steps of the build sheet with their ticks, under their reasons; the same ticks wherever they are shown. */
export function Steps({ title, steps, board }: { title: string; steps: Step[]; board: string }) {
  const words = useWords();
  const { build, edit } = useRoom('build', 'edit');
  if (steps.length === 0) return null;
  const tick = (s: Step) => edit(`tick ${s.key}`, (b) => ticked(b, board, s));
  return (
    <section>
      <Box component="h3" sx={{ fontSize: 14, mt: 1.5, mb: 0.25 }}>
        {title}
      </Box>
      {byReason(steps).map(({ why, steps: same }) => (
        <Box key={same[0]!.key} sx={{ breakInside: 'avoid', borderBottom: '1px solid var(--hair)', pb: 0.25 }}>
          <Box sx={{ fontSize: 12, color: 'text.secondary', pt: 0.5 }}>{words(why)}</Box>
          {same.map((s) => (
            <Box key={s.key} sx={{ display: 'flex', gap: 0.5, alignItems: 'flex-start' }}>
              <ChangedByWriters>
                <Checkbox
                  checked={build.done[doneKey(board, s)] === true}
                  onChange={() => tick(s)}
                  slotProps={{ input: { 'aria-label': s.does } }}
                />
              </ChangedByWriters>
              <Box sx={{ fontSize: 12.5, pt: 0.25 }}>{words(s.does)}</Box>
            </Box>
          ))}
        </Box>
      ))}
    </section>
  );
}
