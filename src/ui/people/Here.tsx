'use client';

import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { useState } from 'react';
import { useAsked } from '../frame/asked';
import { Link } from '../frame/Link';
import { forgetKept } from '../frame/offline';
import { askServer, under } from '../room/ask-server';
import { SignOut } from './SignOut';

interface Place {
  workspace: string;
  name: string;
  role: string;
}

/** Who is signed in, and in which workspace; the way to the others and out. */
export function Here({ me }: { me: string }) {
  const { said: data } = useAsked<{ places: Place[]; here: string }>('Workspaces', ['workspaces'], '/api/workspaces');
  const [fault, setFault] = useState<string | null>(null);
  // The whole page anew: nothing of another workspace stays in memory.
  const go = async (id: string) => {
    const { ok, said } = await askServer(
      '/api/workspaces',
      { method: 'PUT', body: JSON.stringify({ id }) },
      'The server does not answer.',
    );
    if (!ok) return setFault(`You are still in this workspace. ${said.sentence}`);
    await forgetKept();
    window.location.assign(under('/'));
  };
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', fontSize: 12.5 }}>
      {fault && (
        <Box role="alert" sx={{ color: 'error.main' }}>
          {fault}
        </Box>
      )}
      <span>{me}</span>
      {data?.places && data.here && (
        <Select
          value={data.here}
          onChange={(e) => void go(e.target.value)}
          slotProps={{ input: { 'aria-label': 'Workspace' } }}
          sx={{ fontSize: 12.5 }}
        >
          {data.places.map((p) => (
            <MenuItem key={p.workspace} value={p.workspace}>
              {p.name} ({p.role})
            </MenuItem>
          ))}
        </Select>
      )}
      <Link href="/people">People</Link>
      <SignOut />
    </Box>
  );
}
