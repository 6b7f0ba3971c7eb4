'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { buildDifferences, readData, type Build } from '@/core';
import { bringBack, type Earlier } from '../frame/Bin';
import { askServer } from '../room/ask-server';
import { useRoom } from '../room/store';

/** What the build was before: one entry a sitting, looked at before it is brought back. What stands now is kept in its turn. */
export function History() {
  const { build } = useRoom('build');
  const [seen, setSeen] = useState<{ of: Earlier; was: Build } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const { data = [] } = useQuery({
    queryKey: ['history', build.id],
    queryFn: async () =>
      (await askServer<{ earlier: Earlier[] }>(`/api/past?kind=build&id=${encodeURIComponent(build.id)}`, {}, '')).said
        .earlier ?? [],
  });
  if (data.length === 0) return null;
  const look = async (of: Earlier) => {
    const { said: answer } = await askServer<{ found: unknown }>(
      `/api/past?kind=build&id=${encodeURIComponent(of.id)}&version=${of.version}`,
      {},
      'The server does not answer.',
    );
    const read = readData(answer.found, 'rung-build');
    setSaid(read.ok ? null : 'That version cannot be read.');
    setSeen(read.ok ? { of, was: read.value } : null);
  };
  const back = async (of: Earlier) => {
    const fault = await bringBack(of);
    if (fault === null) window.location.reload();
    else setSaid(fault);
  };
  return (
    <Box component="section" aria-label="History" sx={{ mt: 2, fontSize: 12.5 }}>
      <Typography variant="h2">As it was</Typography>
      {data.slice(0, 20).map((e) => (
        <Box key={e.version}>
          <Button aria-pressed={seen?.of.version === e.version} onClick={() => void look(e)}>
            {format(parseISO(e.at), 'd MMMM, HH:mm')}
          </Button>
          {seen?.of.version === e.version && (
            <Box sx={{ pl: 1, borderLeft: '2px solid var(--hair)' }}>
              {buildDifferences(seen.was, build).map((line) => (
                <div key={line}>{line}</div>
              ))}
              <Button variant="outlined" onClick={() => void back(e)}>
                Bring this back
              </Button>
            </Box>
          )}
        </Box>
      ))}
      {said && (
        <Box role="alert" sx={{ color: 'error.main' }}>
          {said}
        </Box>
      )}
    </Box>
  );
}
