'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useRoom } from '../room/store';
import { useTour } from './tour-at';

interface Stop {
  /** Behind the address of the build. */
  at: (board: string) => string;
  /** What is ringed round. */
  ring: string;
  title: string;
  says: string;
}

const stops: readonly Stop[] = [
  {
    at: () => '',
    ring: '[aria-label="Parts"]',
    title: 'What hangs off the board',
    says: 'Every part with how it is wired and fed. Change one, and all that follows changes with it. Ctrl+Z takes anything back.',
  },
  {
    at: () => '/ladder',
    ring: '[role="grid"]',
    title: 'Every board climbs ten rungs',
    says: 'Solid as far as it gets; a gap is where it stops. A bar that sags goes with work; a dotted one hangs on a figure that nobody says. The reason stands beside it.',
  },
  {
    at: () => '/ladder',
    ring: '[aria-label="The rung in words"]',
    title: 'Every verdict shows its figures',
    says: 'The rung under the pointer, or under the arrow keys, in words. "Says who?" shows where each figure is from: a claim of the seller, the manual, a scale.',
  },
  {
    at: (board) => `/hookup/${board}`,
    ring: '.drawing, main svg',
    title: 'Which wire goes where',
    says: 'The board to scale with the best wiring there is, pad by pad. Pick a part to see where else it could go and what that costs; lock what you want.',
  },
  {
    at: () => '/questions',
    ring: 'main h1',
    title: 'What is worth asking',
    says: 'Only what could still change the pick, with the sentence to send to the seller.',
  },
  {
    at: () => '/basket',
    ring: 'main table',
    title: 'From the pick to the iron',
    says: 'Pick a board in its findings: the basket, the build sheet and the bench then follow it. The bench is a prediction, never a measurement.',
  },
  {
    at: () => '/shelf',
    ring: '[aria-label="Boards on the shelf"]',
    title: 'Your own boards',
    says: 'Drop a shop page, a PDF, a photo or a pasted text here: Rung reads the figures and shows where each stands. That was the way round; "?" brings it back.',
  },
];

/** A short way round on the real screens, of the build that is open; to be left at any time. */
export function Tour() {
  const { build, ranking } = useRoom('build', 'ranking');
  const { at, go } = useTour();
  const router = useRouter();
  const path = usePathname();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => void useTour.persist.rehydrate(), []);
  useHotkeys('escape', () => go(null), { enabled: at !== null });
  const stop = at === null ? null : stops[at];
  const first = ranking.ranked?.[0]?.climb.boardId ?? null;
  const place = stop && `/b/${build.id}${stop.at(first ?? '')}`;
  const wait = stop !== null && stop !== undefined && first === null;
  useEffect(() => {
    if (!place || wait) return;
    if (path !== place) router.push(place);
    heading.current?.focus();
    // Only a step of the tour moves the page; whoever goes elsewhere meanwhile is let go.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [at, wait]);
  useEffect(() => {
    if (!stop) return;
    // What is to be ringed may come a little after its page.
    let ringed: Element | null = null;
    const look = setInterval(() => {
      const found = document.querySelector(stop.ring);
      if (found === ringed) return;
      ringed?.classList.remove('toured');
      found?.classList.add('toured');
      ringed = found;
    }, 300);
    return () => {
      clearInterval(look);
      ringed?.classList.remove('toured');
    };
  }, [stop]);
  if (!stop) return null;
  const last = at === stops.length - 1;
  return (
    <Box
      component="section"
      aria-label="Tour"
      className="no-print"
      sx={{
        position: 'fixed',
        right: 16,
        bottom: 16,
        width: 340,
        maxWidth: 'calc(100vw - 32px)',
        zIndex: 1200,
        background: 'var(--sheet)',
        border: '2px solid var(--copper)',
        p: 2,
      }}
    >
      <Box component="h2" ref={heading} tabIndex={-1} sx={{ m: 0, fontSize: 15, outline: 'none' }}>
        {stop.title}
      </Box>
      <Box sx={{ fontSize: 13, my: 1 }}>{stop.says}</Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Box component="span" sx={{ flex: 1, fontSize: 12, color: 'text.secondary' }}>
          {at! + 1} of {stops.length}
        </Box>
        <Button onClick={() => go(null)}>Leave the tour</Button>
        {at! > 0 && <Button onClick={() => go(at! - 1)}>Back</Button>}
        <Button variant="contained" onClick={() => go(last ? null : at! + 1)}>
          {last ? 'Done' : 'Next'}
        </Button>
      </Box>
    </Box>
  );
}
