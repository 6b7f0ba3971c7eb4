'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { TextIn } from '../form/in-form';
import { useOnce } from '../form/use-once';
import { askServer, under } from '../room/ask-server';
import { SignOut } from './SignOut';

/** The way in. `to`: where to go on; always a page of Rung. `placeless`: the address of who is signed in and in no workspace. */
export function SignIn({ to, placeless }: { to: string; placeless: string | null }) {
  const { control, handleSubmit } = useForm({ defaultValues: { email: '', password: '' } });
  const [said, setSaid] = useState<string | null>(null);
  const enter = useOnce(
    handleSubmit(async (credentials) => {
      const reply = await askServer(
        '/api/sign-in',
        { method: 'POST', body: JSON.stringify(credentials) },
        'The server does not answer. Try again in a moment.',
      );
      // The whole page anew: nothing of whoever was here before stays in memory.
      if (reply.ok) window.location.assign(under(to));
      else setSaid(reply.said.sentence);
    }),
  );
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
      <Box component="form" noValidate aria-label="Sign in" onSubmit={enter} sx={{ display: 'grid', gap: 2, mt: 3 }}>
        <TextIn
          control={control}
          name="email"
          label="E-mail address"
          type="email"
          wanted="Your e-mail address is wanted"
          autoComplete="username"
          most={200}
        />
        <TextIn
          control={control}
          name="password"
          label="Password"
          type="password"
          wanted="Your password is wanted"
          autoComplete="current-password"
          most={200}
        />
        <Button type="submit" variant="contained" sx={{ justifySelf: 'start' }}>
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
