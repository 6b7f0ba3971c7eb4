'use client';

import Box from '@mui/material/Box';
import { Link } from './Link';
import { usePathname } from 'next/navigation';
import { carries, counted, pickedName } from '@/core';
import { doneOn } from '../after/done';
import { useBoardAtHand } from '../room/board-at-hand';
import type { Ranking, Rights } from '../room/room';
import { useRoom } from '../room/store';
import { useShelf } from '../room/use-shelf';

interface Stage {
  name: string;
  href: string;
  says: string;
  here: boolean;
}

/** The stages of the work as a ladder that goes up: the first stage stands at the foot. */
export function Stile() {
  const { build, rights, ranking } = useRoom('build', 'rights', 'ranking');
  const { shelf } = useShelf();
  const path = usePathname();
  const base = `/b/${build.id}`;
  const fits = ranking.ranked?.filter((r) => carries(r.climb)).length;
  const { ranked: board, named } = useBoardAtHand();
  const kept = named && board ? `?board=${board.climb.boardId}` : '';
  const stages: Stage[] = [
    { name: 'Build', href: base, says: counted(build.parts.length, 'part'), here: path === base },
    { name: 'Brief', href: `${base}/brief`, says: 'the least it needs', here: path === `${base}/brief` },
    {
      name: 'Shelf',
      href: `${base}/shelf`,
      says: shelf ? counted(shelf.boards.length, 'board') : '...',
      here: path.startsWith(`${base}/shelf`),
    },
    {
      name: 'Ladder',
      href: `${base}/ladder`,
      says:
        fits === undefined
          ? 'working ...'
          : `${fits} of ${ranking.ranked!.length} fit${ranking.partial ? ' so far' : ''}`,
      here: path === `${base}/ladder`,
    },
    ...(board
      ? [
          {
            name: 'Findings',
            href: `${base}/board/${board.climb.boardId}`,
            says: board.climb.boardName,
            here: path.startsWith(`${base}/board/`),
          },
          {
            name: 'Hookup',
            href: `${base}/hookup/${board.climb.boardId}`,
            says: `${board.climb.hookup.freePorts} port${board.climb.hookup.freePorts === 1 ? '' : 's'} free`,
            here: path.startsWith(`${base}/hookup/`),
          },
        ]
      : []),
    { name: 'Side by side', href: `${base}/compare`, says: '', here: path === `${base}/compare` },
    {
      name: 'Trade-off',
      href: `${base}/trade`,
      says: build.picks.length > 0 ? `picked: ${pickedName(build.picks.at(-1)!)}` : 'no pick yet',
      here: path === `${base}/trade`,
    },
    {
      name: 'Questions',
      href: `${base}/questions`,
      says: undecidedWords(ranking),
      here: path === `${base}/questions`,
    },
    {
      name: 'Basket',
      href: `${base}/basket${kept}`,
      says: build.stage === 'planned' ? '' : build.stage,
      here: path === `${base}/basket`,
    },
    {
      name: 'Build sheet',
      href: `${base}/sheet${kept}`,
      says: board ? `${counted(doneOn(build, board.climb.boardId), 'step')} done` : '',
      here: path === `${base}/sheet`,
    },
    { name: 'Bench', href: `${base}/bench${kept}`, says: '', here: path === `${base}/bench` },
    {
      name: 'Logbook',
      href: `${base}/log${kept}`,
      says: build.log.length > 0 ? counted(build.log.length, 'entry') : '',
      here: path === `${base}/log`,
    },
  ];
  return (
    <Box
      component="nav"
      aria-label="Stages"
      aria-busy={ranking.busy}
      className="no-print"
      sx={{
        width: { xs: 'auto', md: 124 },
        flexShrink: 0,
        borderRight: { md: '1px solid var(--hair)' },
        borderBottom: { xs: '1px solid var(--hair)', md: 0 },
        display: 'flex',
        flexDirection: { xs: 'row', md: 'column' },
        alignItems: { xs: 'center', md: 'stretch' },
        gap: { xs: 2, md: 0 },
        px: 1.5,
        py: { xs: 0.5, md: 2 },
        overflowX: { xs: 'auto', md: 'visible' },
        overflowY: { md: 'auto' },
        whiteSpace: { xs: 'nowrap', md: 'normal' },
      }}
    >
      <Box
        component={Link}
        href="/"
        sx={{
          fontWeight: 680,
          fontSize: 19,
          fontStretch: '80%',
          color: 'text.primary',
          textDecoration: 'none',
          mb: { xs: 0, md: 2 },
        }}
      >
        Rung
      </Box>
      <Box
        component="ol"
        sx={{
          m: 0,
          p: 0,
          listStyle: 'none',
          display: 'flex',
          flexDirection: { xs: 'row', md: 'column-reverse' },
          gap: { xs: 2, md: 0 },
          mt: { md: 'auto' },
          position: 'relative',
          borderLeft: { md: '2px solid var(--ink)' },
          borderRight: { md: '2px solid var(--ink)' },
          pt: { md: 3 },
        }}
      >
        {stages
          .filter((s) => isShown(rights.shared, s.name))
          .map((s) => (
            <Box
              component="li"
              key={s.name}
              sx={{
                position: 'relative',
                height: { md: 46 },
                display: 'flex',
                flexDirection: 'column',
                justifyContent: 'flex-end',
              }}
            >
              <Box
                component={Link}
                href={s.href}
                aria-current={s.here ? 'page' : undefined}
                sx={{
                  textDecoration: 'none',
                  color: s.here ? 'primary.main' : 'text.primary',
                  textAlign: 'center',
                  pb: 0.5,
                  lineHeight: 1.25,
                }}
              >
                <Box component="span" sx={{ display: 'block', fontWeight: s.here ? 660 : 520, fontSize: 13 }}>
                  {s.name}
                </Box>
                <Box
                  component="span"
                  title={s.says}
                  sx={{
                    display: { xs: 'none', md: 'block' },
                    fontSize: 11,
                    color: 'text.secondary',
                    px: 0.5,
                    // One line: a long name of a set would run into the rung above.
                    overflow: 'hidden',
                    textOverflow: 'ellipsis',
                    whiteSpace: 'nowrap',
                  }}
                >
                  {s.says}
                </Box>
              </Box>
              <Box
                aria-hidden
                sx={{ height: s.here ? 5 : 2, mx: '-6px', background: s.here ? 'var(--copper)' : 'var(--ink)' }}
              />
            </Box>
          ))}
      </Box>
      <Box
        aria-hidden
        sx={{
          display: { xs: 'none', md: 'block' },
          height: 18,
          borderLeft: '2px solid var(--ink)',
          borderRight: '2px solid var(--ink)',
        }}
      />
    </Box>
  );
}

/** The stages that a guest may look at; all for people of the workspace. */
function isShown(shared: Rights['shared'], stage: string): boolean {
  if (shared === null) return true;
  return shownOf[shared].includes(stage);
}

const shownOf: Record<NonNullable<Rights['shared']>, readonly string[]> = {
  build: [
    'Build',
    'Brief',
    'Shelf',
    'Ladder',
    'Findings',
    'Hookup',
    'Side by side',
    'Trade-off',
    'Questions',
    'Build sheet',
    'Bench',
  ],
  ladder: ['Ladder', 'Findings', 'Hookup', 'Side by side'],
  sheet: ['Build sheet'],
  brief: ['Brief'],
};

/** That all can be told is known once all have climbed. */
function undecidedWords({ ranked, partial }: Ranking): string {
  const undecided = ranked?.filter((r) => r.climb.verdict === 'cannot say yet').length ?? 0;
  if (undecided > 0) return `${undecided} cannot say yet`;
  return ranked && ranked.length > 0 && !partial ? 'all can be told' : '';
}
