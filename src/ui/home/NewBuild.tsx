'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { flyers, startingPartsFor, startingPartWords, type StartingKind, type StartingPart } from '@/core';
import { TextIn } from '../form/in-form';
import { useOnce } from '../form/use-once';
import { askServer } from '../room/ask-server';
import { ImportFile } from './ImportFile';

const wants = ['not', 'to buy', 'at home'] as const;
type Want = (typeof wants)[number];
type Thing = StartingPart | 'ESCs';

/** A new build in three questions: what flies, how large, what it carries. Whoever knows better says all figures. */
export function NewBuild() {
  const router = useRouter();
  const [kind, setKind] = useState<StartingKind | null>('five-inch quad');
  const [wanted, setWanted] = useState<Partial<Record<Thing, Want>>>({});
  const { control, handleSubmit } = useForm({ defaultValues: { name: '' } });
  const [fault, setFault] = useState<string | null>(null);
  const flyer = flyers.find((f) => f.sizes.some((s) => s.kind === kind)) ?? null;
  const parts = kind === null ? [] : startingPartsFor(kind);
  const usualName = kind === null ? '' : kind.charAt(0).toUpperCase() + kind.slice(1);
  const create = useOnce(
    handleSubmit(async ({ name }) => {
      const { said } = await askServer<{ id: string }>(
        '/api/builds',
        {
          method: 'POST',
          body: JSON.stringify({
            name: name.trim() || usualName,
            ...(kind === null
              ? {}
              : {
                  kind,
                  ownEsc: wanted.ESCs === 'at home',
                  parts: parts
                    .filter((part) => (wanted[part] ?? 'not') !== 'not')
                    .map((part) => ({ part, owned: wanted[part] === 'at home' })),
                }),
          }),
        },
        'The server does not answer. What you chose is still here; try again in a moment.',
      );
      if (said.id) router.push(`/b/${said.id}`);
      else setFault(said.sentence);
    }),
  );
  return (
    <Box component="form" noValidate aria-label="A new build" onSubmit={create}>
      <Typography variant="h2">A new build</Typography>
      <Question says="1. What flies?">
        {flyers.map((f) => (
          <Pick key={f.what} chosen={f === flyer} onPick={() => setKind((f.sizes[1] ?? f.sizes[0]).kind)}>
            {f.what}
          </Pick>
        ))}
        <Pick chosen={kind === null} onPick={() => setKind(null)}>
          I say every figure myself
        </Pick>
      </Question>
      {flyer && (
        <>
          <Question says="2. How large?">
            {flyer.sizes.map((s) => (
              <Pick key={s.kind} chosen={s.kind === kind} onPick={() => setKind(s.kind)}>
                {s.says}
              </Pick>
            ))}
          </Question>
          <Question says="3. What does it carry, and what of that is at home?">
            <Box sx={{ width: '100%' }}>
              {[...parts, 'ESCs' as const].map((part) => (
                <Carried
                  key={part}
                  says={part === 'ESCs' ? 'ESCs, apart from the board' : startingPartWords[part]}
                  wants={part === 'ESCs' ? (['not', 'at home'] as const) : wants}
                  want={wanted[part] ?? 'not'}
                  onWant={(want) => setWanted({ ...wanted, [part]: want })}
                />
              ))}
            </Box>
          </Question>
          <Box sx={{ fontSize: 12, color: 'text.secondary', mt: 0.5 }}>
            Frame, pack, motors and parts begin with figures that are usual (common practice). Each says so and waits
            for yours.
          </Box>
        </>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end', flexWrap: 'wrap', mt: 1 }}>
        <TextIn
          control={control}
          name="name"
          label="Name"
          placeholder={usualName}
          wanted={kind === null ? 'A name is wanted' : undefined}
          inputLabel={{ shrink: true }}
          sx={{ width: 170 }}
        />
        <Button type="submit" variant="contained">
          Start the build
        </Button>
        <ImportFile />
      </Box>
      {fault && (
        <Typography role="alert" color="error" sx={{ mt: 1 }}>
          {fault}
        </Typography>
      )}
    </Box>
  );
}

function Question({ says, children }: { says: string; children: ReactNode }) {
  return (
    <Box component="fieldset" sx={{ border: 0, m: 0, p: 0, mt: 1, display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
      <Box component="legend" sx={{ p: 0, mb: 0.5, fontWeight: 600 }}>
        {says}
      </Box>
      {children}
    </Box>
  );
}

function Pick({ chosen, onPick, children }: { chosen: boolean; onPick: () => void; children: ReactNode }) {
  return (
    <Button
      variant="outlined"
      aria-pressed={chosen}
      onClick={onPick}
      sx={{
        borderColor: chosen ? 'var(--copper)' : 'var(--pencil)',
        background: chosen ? 'var(--copperSoft)' : 'transparent',
        color: chosen ? 'primary.main' : 'text.primary',
      }}
    >
      {children}
    </Button>
  );
}

function Carried({
  says,
  wants: words,
  want,
  onWant,
}: {
  says: string;
  wants: readonly Want[];
  want: Want;
  onWant: (want: Want) => void;
}) {
  return (
    <Box
      role="group"
      aria-label={says}
      sx={{ display: 'flex', alignItems: 'center', borderBottom: '1px solid var(--hair)', fontSize: 12.5 }}
    >
      <Box sx={{ flex: 1, color: want === 'not' ? 'text.secondary' : 'text.primary' }}>{says}</Box>
      {words.map((w) => (
        <Button
          key={w}
          aria-pressed={w === want}
          onClick={() => onWant(w)}
          sx={{
            px: 0.75,
            py: 0,
            minHeight: 24,
            fontWeight: w === want ? 640 : 480,
            color: w === want && w !== 'not' ? 'primary.main' : 'text.secondary',
            textDecoration: w === want ? 'underline' : 'none',
            textDecorationThickness: 2,
            textUnderlineOffset: 4,
          }}
        >
          {w}
        </Button>
      ))}
    </Box>
  );
}
