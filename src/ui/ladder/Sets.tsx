import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from '../frame/Link';
import { counted, rungNames, sentenceOf } from '@/core';
import { useWords } from '../frame/ways';
import { useRoom } from '../room/store';

interface Search {
  busy: boolean;
  tried: number;
  possible: number;
  proved: boolean;
}

function saidOf({ busy, tried, possible: of, proved }: Search, shown: number): string {
  const possible = of.toLocaleString('en');
  if (busy) return `Sets are looked for: ${tried} of ${possible} tried so far.`;
  if (!proved)
    return `The best ${counted(shown, 'set')} of ${tried} tried are shown, of ${possible}: a better one may be among the rest.`;
  if (shown === 0)
    return `None of the ${possible} sets that this shelf makes could carry it: figures of their boards rule them out.`;
  const rest = tried === of ? 'All were tried.' : `${tried} were tried, bounds rule the rest out.`;
  return `The best ${counted(shown, 'set')} of ${possible} that this shelf makes are shown: no other is better. ${rest}`;
}

/** What the search for boards bought together came to: how many were looked at, which members no set can have, and how sure the order is. */
export function Sets() {
  const { build, ranking } = useRoom('build', 'ranking');
  const { sets } = ranking;
  const words = useWords();
  if (!sets || sets.possible === 0) return null;
  const shown = ranking.ranked?.filter((r) => r.climb.members).length ?? 0;
  const said = saidOf(sets, shown);
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
