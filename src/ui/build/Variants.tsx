import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useAsked } from '../frame/asked';
import { Link } from '../frame/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { carries, readData, type Build, type Ranked } from '@/core';
import { TextIn } from '../form/in-form';
import { useOnce } from '../form/use-once';
import { askServer } from '../room/ask-server';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';

interface Listed {
  id: string;
  name: string;
  forkOf: string | null;
}

/** "What if": a fork of the build, which boards survive in each, and a way to take the fork over. */
export function Variants() {
  const { build, edit, ranking, rights } = useRoom('build', 'edit', 'ranking', 'rights');
  const router = useRouter();
  const { control, handleSubmit } = useForm({ defaultValues: { name: '' } });
  const [said, setSaid] = useState<string | null>(null);
  const [compared, setCompared] = useState<{ id: string; other: Build; ranked: Ranked[] } | null>(null);
  const { said: list, unanswered } = useAsked<{ builds: Listed[] }>('Other variants', ['builds'], '/api/builds');
  const kin = (list?.builds ?? []).filter(
    (b) =>
      b.id !== build.id &&
      (b.forkOf === build.id || b.id === build.forkOf || (build.forkOf !== undefined && b.forkOf === build.forkOf)),
  );
  const fork = useOnce(
    handleSubmit(async ({ name }) => {
      const { said: answer } = await askServer<{ id: string }>(
        '/api/builds',
        { method: 'POST', body: JSON.stringify({ name: name.trim(), from: build.id }) },
        'The server does not answer. Nothing was forked.',
      );
      if (answer.id) router.push(`/b/${answer.id}`);
      else setSaid(answer.sentence);
    }),
  );
  const look = async (id: string) => {
    const { said: answer } = await askServer<{ build: unknown }>(`/api/builds/${id}`, {}, '');
    const read = readData(answer.build, 'rung-build');
    if (!read.ok) return setSaid('That build cannot be read just now.');
    setCompared({ id, other: read.value, ranked: await ranking.ask(read.value) });
  };
  const whole = (ranked: Ranked[] | null) =>
    new Map((ranked ?? []).filter((r) => carries(r.climb)).map((r) => [r.climb.boardId, r.climb.boardName]));
  const here = whole(ranking.ranked);
  const there = whole(compared?.ranked ?? null);
  const only = (a: Map<string, string>, b: Map<string, string>) =>
    [...a]
      .filter(([id]) => !b.has(id))
      .map(([, n]) => n)
      .join(', ') || 'none';
  if (!rights.mayWrite && kin.length === 0) return null;
  return (
    <Box component="section" aria-label="Variants" sx={{ mt: 2, fontSize: 12.5 }}>
      <Typography variant="h2">What if</Typography>
      <ForWriters>
        <Box component="form" noValidate onSubmit={fork} sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
          <TextIn
            bare
            control={control}
            name="name"
            label="Name of a variant"
            placeholder="Name of a variant"
            wanted="A name is wanted"
            sx={{ flex: 1 }}
          />
          <Button type="submit" variant="outlined">
            Fork
          </Button>
        </Box>
      </ForWriters>
      {said && <Box role="alert">{said}</Box>}
      {unanswered}
      {kin.map((b) => (
        <Box key={b.id} sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <Box sx={{ flex: 1 }}>
            <Link href={`/b/${b.id}`}>{b.name}</Link>
          </Box>
          <Button onClick={() => void look(b.id)}>Compare</Button>
        </Box>
      ))}
      {compared && (
        <Box role="status" sx={{ borderLeft: '3px solid var(--copper)', pl: 1 }}>
          Carry both:{' '}
          {[...here]
            .filter(([id]) => there.has(id))
            .map(([, n]) => n)
            .join(', ') || 'none'}
          . Only this build: {only(here, there)}. Only {compared.other.name}: {only(there, here)}.
          <ForWriters>
            <br />
            <Button
              variant="outlined"
              onClick={() => {
                const { id, name: own, forkOf, picks, log, done, stage } = build;
                edit(`take over ${compared.id}`, () => ({
                  ...compared.other,
                  id,
                  name: own,
                  picks,
                  log,
                  done,
                  stage,
                  ...(forkOf === undefined ? { forkOf: undefined } : { forkOf }),
                }));
                setCompared(null);
              }}
            >
              Take {compared.other.name} over into this build
            </Button>
          </ForWriters>
        </Box>
      )}
    </Box>
  );
}
