'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from '../frame/Link';
import { useEffect, useState } from 'react';
import { money, type RankedRow } from '@/core';
import { linesOf } from '../room/lines-of';
import { under } from '../room/ask-server';

type Said =
  | { state: 'waiting' | 'running'; done: number; total: number }
  | { state: 'done'; total: number; ranked: RankedRow[] }
  | { state: 'failed' | 'stopped'; sentence: string };

/** The whole order, as it comes from a worker of the server. */
export function ServerRanking({ id, name, currency }: { id: string; name: string; currency: string }) {
  const [said, setSaid] = useState<Said | null>(null);
  const [run, setRun] = useState(0);
  const [stop, setStop] = useState<AbortController | null>(null);
  useEffect(() => {
    const wanted = new AbortController();
    setStop(wanted);
    const fault = (sentence: string) => setSaid({ state: 'failed', sentence });
    void (async () => {
      try {
        const reply = await fetch(under(`/api/builds/${id}/ranking`), { signal: wanted.signal });
        if (!reply.ok || !reply.body) {
          const { sentence } = (await reply.json()) as { sentence: string };
          return fault(sentence);
        }
        for await (const line of linesOf(reply.body)) setSaid(JSON.parse(line) as Said);
      } catch {
        if (wanted.signal.aborted) setSaid({ state: 'stopped', sentence: 'Stopped.' });
        else fault('The server does not answer. Try again in a moment.');
      }
    })();
    return () => wanted.abort();
  }, [id, run]);
  return (
    <Box component="main" sx={{ maxWidth: 900, mx: 'auto', px: 2, py: 3 }}>
      <Typography variant="h1">{name}, ranked on the server</Typography>
      <Box sx={{ fontSize: 12.5, color: 'text.secondary', mb: 1 }}>
        For a phone, or a shelf too large for this machine. <Link href={`/b/${id}/ladder`}>The ladder</Link> works in
        the browser and shows every reason.
      </Box>
      <Status said={said} onStop={() => stop?.abort()} onAgain={() => (setSaid(null), setRun(run + 1))} />
      {said?.state === 'done' && <Rows id={id} ranked={said.ranked} currency={currency} />}
    </Box>
  );
}

function Status({ said, onStop, onAgain }: { said: Said | null; onStop: () => void; onAgain: () => void }) {
  if (said?.state === 'done') return <Box role="status">{said.total} boards have climbed.</Box>;
  if (said?.state === 'failed' || said?.state === 'stopped')
    return (
      <Box role="alert" sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
        {said.sentence}
        <Button onClick={onAgain}>Rank again</Button>
      </Box>
    );
  const running = said?.state === 'running' && said.total > 0;
  return (
    <Box role="status" sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
      {running ? (
        <progress value={said.done} max={said.total} aria-label="Boards that have climbed" />
      ) : (
        <progress aria-label="Waiting for a worker" />
      )}
      {running ? `${said.done} of ${said.total} boards have climbed` : 'A worker is asked ...'}
      <Button onClick={onStop}>Stop</Button>
    </Box>
  );
}

/** So many are shown at once; the first is what is looked for. */
const shownAtOnce = 100;

function Rows({ id, ranked, currency }: { id: string; ranked: RankedRow[]; currency: string }) {
  const [most, setMost] = useState(shownAtOnce);
  return (
    <>
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {ranked.slice(0, most).map((r) => (
          <Box
            component="li"
            key={r.id}
            sx={{ display: 'flex', gap: 1.5, py: 0.75, borderBottom: '1px solid var(--hair)' }}
          >
            <Box sx={{ width: 32, textAlign: 'right', color: 'text.secondary' }}>{r.rank}</Box>
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Link href={`/b/${id}/board/${r.id}`}>{r.name}</Link>, <strong>{r.verdict}</strong>
              {r.why && (
                <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
                  {r.rung}: {r.why}
                </Box>
              )}
            </Box>
            <Box sx={{ textAlign: 'right', fontSize: 12.5, whiteSpace: 'nowrap' }}>
              {r.toPayCents === null ? 'no offer' : money(r.toPayCents, currency)}
              <br />
              {Math.round(r.takeOffMassG.high ?? r.takeOffMassG.low)} g
            </Box>
          </Box>
        ))}
      </Box>
      {ranked.length > most && (
        <Button onClick={() => setMost(most + shownAtOnce)}>
          {shownAtOnce} more of {ranked.length}
        </Button>
      )}
    </>
  );
}
