'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { useState, type FormEvent } from 'react';
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
  const [form, setForm] = useState({ name: '', email: '', password: '' });
  const [said, setSaid] = useState<string | null>(null);
  const [done, setDone] = useState(false);
  const field = (key: keyof typeof form, label: string, type: string, autoComplete: string) => (
    <TextField
      label={label}
      type={type}
      required
      autoComplete={autoComplete}
      value={form[key]}
      onChange={(e) => setForm({ ...form, [key]: e.target.value })}
      slotProps={{ htmlInput: { maxLength: 200 } }}
    />
  );
  const go = async (event: FormEvent) => {
    event.preventDefault();
    const { ok, said: reply } = await askServer(
      '/api/join',
      { method: 'POST', body: JSON.stringify({ secret, ...form }) },
      'The server does not answer. Nothing was changed; try again in a moment.',
    );
    setDone(ok);
    setSaid(reply.sentence);
  };
  return (
    <Box component="main" sx={{ maxWidth: 420, mx: 'auto', mt: 10, px: 2 }}>
      <Typography variant="h1">{kind === 'invitation' ? `Join ${label}` : 'A new password'}</Typography>
      {!done && (
        <Box component="form" aria-label="Join" onSubmit={go} sx={{ display: 'grid', gap: 2, mt: 2 }}>
          {kind === 'invitation' && signedIn && <Typography>You join as {signedIn}.</Typography>}
          {kind === 'invitation' && !signedIn && (
            <>
              <Typography sx={{ fontSize: 12.5, color: 'text.secondary' }}>
                If you have an account here already, say its address and password: you join as yourself.
              </Typography>
              {field('name', 'Your name, as the others see it', 'text', 'name')}
              {field('email', 'E-mail address', 'email', 'username')}
            </>
          )}
          {(kind === 'recovery' || !signedIn) &&
            field('password', 'Password, at least 12 characters', 'password', 'new-password')}
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
