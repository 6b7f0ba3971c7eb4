'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { useQuery } from '@tanstack/react-query';
import { Link } from '../frame/Link';
import { forgetKept } from '../frame/offline';
import { askServer, under } from '../room/ask-server';

interface Place {
  workspace: string;
  name: string;
  role: string;
}

/** Who is signed in, and in which workspace; the way to the others and out. */
export function Here({ me }: { me: string }) {
  const { data } = useQuery({
    queryKey: ['workspaces'],
    queryFn: async () => (await askServer<{ places: Place[]; here: string }>('/api/workspaces', {}, '')).said,
  });
  // The whole page anew: nothing of another workspace stays in memory.
  const go = async (id: string) => {
    const { ok } = await askServer('/api/workspaces', { method: 'PUT', body: JSON.stringify({ id }) }, '');
    await forgetKept();
    if (ok) window.location.assign(under('/'));
  };
  const out = async () => {
    await askServer('/api/sign-out', { method: 'POST' }, '');
    await forgetKept();
    window.location.assign(under('/sign-in'));
  };
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', fontSize: 12.5 }}>
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
      <Button onClick={() => void out()}>Sign out</Button>
    </Box>
  );
}
