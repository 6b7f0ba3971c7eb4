'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { ChoiceIn, TextIn } from '../form/in-form';
import { useOnce } from '../form/use-once';
import { useAsked } from '../frame/asked';
import { askServer } from '../room/ask-server';
import { Handed } from './Handed';

export interface Pass {
  id: string;
  kind: 'invitation' | 'share' | 'token' | 'recovery';
  label: string;
  role: string | null;
  build: string | null;
  what: string | null;
  made: string;
  expires: string | null;
}

const silent = 'The server does not answer. Nothing was changed.';

/** All that was handed out and still opens something, null until it has come; of one build where `build` names it. */
export function usePasses(build?: string): {
  passes: Pass[] | null;
  unanswered: ReactNode;
  withdraw: (id: string) => Promise<string>;
} {
  const client = useQueryClient();
  const { said, unanswered } = useAsked<{ passes: Pass[] }>('What was handed out', ['passes'], '/api/passes');
  const withdraw = async (id: string) => {
    const { said: answer } = await askServer(`/api/passes/${id}`, { method: 'DELETE' }, silent);
    await client.invalidateQueries({ queryKey: ['passes'] });
    return answer.sentence;
  };
  const passes = said?.passes.filter((p) => build === undefined || p.build === build) ?? null;
  return { passes, unanswered, withdraw };
}

export function passWords({ kind, label, role, what }: Pass): string {
  if (kind === 'share') return `the ${what} of ${label}, for whoever has the link`;
  if (kind === 'token') return `token ${label}, as ${role}`;
  if (kind === 'recovery') return `a new password for ${label}`;
  return `invitation of ${label}, as ${role}`;
}

export function PassList({ owner }: { owner: boolean }) {
  const client = useQueryClient();
  const { passes, unanswered, withdraw } = usePasses();
  const [said, setSaid] = useState<string | null>(null);
  const { control, handleSubmit, reset } = useForm({
    defaultValues: { label: '', role: 'reader' as 'reader' | 'editor' },
  });
  const [token, setToken] = useState<string | null>(null);
  const make = useOnce(
    handleSubmit(async ({ label, role }) => {
      const reply = await askServer<{ token: string }>(
        '/api/passes',
        { method: 'POST', body: JSON.stringify({ kind: 'token', label, role, days: 365 }) },
        silent,
      );
      setToken(reply.said.token ?? null);
      setSaid(reply.ok ? null : reply.said.sentence);
      if (reply.ok) reset({ label: '', role });
      await client.invalidateQueries({ queryKey: ['passes'] });
    }),
  );
  return (
    <Box component="section" aria-label="Handed out" sx={{ mt: 3 }}>
      <Typography variant="h2">Links and tokens that open something</Typography>
      {unanswered}
      {passes?.length === 0 && <Box sx={{ fontSize: 12.5 }}>None. A build is shared by “Share” above it.</Box>}
      <table>
        <tbody>
          {passes?.map((p) => (
            <tr key={p.id}>
              <td>{passWords(p)}</td>
              <td>made {format(parseISO(p.made), 'd MMMM yyyy')}</td>
              <td>{p.expires ? `ends ${format(parseISO(p.expires), 'd MMMM yyyy')}` : 'does not end'}</td>
              <td>
                <Button aria-label={`Withdraw ${passWords(p)}`} onClick={() => void withdraw(p.id).then(setSaid)}>
                  Withdraw
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {owner && (
        <Box
          component="form"
          aria-label="A token for programs"
          noValidate
          onSubmit={make}
          sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', mt: 1 }}
        >
          <TextIn control={control} name="label" label="A token for which program" wanted="Say which program" />
          <ChoiceIn control={control} name="role" label="It may" words={['reader', 'editor']} />
          <Button type="submit" variant="outlined" sx={{ mt: 2 }}>
            Make a token
          </Button>
        </Box>
      )}
      {token && <Handed what="The token is shown this once. It ends after a year." text={token} />}
      {said && (
        <Box role="status" sx={{ fontSize: 12.5 }}>
          {said}
        </Box>
      )}
    </Box>
  );
}
