import Box from '@mui/material/Box';
import type { Ground } from '@/core';

const words: Record<Ground['origin'], string> = {
  claim: 'shop page',
  manual: 'manual',
  print: 'read off the board',
  report: 'other buyers',
  measured: 'measured by you',
  assumed: "a rule of Rung's",
  unknown: 'nobody',
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
        {grounds.map((g, i) => (
          <tr key={i}>
            <td>{g.what}</td>
            <td>{g.figure}</td>
            <td>
              {words[g.origin]}
              {g.source ? `: ${g.source}` : ''}
            </td>
            <td>{g.seen ?? ''}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
