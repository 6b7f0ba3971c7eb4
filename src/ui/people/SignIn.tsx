'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type FormEvent } from 'react';
import { askServer, under } from '../room/ask-server';
import { SignOut } from './SignOut';

/** The way in. `to`: where to go on; always a page of Rung. `placeless`: the address of who is signed in and in no workspace. */
export function SignIn({ to, placeless }: { to: string; placeless: string | null }) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const enter = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    const reply = await askServer(
      '/api/sign-in',
      { method: 'POST', body: JSON.stringify({ email, password }) },
      'The server does not answer. Try again in a moment.',
    );
    setBusy(false);
    // The whole page anew: nothing of whoever was here before stays in memory.
    if (reply.ok) window.location.assign(under(to));
    else setSaid(reply.said.sentence);
  };
  return (
    <Box component="main" sx={{ maxWidth: 380, mx: 'auto', mt: 12, px: 2 }}>
      <Typography variant="h1">Rung</Typography>
      <Typography sx={{ color: 'text.secondary', mt: 0.5 }}>
        Which flight controller carries a build, why, and how to wire it.
      </Typography>
      {placeless && (
        <Typography role="status" sx={{ mt: 2 }}>
          You are signed in as {placeless}, and in no workspace: an owner has taken you off the list, or it was removed.
          Ask an owner to invite you again, or sign in as somebody else. <SignOut />
        </Typography>
      )}
      <Box component="form" aria-label="Sign in" onSubmit={enter} sx={{ display: 'grid', gap: 2, mt: 3 }}>
        <TextField
          label="E-mail address"
          type="email"
          required
          autoComplete="username"
          value={email}
          onChange={(e) => setEmail(e.target.value)}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
        <TextField
          label="Password"
          type="password"
          required
          autoComplete="current-password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
        <Button type="submit" variant="contained" disabled={busy} sx={{ justifySelf: 'start' }}>
          Sign in
        </Button>
      </Box>
      {said && (
        <Typography role="alert" color="error" sx={{ mt: 1.5 }}>
          {said}
        </Typography>
      )}
      <Typography sx={{ mt: 3, fontSize: 12.5, color: 'text.secondary' }}>
        No account? An owner of a workspace can invite you by a link. Forgotten the password? Whoever runs this Rung can
        make a link for a new one.
      </Typography>
    </Box>
  );
}
