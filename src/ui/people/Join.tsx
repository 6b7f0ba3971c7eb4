'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { TextIn } from '../form/in-form';
import { useOnce } from '../form/use-once';
import { askServer } from '../room/ask-server';

/** What a link of an invitation or a recovery opens. */
export function Join({
  secret,
  kind,
  label,
  signedIn,
}: {
  secret: string;
  kind: 'invitation' | 'recovery';
  label: string;
  signedIn: string | null;
}) {
  const { control, handleSubmit } = useForm({ defaultValues: { name: '', email: '', password: '' } });
  const [said, setSaid] = useState<string | null>(null);
  const [done, setDone] = useState(false);
  const go = useOnce(
    handleSubmit(async (form) => {
      const { ok, said: reply } = await askServer(
        '/api/join',
        { method: 'POST', body: JSON.stringify({ secret, ...form }) },
        'The server does not answer. Nothing was changed; try again in a moment.',
      );
      setDone(ok);
      setSaid(reply.sentence);
    }),
  );
  return (
    <Box component="main" sx={{ maxWidth: 420, mx: 'auto', mt: 10, px: 2 }}>
      <Typography variant="h1">{kind === 'invitation' ? `Join ${label}` : 'A new password'}</Typography>
      {!done && (
        <Box component="form" noValidate aria-label="Join" onSubmit={go} sx={{ display: 'grid', gap: 2, mt: 2 }}>
          {kind === 'invitation' && signedIn && <Typography>You join as {signedIn}.</Typography>}
          {kind === 'invitation' && !signedIn && (
            <>
              <Typography sx={{ fontSize: 12.5, color: 'text.secondary' }}>
                If you have an account here already, say its address and password: you join as yourself.
              </Typography>
              <TextIn
                control={control}
                name="name"
                label="Your name, as the others see it"
                wanted="A name is wanted"
                autoComplete="name"
                most={200}
              />
              <TextIn
                control={control}
                name="email"
                label="E-mail address"
                type="email"
                wanted="Your e-mail address is wanted"
                fits={(text) => (/^\S+@\S+$/.test(text) ? null : 'An address as name@place is wanted')}
                autoComplete="username"
                most={200}
              />
            </>
          )}
          {(kind === 'recovery' || !signedIn) && (
            <TextIn
              control={control}
              name="password"
              label="Password, at least 12 characters"
              type="password"
              wanted="A password is wanted"
              autoComplete="new-password"
              most={200}
            />
          )}
          <Button type="submit" variant="contained" sx={{ justifySelf: 'start' }}>
            {kind === 'invitation' ? 'Join' : 'Set it'}
          </Button>
        </Box>
      )}
      {said && (
        <Typography role={done ? 'status' : 'alert'} color={done ? 'text.primary' : 'error'} sx={{ mt: 1.5 }}>
          {said}
        </Typography>
      )}
      <Typography sx={{ mt: 2 }}>
        <Link href="/sign-in">Sign in</Link>
      </Typography>
    </Box>
  );
}
