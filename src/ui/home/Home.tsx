'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { format, parseISO, startOfISOWeek } from 'date-fns';
import { Link } from '../frame/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Bin } from '../frame/Bin';
import { useTour } from '../frame/tour-at';
import { Here } from '../people/Here';
import { askServer } from '../room/ask-server';
import type { BuildCard } from './build-card';
import { BuildRows } from './BuildRows';
import { Moved, type Span } from './Moved';
import { NewBuild } from './NewBuild';
import { Unanswered } from '../frame/asked';
import { useShelf } from '../room/use-shelf';
import { useBuilds, useMoved, useStands } from './use-home';

/** Of so many builds, the newest, it is worked out how they stand. */
const mostJudged = 24;

export function Home({
  builds,
  unreadable,
  me,
  mayWrite,
}: {
  builds: BuildCard[];
  unreadable: { id: string; name: string; why: string }[];
  /** Who is signed in; null alone on this machine. */
  me: string | null;
  mayWrite: boolean;
}) {
  const router = useRouter();
  const client = useQueryClient();
  const [span, setSpan] = useState<Span>(1);
  const [fault, setFault] = useState<string | null>(null);
  const { moved, unanswered } = useMoved(span);
  const go = useTour((t) => t.go);
  // A build with much in it shows most.
  const [tourOf] = [...builds].filter((b) => b.parts > 0).sort((a, b) => b.parts - a.parts);
  const newest = [...builds].sort((a, b) => b.savedAt.localeCompare(a.savedAt)).slice(0, mostJudged);
  const whole = useBuilds(newest);
  const onHome = useStands(whole.builds, moved);
  const { shelfFault, reloadShelf } = useShelf();
  const noStands = whole.fault ?? shelfFault;
  const copy = async (b: BuildCard) => {
    const { ok, said } = await askServer(
      '/api/builds',
      { method: 'POST', body: JSON.stringify({ name: `${b.name.slice(0, 72)}, copy`, from: b.id }) },
      'The server does not answer. Nothing was copied.',
    );
    setFault(ok ? null : said.sentence);
    router.refresh();
  };
  const remove = async (b: BuildCard, focus: () => void) => {
    const { ok, said } = await askServer(
      `/api/builds/${b.id}`,
      { method: 'DELETE', headers: { 'if-match': String(b.version) } },
      'The server does not answer. Nothing was removed.',
    );
    setFault(ok ? null : said.sentence);
    await client.invalidateQueries({ queryKey: ['bin'] });
    focus();
    router.refresh();
  };
  return (
    <Box component="main" sx={{ maxWidth: 1480, mx: 'auto', px: 3, py: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ fontSize: 30 }}>
          Rung
        </Typography>
        <Typography sx={{ flex: 1, minWidth: 280, maxWidth: 760, color: 'text.secondary' }}>
          Write down what must hang off the flight controller. Every board on the shelf then climbs ten rungs, and you
          see which one carries your build, where the others stop, and how to wire the one you pick.
        </Typography>
        {tourOf && (
          <Link href={`/b/${tourOf.id}`} onClick={() => go(0)}>
            Show me round
          </Link>
        )}
        <Link href="/glossary">What the words mean</Link>
        <Link href="/settings">Settings</Link>
        {me !== null && <Here me={me} />}
      </Box>
      <Box sx={{ display: 'flex', gap: 5, mt: 2, alignItems: 'flex-start', flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
        <Box sx={{ flex: 1, minWidth: { xs: '100%', md: 0 } }}>
          <Typography variant="h2" sx={{ mb: 0.5 }}>
            Builds
          </Typography>
          {builds.length === 0 ? (
            <Typography>
              No build yet. Answer three questions, or open a Rung file: a build, a board or a whole shelf.
            </Typography>
          ) : (
            <BuildRows
              builds={builds}
              stands={onHome?.stands ?? null}
              mayWrite={mayWrite}
              onCopy={(b) => void copy(b)}
              onRemove={(b, focus) => void remove(b, focus)}
            />
          )}
          {noStands !== null && builds.length > 0 && (
            <Unanswered
              what="Which boards carry them"
              why={noStands}
              onAgain={whole.fault === null ? reloadShelf : whole.askAgain}
            />
          )}
          {fault && (
            <Typography role="alert" color="error" sx={{ mt: 1 }}>
              {fault}
            </Typography>
          )}
          {unreadable.map((u) => (
            <Typography key={u.id} role="note" sx={{ mt: 1 }}>
              <strong>{u.name}</strong> is not shown. {u.why}
            </Typography>
          ))}
          <Waiting builds={builds} />
          <Moved
            moved={moved}
            unanswered={unanswered}
            picks={onHome?.picks ?? {}}
            nameOf={(id) => builds.find((b) => b.id === id)?.name ?? id}
            span={span}
            onSpan={setSpan}
          />
          {mayWrite && <Bin kind="build" onBack={() => router.refresh()} />}
        </Box>
        {mayWrite && (
          <Box sx={{ width: { xs: '100%', md: 430 }, flexShrink: 0 }}>
            <NewBuild />
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** Which builds wait for parts, by the week in which the last parcel is due. */
function Waiting({ builds }: { builds: BuildCard[] }) {
  const waiting = builds
    .filter((b) => b.stage === 'ordered' && b.arrivesOn)
    .sort((a, b) => a.arrivesOn!.localeCompare(b.arrivesOn!));
  if (waiting.length === 0) return null;
  const weeks = [...new Set(waiting.map((b) => mondayOf(b.arrivesOn!)))];
  return (
    <section aria-label="Waiting for parts">
      <Typography variant="h2" sx={{ mt: 3 }}>
        Waiting for parts
      </Typography>
      {weeks.map((w) => (
        <Box key={w} sx={{ display: 'flex', gap: 2, borderBottom: '1px solid var(--hair)', py: 0.5 }}>
          <Box sx={{ width: 150, color: 'text.secondary' }}>week of {w}</Box>
          <Box>
            {waiting
              .filter((b) => mondayOf(b.arrivesOn!) === w)
              .map((b) => `${b.name}, due ${b.arrivesOn}`)
              .join('; ')}
          </Box>
        </Box>
      ))}
    </section>
  );
}

/** The Monday of a day's week, ISO 8601. */
function mondayOf(day: string): string {
  return format(startOfISOWeek(parseISO(day)), 'yyyy-MM-dd');
}
