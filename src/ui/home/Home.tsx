'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { format, parseISO, startOfISOWeek } from 'date-fns';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { startingKinds, startingWords, type StartingKind } from '@/core';
import { Choice } from '../build/Choice';
import { Bin } from '../frame/Bin';
import { askServer } from '../room/ask-server';
import { Here } from '../people/Here';
import { ImportFile } from './ImportFile';

export interface BuildCard {
  id: string;
  name: string;
  craft: string;
  cells: number;
  parts: number;
  stage: string;
  pick: string | null;
  arrivesOn: string | null;
  savedAt: string;
  version: number;
}

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
  const [name, setName] = useState('');
  const [kind, setKind] = useState<StartingKind | 'nothing'>('nothing');
  const [fault, setFault] = useState<string | null>(null);
  const create = async (event: FormEvent) => {
    event.preventDefault();
    const { said } = await askServer<{ id: string }>(
      '/api/builds',
      { method: 'POST', body: JSON.stringify({ name, ...(kind === 'nothing' ? {} : { kind }) }) },
      'The server does not answer. The name is still here; try again in a moment.',
    );
    if (said.id) router.push(`/b/${said.id}`);
    else setFault(said.sentence);
  };
  const copy = async (b: BuildCard) => {
    const { ok, said } = await askServer(
      '/api/builds',
      { method: 'POST', body: JSON.stringify({ name: `${b.name.slice(0, 72)}, copy`, from: b.id }) },
      'The server does not answer. Nothing was copied.',
    );
    setFault(ok ? null : said.sentence);
    router.refresh();
  };
  const remove = async (b: BuildCard) => {
    const { ok, said } = await askServer(
      `/api/builds/${b.id}`,
      { method: 'DELETE', headers: { 'if-match': String(b.version) } },
      'The server does not answer. Nothing was removed.',
    );
    setFault(ok ? null : said.sentence);
    await client.invalidateQueries({ queryKey: ['bin'] });
    router.refresh();
  };
  return (
    <Box component="main" sx={{ maxWidth: 980, mx: 'auto', px: 3, py: 4 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2 }}>
        <Typography variant="h1" sx={{ fontSize: 30, flex: 1 }}>
          Rung
        </Typography>
        {me !== null && <Here me={me} />}
      </Box>
      <Typography sx={{ maxWidth: 640, color: 'text.secondary', mt: 0.5 }}>
        Write down what must hang off the flight controller. Every board on the shelf then climbs ten rungs, and you see
        which one carries your build, where the others stop, and how to wire the one you pick.{' '}
        <Link href="/glossary">What the words mean</Link>.
      </Typography>
      {mayWrite && (
        <Box
          component="form"
          onSubmit={create}
          sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', flexWrap: 'wrap', mt: 3 }}
        >
          <TextField
            label="Name of a new build"
            value={name}
            onChange={(e) => setName(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 80 } }}
            sx={{ width: 260 }}
          />
          <Choice
            label="What flies"
            value={kind}
            words={['nothing', ...startingKinds] as const}
            says={(k) => (k === 'nothing' ? 'I say all figures myself' : startingWords[k])}
            onChange={setKind}
          />
          <Button type="submit" variant="contained" disabled={name.trim() === ''} sx={{ mt: 1.75 }}>
            Start a build
          </Button>
          <ImportFile />
        </Box>
      )}
      {fault && (
        <Typography role="alert" color="error" sx={{ mt: 1 }}>
          {fault}
        </Typography>
      )}
      <Typography variant="h2" sx={{ mt: 4, mb: 1 }}>
        Builds
      </Typography>
      {builds.length === 0 ? (
        <Typography>No build yet. Start one above, or open a Rung file.</Typography>
      ) : (
        <table>
          <thead>
            <tr>
              <th>Build</th>
              <th>What it is for</th>
              <th className="n">Cells</th>
              <th className="n">Parts</th>
              <th>Pick</th>
              <th>Stage</th>
              <th />
              <th />
            </tr>
          </thead>
          <tbody>
            {builds.map((b) => (
              <tr key={b.id}>
                <td>
                  <Link href={`/b/${b.id}`}>{b.name}</Link>
                </td>
                <td>{b.craft}</td>
                <td className="n">{b.cells}S</td>
                <td className="n">{b.parts}</td>
                <td>{b.pick ?? 'none yet'}</td>
                <td>{b.stage}</td>
                <td>
                  <Link href={`/b/${b.id}/ladder`}>Ladder</Link>
                </td>
                <td>
                  {mayWrite && (
                    <>
                      <Button
                        aria-label={`Copy ${b.name}`}
                        onClick={() => void copy(b)}
                        sx={{ p: 0, minHeight: 24, mt: -0.5, mr: 1.5 }}
                      >
                        Copy
                      </Button>
                      <Button
                        aria-label={`Remove ${b.name}`}
                        onClick={() => void remove(b)}
                        sx={{ p: 0, minHeight: 24, mt: -0.5 }}
                      >
                        Remove
                      </Button>
                    </>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {unreadable.map((u) => (
        <Typography key={u.id} role="note" sx={{ mt: 1 }}>
          <strong>{u.name}</strong> is not shown. {u.why}
        </Typography>
      ))}
      {mayWrite && <Bin kind="build" onBack={() => router.refresh()} />}
      <Waiting builds={builds} />
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
