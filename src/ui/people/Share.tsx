'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { Choice } from '../form/Choice';
import { askServer } from '../room/ask-server';
import { useRoom } from '../room/store';
import { Handed } from './Handed';
import { passWords, usePasses } from './PassList';

const whats = ['build', 'ladder', 'sheet', 'brief'] as const;
const whatWords: Record<(typeof whats)[number], string> = {
  build: 'everything of this build',
  ladder: 'the ladder, findings and hookups',
  sheet: 'the build sheet',
  brief: "the buyer's brief",
};
const spans = ['7 days', '30 days', 'a year', 'no end'] as const;
const daysOf: Record<(typeof spans)[number], number | null> = {
  '7 days': 7,
  '30 days': 30,
  'a year': 365,
  'no end': null,
};

/** Hands out a link by which anybody may look, without an account. */
export function Share() {
  const { build, rights } = useRoom('build', 'rights');
  const [open, setOpen] = useState(false);
  if (!rights.accounts || !rights.mayWrite) return null;
  return (
    <>
      <Button onClick={() => setOpen(true)}>Share</Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="share-title" maxWidth="sm" fullWidth>
        <DialogTitle id="share-title">Share {build.name}</DialogTitle>
        <DialogContent>{open && <ShareForm build={build.id} />}</DialogContent>
      </Dialog>
    </>
  );
}

function ShareForm({ build }: { build: string }) {
  const client = useQueryClient();
  const { passes, unanswered, withdraw } = usePasses(build);
  const [what, setWhat] = useState<(typeof whats)[number]>('ladder');
  const [span, setSpan] = useState<(typeof spans)[number]>('30 days');
  const [made, setMade] = useState<{ link?: string; sentence: string } | null>(null);
  const share = async () => {
    const { said } = await askServer<{ link: string }>(
      '/api/passes',
      { method: 'POST', body: JSON.stringify({ kind: 'share', build, what, days: daysOf[span] }) },
      'The server does not answer. Nothing was shared.',
    );
    setMade(said);
    await client.invalidateQueries({ queryKey: ['passes'] });
  };
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end', mt: 1 }}>
        <Choice label="What" value={what} words={whats} says={(w) => whatWords[w]} onChange={setWhat} />
        <Choice label="For" value={span} words={spans} onChange={setSpan} />
        <Button variant="contained" onClick={() => void share()}>
          Make a link
        </Button>
      </Box>
      <Box sx={{ fontSize: 12.5, color: 'text.secondary', mt: 1 }}>
        Guests look and change nothing. They never see the logbook, earlier picks or what is at home.
      </Box>
      {made && (made.link ? <Handed what={made.sentence} text={made.link} /> : <Box role="alert">{made.sentence}</Box>)}
      {unanswered}
      {passes?.map((p) => (
        <Box key={p.id} sx={{ display: 'flex', gap: 1, alignItems: 'baseline', fontSize: 12.5, mt: 0.5 }}>
          <Box sx={{ flex: 1 }}>
            {passWords(p)}, {p.expires ? `ends ${format(parseISO(p.expires), 'd MMMM yyyy')}` : 'does not end'}
          </Box>
          <Button
            aria-label={`Withdraw ${passWords(p)}`}
            onClick={() => void withdraw(p.id).then((sentence) => setMade({ sentence }))}
          >
            Withdraw
          </Button>
        </Box>
      ))}
    </>
  );
}
