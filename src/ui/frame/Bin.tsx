'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { askServer } from '../room/ask-server';
import { useAsked } from './asked';

export interface Earlier {
  kind: 'build' | 'board' | 'part';
  id: string;
  version: number;
  name: string;
  at: string;
}

/** Brings one thing back as it was; a sentence where that did not go. */
export async function bringBack({ kind, id, version }: Earlier): Promise<string | null> {
  const { ok, said } = await askServer(
    '/api/past',
    { method: 'POST', body: JSON.stringify({ kind, id, version }) },
    'The server does not answer. Nothing was changed.',
  );
  return ok ? null : said.sentence;
}

/** What was removed in the last 30 days: one press brings it back. Nothing is shown where nothing was. */
export function Bin({ kind, onBack }: { kind: Earlier['kind']; onBack: () => void }) {
  const client = useQueryClient();
  const [fault, setFault] = useState<string | null>(null);
  const { said, unanswered } = useAsked<{ earlier: Earlier[] }>('What was removed', ['bin'], '/api/past');
  const mine = said?.earlier.filter((e) => e.kind === kind) ?? [];
  if (mine.length === 0) return unanswered;
  const back = async (e: Earlier) => {
    const refused = await bringBack(e);
    setFault(refused);
    if (refused !== null) return;
    await client.invalidateQueries({ queryKey: ['bin'] });
    onBack();
  };
  return (
    <Box component="section" aria-label="Removed" sx={{ mt: 2, fontSize: 12.5 }}>
      <Typography variant="h2">Removed in the last 30 days</Typography>
      {unanswered}
      {mine.map((e) => (
        <Box key={`${e.id} ${e.version}`} sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <span>
            {e.name}, {format(parseISO(e.at), 'd MMMM, HH:mm')}
          </span>
          <Button aria-label={`Bring back ${e.name}`} onClick={() => void back(e)}>
            Bring back
          </Button>
        </Box>
      ))}
      {fault && (
        <Box role="alert" sx={{ color: 'error.main' }}>
          {fault}
        </Box>
      )}
    </Box>
  );
}
