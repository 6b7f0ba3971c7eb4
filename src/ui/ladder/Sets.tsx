import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { counted, rungNames, sentenceOf } from '@/core';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';

/** What the search for boards bought together came to: how many were looked at, which members no set can have, and how sure the order is. */
export function Sets() {
  const { build, ranking } = useRoom('build', 'ranking');
  const { sets } = ranking;
  const words = useWords();
  if (!sets || sets.possible === 0) return null;
  const possible = sets.possible.toLocaleString('en');
  const shown = ranking.ranked?.filter((r) => r.climb.members).length ?? 0;
  let said: string;
  if (sets.busy) said = `Sets are looked for: ${sets.tried} of ${possible} tried so far.`;
  else if (sets.proved)
    said = `The best ${counted(shown, 'set')} of ${possible} that this shelf makes are shown: no other is better. ${sets.tried} were tried, bounds rule the rest out.`;
  else
    said = `The best ${counted(shown, 'set')} of ${sets.tried} tried are shown, of ${possible}: a better one may be among the rest.`;
  return (
    <Box
      sx={{
        px: 2,
        py: 0.25,
        fontSize: 12,
        borderBottom: '1px solid var(--hair)',
        display: 'flex',
        gap: 1.5,
        flexWrap: 'wrap',
      }}
    >
      <span role="status">{said}</span>
      {sets.busy && <Button onClick={ranking.stop}>Stop</Button>}
      {sets.out.length > 0 && (
        <Box component="details" sx={{ flex: 1, minWidth: 220 }}>
          <summary style={{ minHeight: 24 }}>
            {sets.out.length === 1 ? '1 board is in no set' : `${sets.out.length} boards are in no set`} that could
            carry it
          </summary>
          <Box component="ul" sx={{ m: 0, maxHeight: 160, overflow: 'auto' }}>
            {sets.out.map((o) => (
              <li key={o.id}>
                <Link href={`/b/${build.id}/shelf/${o.id}`}>{o.name}</Link>, {rungNames[o.finding.rung - 1]}:{' '}
                {words(sentenceOf(o.finding))}
              </li>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}
