'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { useAsked } from '../frame/asked';
import { Link } from '../frame/Link';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Choice } from '../form/Choice';
import { ChoiceIn, TextIn } from '../form/in-form';
import { useOnce } from '../form/use-once';
import { askServer } from '../room/ask-server';
import { Handed } from './Handed';
import { Here } from './Here';
import { PassList } from './PassList';

const roles = ['owner', 'editor', 'reader'] as const;
type Role = (typeof roles)[number];

interface Member {
  person: string;
  name: string;
  email: string;
  role: Role;
}

const silent = 'The server does not answer. Nothing was changed.';

/** Who is in the workspace and what they may do; what was handed out; who did what. */
export function PeopleScreen({ me }: { me: string }) {
  const client = useQueryClient();
  const [said, setSaid] = useState<string | null>(null);
  const { said: data, unanswered } = useAsked<{ members: Member[]; role: Role; me: string }>(
    'Who is here',
    ['people'],
    '/api/people',
  );
  const owner = data?.role === 'owner';
  const act = async (path: string, init: RequestInit) => {
    const reply = await askServer(path, init, silent);
    setSaid(reply.said.sentence);
    await client.invalidateQueries();
  };
  return (
    <Box component="main" sx={{ maxWidth: 980, mx: 'auto', px: 3, py: 4 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2 }}>
        <Typography variant="h1" sx={{ flex: 1 }}>
          <Link href="/">Rung</Link>: people
        </Typography>
        <Here me={me} />
      </Box>
      {said && (
        <Box role="status" sx={{ mt: 1, fontSize: 12.5 }}>
          {said}
        </Box>
      )}
      {unanswered}
      <table>
        <thead>
          <tr>
            <th>Name</th>
            <th>Signs in with</th>
            <th>May</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {data?.members.map((m) => (
            <tr key={m.person}>
              <td>
                {m.name}
                {m.person === data?.me ? ' (you)' : ''}
              </td>
              <td>{m.email}</td>
              <td>
                {owner ? (
                  <Choice
                    label={`What ${m.name} may do`}
                    value={m.role}
                    words={roles}
                    says={(r) => mayWords[r]}
                    onChange={(role) =>
                      void act(`/api/people/${m.person}`, { method: 'PUT', body: JSON.stringify({ role }) })
                    }
                  />
                ) : (
                  mayWords[m.role]
                )}
              </td>
              <td>
                {owner && (
                  <Button
                    aria-label={`Take out ${m.name}, from this workspace`}
                    onClick={() => void act(`/api/people/${m.person}`, { method: 'DELETE' })}
                  >
                    Take out
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {owner && <Invite onDone={() => client.invalidateQueries()} />}
      {data && data.role !== 'reader' && <PassList owner={owner} />}
      <NewWorkspace />
      {owner && <Audit />}
    </Box>
  );
}

const mayWords: Record<Role, string> = {
  owner: 'owner: everything, people too',
  editor: 'editor: change boards and builds',
  reader: 'reader: look',
};

/** A link for one person; it goes once. */
function Invite({ onDone }: { onDone: () => unknown }) {
  const { control, handleSubmit, reset } = useForm({ defaultValues: { label: '', role: 'editor' as Role } });
  const [made, setMade] = useState<{ link?: string; sentence: string } | null>(null);
  const invite = useOnce(
    handleSubmit(async ({ label, role }) => {
      const { said } = await askServer<{ link: string }>(
        '/api/people',
        { method: 'POST', body: JSON.stringify({ label, role, days: 7 }) },
        silent,
      );
      setMade(said);
      if (said.link) reset({ label: '', role });
      onDone();
    }),
  );
  return (
    <Box component="section" aria-label="Invite somebody" sx={{ mt: 3 }}>
      <Typography variant="h2">Invite somebody</Typography>
      <Box component="form" noValidate onSubmit={invite} sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start' }}>
        <TextIn control={control} name="label" label="Who the link is for" wanted="Say whom" />
        <ChoiceIn control={control} name="role" label="May" words={roles} says={(r) => mayWords[r]} />
        <Button type="submit" variant="outlined" sx={{ mt: 2 }}>
          Make a link
        </Button>
      </Box>
      {made &&
        (made.link ? <Handed what={`${made.sentence} It ends after 7 days.`} text={made.link} /> : made.sentence)}
    </Box>
  );
}

function NewWorkspace() {
  const client = useQueryClient();
  const { control, handleSubmit, reset } = useForm({ defaultValues: { name: '' } });
  const [said, setSaid] = useState<string | null>(null);
  const make = useOnce(
    handleSubmit(async ({ name }) => {
      const reply = await askServer('/api/workspaces', { method: 'POST', body: JSON.stringify({ name }) }, silent);
      setSaid(reply.ok ? `${name} is yours: choose it above.` : reply.said.sentence);
      if (reply.ok) reset();
      await client.invalidateQueries({ queryKey: ['workspaces'] });
    }),
  );
  return (
    <Box component="section" aria-label="A workspace of one's own" sx={{ mt: 3 }}>
      <Typography variant="h2">Another workspace, with a shelf of its own</Typography>
      <Box component="form" noValidate onSubmit={make} sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start' }}>
        <TextIn control={control} name="name" label="Its name" wanted="A name is wanted" />
        <Button type="submit" variant="outlined" sx={{ mt: 2 }}>
          Make it
        </Button>
        {said && (
          <Box component="span" role="status" sx={{ mt: 2.5 }}>
            {said}
          </Box>
        )}
      </Box>
    </Box>
  );
}

function Audit() {
  const { said, unanswered } = useAsked<{ audit: { at: string; who: string; what: string; about: string }[] }>(
    'Who did what',
    ['audit'],
    '/api/audit',
  );
  return (
    <Box component="section" aria-label="Who did what" sx={{ mt: 3 }}>
      <Typography variant="h2">Who did what</Typography>
      {unanswered}
      {said?.audit.length === 0 && (
        <Box sx={{ fontSize: 12.5 }}>Nothing yet. Edits of builds stand in their history.</Box>
      )}
      <table>
        <tbody>
          {said?.audit.map((a, i) => (
            <tr key={i}>
              <td style={{ whiteSpace: 'nowrap' }}>{format(parseISO(a.at), 'd MMMM, HH:mm')}</td>
              <td>{a.who}</td>
              <td>{a.what}</td>
              <td style={{ overflowWrap: 'anywhere' }}>{a.about}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Box>
  );
}
