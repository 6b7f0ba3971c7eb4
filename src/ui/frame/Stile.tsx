'use client';

import Box from '@mui/material/Box';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useRoom } from '../room/BuildRoom';

interface Stage {
  name: string;
  href: string;
  says: string;
  here: boolean;
}

/** The stages of the work as a ladder that goes up: the first stage stands at the foot. */
export function Stile() {
  const { build, ranking } = useRoom();
  const path = usePathname();
  const base = `/b/${build.id}`;
  const fits = ranking.ranked?.filter((r) => r.climb.verdict === 'fits' || r.climb.verdict === 'fits with work').length;
  const board = path.startsWith(`${base}/board/`) ? ranking.ranked?.find((r) => path.endsWith(`/${r.climb.boardId}`)) : (ranking.ranked?.[0] ?? null);
  const stages: Stage[] = [
    { name: 'Build', href: base, says: `${build.parts.length} parts`, here: path === base },
    { name: 'Ladder', href: `${base}/ladder`, says: fits === undefined ? 'working ...' : `${fits} of ${ranking.ranked!.length} fit`, here: path === `${base}/ladder` },
    ...(board ? [{ name: 'Board', href: `${base}/board/${board.climb.boardId}`, says: board.climb.boardName, here: path.startsWith(`${base}/board/`) }] : []),
  ];
  return (
    <Box component="nav" aria-label="Stages" className="no-print" sx={{ width: 124, flexShrink: 0, borderRight: '1px solid var(--hair)', display: 'flex', flexDirection: 'column', px: 1.5, py: 2 }}>
      <Box component={Link} href="/" sx={{ fontWeight: 680, fontSize: 19, fontStretch: '80%', color: 'text.primary', textDecoration: 'none', mb: 2 }}>
        Rung
      </Box>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexDirection: 'column-reverse', mt: 'auto', position: 'relative', borderLeft: '2px solid var(--ink)', borderRight: '2px solid var(--ink)', pt: 3 }}>
        {stages.map((s) => (
          <Box component="li" key={s.name} sx={{ position: 'relative', height: 74, display: 'flex', flexDirection: 'column', justifyContent: 'flex-end' }}>
            <Box
              component={Link}
              href={s.href}
              aria-current={s.here ? 'page' : undefined}
              sx={{ textDecoration: 'none', color: s.here ? 'primary.main' : 'text.primary', textAlign: 'center', pb: 0.5, lineHeight: 1.25 }}
            >
              <Box component="span" sx={{ display: 'block', fontWeight: s.here ? 660 : 520, fontSize: 13 }}>
                {s.name}
              </Box>
              <Box component="span" sx={{ display: 'block', fontSize: 11, color: 'text.secondary' }}>
                {s.says}
              </Box>
            </Box>
            <Box aria-hidden sx={{ height: s.here ? 5 : 2, mx: '-6px', background: s.here ? 'var(--copper)' : 'var(--ink)' }} />
          </Box>
        ))}
      </Box>
      <Box aria-hidden sx={{ height: 18, borderLeft: '2px solid var(--ink)', borderRight: '2px solid var(--ink)' }} />
    </Box>
  );
}
