import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { schools, whatMoved, type Moved, type Policies as PolicySet, type School } from '@/core';
import { useRoom } from '../room/store';
import { ForWriters } from '../room/ForWriters';

/** Where people of the trade disagree: each question with the reason for the default, the other school, and what flipping it would change. */
export function Policies() {
  const [open, setOpen] = useState(false);
  const { build } = useRoom('build');
  const moved = schools.filter((s) => build.policies[s.policy] !== s.ways[0]!.value);
  return (
    <Box component="section" aria-label="Policies" sx={{ mt: 1 }}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline' }}>
        <Box component="h2" sx={{ m: 0, fontSize: 13, fontWeight: 620 }}>
          Policies
        </Box>
        <Box sx={{ flex: 1, fontSize: 12.5, color: 'text.secondary' }}>
          {moved.length === 0
            ? 'all at their defaults'
            : moved.map((s) => `${s.asks.replace(/[?]$/, '')}: ${wordsOf(s, build.policies[s.policy])}`).join('; ')}
        </Box>
        <ForWriters>
          <Button variant="outlined" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Close' : 'Change'}
          </Button>
        </ForWriters>
      </Box>
      {open && schools.map((s) => <Question key={s.policy} school={s} />)}
    </Box>
  );
}

function wordsOf(s: School, value: string): string {
  return s.ways.find((w) => w.value === value)?.means ?? value;
}

function Question({ school }: { school: School }) {
  const { build, edit, ranking } = useRoom('build', 'edit', 'ranking');
  const [preview, setPreview] = useState<{ value: string; moved: Moved[] | null } | null>(null);
  const now = build.policies[school.policy];
  const withPolicy = (value: string): PolicySet => ({ ...build.policies, [school.policy]: value }) as PolicySet;
  const look = (value: string) => {
    setPreview({ value, moved: null });
    void ranking
      .ask({ ...build, policies: withPolicy(value) })
      .then((after) => setPreview({ value, moved: whatMoved(ranking.ranked ?? [], after) }));
  };
  return (
    <Box
      role="group"
      aria-label={school.asks}
      sx={{ borderTop: '1px solid var(--hair)', py: 0.75, mt: 0.75, fontSize: 12.5 }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'center' }}>
        <Box sx={{ fontWeight: 600, mr: 0.5 }}>{school.asks}</Box>
        {school.ways.map((w) => (
          <Button
            key={w.value}
            aria-pressed={w.value === now}
            variant={w.value === now ? 'contained' : 'outlined'}
            onClick={() => (w.value === now ? setPreview(null) : look(w.value))}
            sx={{ py: 0 }}
          >
            {w.means}
          </Button>
        ))}
      </Box>
      <Box sx={{ color: 'text.secondary', mt: 0.25 }}>
        {school.reason} {school.otherSchool}
      </Box>
      {preview && (
        <Box role="status" sx={{ mt: 0.5, pl: 1, borderLeft: '3px solid var(--copper)' }}>
          {preview.moved === null ? 'Every board climbs again ...' : <Effect moved={preview.moved} />}
          {preview.moved && (
            <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
              <Button
                variant="contained"
                onClick={() => {
                  edit(`policy ${school.policy}`, (b) => ({ ...b, policies: withPolicy(preview.value) }));
                  setPreview(null);
                }}
              >
                Change it to: {wordsOf(school, preview.value)}
              </Button>
              <Button onClick={() => setPreview(null)}>Leave it</Button>
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}

function Effect({ moved }: { moved: Moved[] }) {
  const telling = moved.filter((m) => m.before !== m.after || m.because !== null);
  if (moved.length === 0) return <>Nothing would change on this shelf.</>;
  return (
    <>
      {moved.length} boards would stand elsewhere or be judged otherwise.
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {telling.slice(0, 5).map((m) => (
          <li key={m.boardId}>
            {m.name}: {m.before === m.after ? m.after : `${m.before} becomes ${m.after}`},{' '}
            {m.from === m.to ? `still place ${m.to}` : `from ${m.from} to ${m.to}`}. {m.because}
          </li>
        ))}
      </Box>
    </>
  );
}
