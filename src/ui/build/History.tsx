'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { format, parseISO } from 'date-fns';
import { useEffect, useState } from 'react';
import { buildDifferences, readData, type Build } from '@/core';
import { useAsked } from '../frame/asked';
import { bringBack, type Earlier } from '../frame/Bin';
import { askServer } from '../room/ask-server';
import { draftsOf, dropDraft, isOwnDraft, type Draft } from '../room/draft';
import { useRoom } from '../room/store';

/** What the build was before: one entry a sitting, looked at before it is brought back. What stands now is kept in its turn. */
export function History() {
  const { build, edit } = useRoom('build', 'edit');
  const [seen, setSeen] = useState<{ of: Earlier; was: Build } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const { said: past, unanswered } = useAsked<{ earlier: Earlier[] }>(
    'What the build was before',
    ['history', build.id],
    `/api/past?kind=build&id=${encodeURIComponent(build.id)}`,
  );
  const earlier = past?.earlier ?? [];
  const [drafts, setDrafts] = useState<Draft[]>([]);
  useEffect(() => setDrafts(otherDrafts(build)), [build]);
  if (earlier.length === 0 && drafts.length === 0) return unanswered;
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
      {drafts.length > 0 && <Typography variant="h2">Typed in another tab, not saved</Typography>}
      {drafts.map((d) => (
        <Box key={d.key}>
          {format(d.at, 'd MMMM, HH:mm')}: {buildDifferences(d.build, build).slice(0, 3).join(' ')}{' '}
          <Button
            onClick={() => {
              dropDraft(build.id, d.key);
              edit('draft of another tab', () => d.build);
            }}
          >
            Bring this here
          </Button>
          <Button
            onClick={() => {
              dropDraft(build.id, d.key);
              setDrafts(drafts.filter((other) => other !== d));
            }}
          >
            Forget it
          </Button>
        </Box>
      ))}
      {unanswered}
      {earlier.length > 0 && <Typography variant="h2">As it was</Typography>}
      {earlier.slice(0, 20).map((e) => (
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

/** Drafts that another tab has left, or is still typing at, and that say something else than what stands here. */
function otherDrafts(build: Build): Draft[] {
  const here = JSON.stringify(build);
  return draftsOf(build.id).filter((d) => !isOwnDraft(d) && JSON.stringify(d.build) !== here);
}
