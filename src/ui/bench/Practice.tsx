import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { parseAsInteger, useQueryState } from 'nuqs';
import { useState } from 'react';
import { counted, hiddenIn, scoreOf, secondsOf, shortestWay, stillPossible, type Rounds } from '@/core';
import type { Chosen } from '../after/use-chosen';
import { NumberBox } from '../form/NumberBox';
import { useBench } from './use-bench';
import { Waiting } from './Waiting';
import { probeWords } from './WhatIf';

/** A hidden fault by the number of its round: hold the meter where you like, then name it. */
export function Practice(chosen: Chosen) {
  const rounds = useBench(chosen, { about: 'rounds' });
  const [round, setRound] = useQueryState('round', parseAsInteger.withDefault(1));
  const [score, setScore] = useState({ points: 0, rounds: 0 });
  if (rounds === null) return <Waiting what="Solving every fault at every place" />;
  const at = Math.min(9999, Math.max(1, round));
  return (
    <Round
      key={at}
      rounds={rounds}
      round={at}
      total={score}
      onRound={(n) => void setRound(n)}
      onScore={(points) => setScore((s) => ({ points: s.points + points, rounds: s.rounds + 1 }))}
    />
  );
}

function Round({
  rounds,
  round,
  total,
  onRound,
  onScore,
}: {
  rounds: Rounds;
  round: number;
  total: { points: number; rounds: number };
  onRound: (round: number) => void;
  onScore: (points: number) => void;
}) {
  const hidden = hiddenIn(rounds, round);
  const [read, setRead] = useState<string[]>([]);
  const [named, setNamed] = useState<number | null>(null);
  const probes = rounds.readings[hidden]!;
  const left = stillPossible(rounds, hidden, read);
  const { seconds, burnt } = scoreOf(rounds, hidden, read, hidden);
  const name = (fault: number) => {
    setNamed(fault);
    onScore(scoreOf(rounds, hidden, read, fault).points);
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 3 }}>
      <section aria-label="Readings">
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end', mb: 0.5 }}>
          <Typography variant="h2">Round {round}: hold the meter</Typography>
          <NumberBox
            label="Round"
            whole
            min={1}
            max={9999}
            width={64}
            value={round}
            onChange={(n) => n && onRound(n)}
          />
        </Box>
        <Box sx={{ fontSize: 12, color: 'text.secondary' }}>
          {round <= 6 ? `Graded: ${rounds.faults[hidden]!.grade}. ` : ''}Reading with the pack in means plugging in
          behind 2 A: a minute, and a risk.
        </Box>
        {probes.map((p) => (
          <Box key={p.id} sx={{ display: 'flex', gap: 1, alignItems: 'center', borderBottom: '1px solid var(--hair)' }}>
            <Box sx={{ flex: 1, fontSize: 12.5 }}>
              {p.where}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {' '}
                · {p.unit === 'uF' ? 'microfarads' : p.unit}, pack {p.powered ? 'in' : 'out'}
              </Box>
            </Box>
            {read.includes(p.id) ? (
              <strong>{probeWords(p)}</strong>
            ) : (
              <Button
                disabled={named !== null}
                aria-label={`Read ${p.unit} at ${p.where}`}
                onClick={() => setRead((r) => [...r, p.id])}
              >
                Read
              </Button>
            )}
          </Box>
        ))}
      </section>
      <section aria-label="Name it">
        <Typography variant="h2">Name it</Typography>
        <Box sx={{ fontSize: 12.5, color: 'text.secondary' }} role="status">
          {counted(read.length, 'reading')}, {seconds} s; {left.length} of {rounds.faults.length} still agree with them.
          Score: {total.points} points in {counted(total.rounds, 'round')}.
        </Box>
        {burnt.length > 0 && (
          <Box role="alert" sx={{ my: 0.5, color: 'error.main', fontWeight: 600 }}>
            You plugged in with this fault: {burnt.join(', ')} would have burnt. Ohms first.
          </Box>
        )}
        {rounds.faults.map((f, i) => (
          <Button
            key={f.id}
            sx={{ display: 'block', textAlign: 'left' }}
            disabled={named !== null}
            onClick={() => name(i)}
          >
            {f.name}
          </Button>
        ))}
        {named !== null && (
          <Result rounds={rounds} hidden={hidden} read={read} named={named} onNext={() => onRound(round + 1)} />
        )}
      </section>
    </Box>
  );
}

function Result({
  rounds,
  hidden,
  read,
  named,
  onNext,
}: {
  rounds: Rounds;
  hidden: number;
  read: readonly string[];
  named: number;
  onNext: () => void;
}) {
  const right = named === hidden;
  const fault = rounds.faults[hidden]!;
  const { points, seconds } = scoreOf(rounds, hidden, read, named);
  const way = shortestWay(rounds, hidden);
  return (
    <Box role="status" sx={{ mt: 1 }}>
      <Box sx={{ fontWeight: 600, color: right ? 'success.main' : 'error.main' }}>
        {right ? `Right, after ${seconds} s: ${counted(points, 'point')}.` : `No: it was "${fault.name}".`} {fault.says}
      </Box>
      <Box sx={{ fontSize: 12.5, my: 0.5 }}>
        The shortest way ({secondsOf(way)} s), each time the reading that leaves least to doubt:{' '}
        {way.map((p) => `${p.where} ${probeWords(p)}`).join('; then ')}.
      </Box>
      <Button variant="contained" onClick={onNext}>
        Next round
      </Button>
    </Box>
  );
}
