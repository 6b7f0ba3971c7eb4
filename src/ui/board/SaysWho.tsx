import Box from '@mui/material/Box';
import { SourcePlace } from '../intake/SourcePlace';
import type { Ground } from '@/core';

export const speakers: Record<Ground['origin'], string> = {
  claim: 'shop page',
  manual: 'manual',
  print: 'read off the board',
  report: 'other buyers',
  tested: 'measured by others',
  measured: 'measured by you',
  assumed: "a rule of Rung's",
  unknown: 'nobody',
  plan: 'your plan',
};

/** The figures a finding leaned on, with who says them and since when. */
export function SaysWho({ grounds }: { grounds: Ground[] }) {
  return (
    <Box component="table" sx={{ my: 0.5, maxWidth: 760, background: 'var(--paper)' }}>
      <thead>
        <tr>
          <th>Figure</th>
          <th>Value</th>
          <th>Says who</th>
          <th>Read on</th>
        </tr>
      </thead>
      <tbody>
        {grounds.flatMap((g, i) => [
          <Row key={i} ground={g} />,
          ...(g.also ?? []).map((word, n) => <Row key={`${i} ${n}`} ground={word} besides />),
        ])}
      </tbody>
    </Box>
  );
}

/** `besides`: a word that does not count. */
function Row({ ground, besides }: { ground: Ground; besides?: boolean }) {
  return (
    <Box component="tr" sx={besides ? { color: 'text.secondary' } : {}}>
      <td>{besides ? 'not counted' : ground.what}</td>
      <td>{ground.figure}</td>
      <td>
        {speakers[ground.origin]}
        {ground.source ? `: ${ground.source}` : ''}
        {ground.place && <SourcePlace place={ground.place} what={ground.what} />}
      </td>
      <td>{ground.seen ?? ''}</td>
    </Box>
  );
}
