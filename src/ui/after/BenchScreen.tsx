'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import Typography from '@mui/material/Typography';
import { parseAsStringLiteral, useQueryState } from 'nuqs';
import { useMemo, useState } from 'react';
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { assumedCell, counted, deskState, faultsFor, powerUp, probesWith, sagOver, stillPossible } from '@/core';
import { useRoom } from '../room/store';
import { WithBoard, type Chosen } from './use-chosen';

const scenes = ['power-up', 'desk', 'sag', 'faults', 'practice'] as const;
const names: Record<(typeof scenes)[number], string> = {
  'power-up': 'First power',
  desk: 'USB on the desk',
  sag: 'Throttle',
  faults: 'What if',
  practice: 'Practice',
};
const strokes = ['var(--ink)', 'var(--copper)', 'var(--holds)', 'var(--unknown)', 'var(--strained)', 'var(--breaks)'];

/** A prediction of what the bench will show, to be held against what it does show. */
export function BenchScreen() {
  const [scene, setScene] = useQueryState('scene', parseAsStringLiteral(scenes).withDefault('power-up'));
  return (
    <WithBoard title="Bench">
      {(chosen) => (
        <>
          <Box sx={{ display: 'flex', gap: 1, mb: 1, flexWrap: 'wrap' }} role="group" aria-label="Scene">
            {scenes.map((s) => (
              <Button
                key={s}
                aria-pressed={s === scene}
                variant={s === scene ? 'contained' : 'outlined'}
                onClick={() => void setScene(s)}
              >
                {names[s]}
              </Button>
            ))}
          </Box>
          <Box sx={{ fontSize: 12.5, color: 'text.secondary', mb: 1 }}>
            This is a prediction from the figures, not a measurement. Propellers off, aerials on, limiter first.
          </Box>
          {scene === 'power-up' && <FirstPower {...chosen} />}
          {scene === 'desk' && <Desk {...chosen} />}
          {scene === 'sag' && <Throttle {...chosen} />}
          {scene === 'faults' && <WhatIf {...chosen} />}
          {scene === 'practice' && <Practice {...chosen} />}
        </>
      )}
    </WithBoard>
  );
}

function FirstPower({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  const [limit, setLimit] = useState<1 | 2 | null>(1);
  const run = useMemo(() => powerUp(build, board, climb, limit), [build, board, climb, limit]);
  const used = run.order.slice(0, 5);
  const data = run.moments
    .filter((m) => m.ms <= 60)
    .map((m) => ({
      ms: m.ms,
      'pack V': m.packVolts,
      A: m.amps,
      ...Object.fromEntries(used.filter((o) => o.rail !== 'pack').map((o) => [o.label, m.rails[o.rail]])),
    }));
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {([1, 2, null] as const).map((l) => (
          <Button
            key={String(l)}
            aria-pressed={l === limit}
            variant={l === limit ? 'contained' : 'outlined'}
            onClick={() => setLimit(l)}
          >
            {l === null ? 'no limiter' : `limiter ${l} A`}
          </Button>
        ))}
      </Box>
      <Box sx={{ my: 1, fontSize: 14, fontWeight: 600, color: run.trips ? 'error.main' : 'text.primary' }}>
        {run.why}
      </Box>
      <Chart data={data} x="ms" xName="ms" lines={Object.keys(data[0] ?? {}).filter((k) => k !== 'ms')} />
      <table>
        <thead>
          <tr>
            <th>Rail</th>
            <th className="n">stands after ms</th>
            <th className="n">V</th>
          </tr>
        </thead>
        <tbody>
          {run.order.map((o) => (
            <tr key={o.rail}>
              <td>{o.label}</td>
              <td className="n">{o.ms}</td>
              <td className="n">{o.volts.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function Desk({ climb }: Chosen) {
  const { build } = useRoom('build');
  const desk = deskState(build, climb);
  return (
    <>
      <Box sx={{ fontSize: 14, fontWeight: 600, mb: 1 }}>
        What must live on USB draws {desk.unsaid.length > 0 && 'at least '}
        {desk.amps.toFixed(2)} A of {desk.limitAmps.toFixed(2)} A{desk.enough ? '' : ': too much'}.
        {desk.enough &&
          !desk.allEnough &&
          ` All that is alive on it draws ${(desk.amps + desk.restAmps).toFixed(2)} A: keep the rest dark or unplugged.`}
        {desk.unsaid.length > 0 && ` Nobody says what is drawn by ${desk.unsaid.join(', ')}.`}
      </Box>
      <table>
        <tbody>
          {desk.parts.map((r) => {
            let said: string;
            if (r.amps === null) said = 'unknown';
            else if (r.amps > 0) said = `${r.amps.toFixed(2)} A`;
            else said = '';
            return (
              <tr key={r.id}>
                <td>{r.name}</td>
                <td>{r.says}</td>
                <td className="n">{said}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

function Throttle({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  const [charge, setCharge] = useState<'full' | 'nominal' | 'land'>('land');
  const points = useMemo(() => sagOver(build, board, climb, charge), [build, board, climb, charge]);
  const assumed = assumedCell(build);
  const used = board.rails
    .filter((r) => r.source.kind === 'regulator' && points[0]?.rails[r.id] !== undefined)
    .slice(0, 4);
  const data = points.map((p) => ({
    throttle: p.throttlePercent,
    'pack V': p.packVolts,
    ...Object.fromEntries(used.map((r) => [r.label, p.rails[r.id]])),
  }));
  const first = points.find((p) => p.out.length > 0);
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {(['full', 'nominal', 'land'] as const).map((c) => (
          <Button
            key={c}
            aria-pressed={c === charge}
            variant={c === charge ? 'contained' : 'outlined'}
            onClick={() => setCharge(c)}
          >
            {{ full: 'full pack', nominal: 'half way', land: 'at landing charge' }[c]}
          </Button>
        ))}
      </Box>
      {assumed && <Box sx={{ mt: 1 }}>{assumed}</Box>}
      <Box sx={{ my: 1, fontSize: 14, fontWeight: 600, color: first ? 'error.main' : 'text.primary' }}>
        {first
          ? `From ${first.throttlePercent} % throttle (${first.amps.toFixed(0)} A, ${first.packVolts.toFixed(1)} V) these drop out: ${first.out.join(', ')}.`
          : `Nothing drops out: at full throttle (${points.at(-1)!.amps.toFixed(0)} A) the pack stands at ${points.at(-1)!.packVolts.toFixed(1)} V.`}
      </Box>
      <Chart
        data={data}
        x="throttle"
        xName="throttle, %"
        lines={Object.keys(data[0] ?? {}).filter((k) => k !== 'throttle')}
      />
    </>
  );
}

function Chart({
  data,
  x,
  xName,
  lines,
}: {
  data: Record<string, number | undefined>[];
  x: string;
  xName: string;
  lines: string[];
}) {
  return (
    <Box sx={{ height: 280, my: 1 }} aria-hidden>
      <ResponsiveContainer>
        <LineChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 16, bottom: 18, left: 0 }}>
          <CartesianGrid stroke="var(--hair)" />
          <XAxis
            dataKey={x}
            type="number"
            domain={['dataMin', 'dataMax']}
            tick={{ fontSize: 11, fill: 'var(--faded)' }}
            label={{ value: xName, position: 'insideBottom', offset: -10, fontSize: 11, fill: 'var(--faded)' }}
          />
          <YAxis tick={{ fontSize: 11, fill: 'var(--faded)' }} />
          <Tooltip formatter={(v) => (typeof v === 'number' ? v.toFixed(2) : v)} />
          <Legend verticalAlign="top" height={24} wrapperStyle={{ fontSize: 12 }} />
          {lines.map((l, i) => (
            <Line
              key={l}
              type="linear"
              dataKey={l}
              stroke={strokes[i % strokes.length]!}
              strokeWidth={l === 'A' ? 1 : 2}
              strokeDasharray={['', '6 3', '2 3', '8 2 2 2', '4 4', '1 2'][i % 6]!}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </Box>
  );
}

function WhatIf({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  const faults = faultsFor(build, board, climb);
  const [fault, setFault] = useState('healthy');
  const healthy = new Map(probesWith(build, board, climb, 'healthy').map((p) => [p.id, p.value]));
  const chosen = faults.find((f) => f.id === fault) ?? faults[0]!;
  return (
    <>
      <Select
        value={chosen.id}
        onChange={(e) => setFault(e.target.value)}
        inputProps={{ 'aria-label': 'What is wrong' }}
      >
        {faults.map((f) => (
          <MenuItem key={f.id} value={f.id}>
            {f.name}
          </MenuItem>
        ))}
      </Select>
      <Box sx={{ my: 1 }}>{chosen.says}</Box>
      <table>
        <thead>
          <tr>
            <th>Where</th>
            <th className="n">healthy</th>
            <th className="n">now</th>
          </tr>
        </thead>
        <tbody>
          {probesWith(build, board, climb, chosen.id).map((p) => (
            <tr key={p.id} style={{ fontWeight: p.value === healthy.get(p.id) ? 400 : 650 }}>
              <td>{p.where}</td>
              <td className="n">
                {healthy.get(p.id)} {p.unit}
              </td>
              <td className="n">
                {p.value} {p.unit}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** A hidden fault: hold the meter where you like, then name it. Fewer readings, more points. */
function Practice({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  const faults = useMemo(() => faultsFor(build, board, climb), [build, board, climb]);
  const [round, setRound] = useState(() => ({ n: 1, fault: Math.floor(Math.random() * faults.length) }));
  const [read, setRead] = useState<string[]>([]);
  const [said, setSaid] = useState<{ right: boolean; words: string } | null>(null);
  const [score, setScore] = useState({ points: 0, rounds: 0 });
  const hidden = faults[round.fault % faults.length]!;
  const probes = probesWith(build, board, climb, hidden.id);
  const readings = probes.filter((p) => read.includes(p.id));
  const left = stillPossible(build, board, climb, readings);
  const name = (id: string) => {
    if (said) return;
    const right = id === hidden.id;
    const points = right ? Math.max(1, 10 - read.length) : 0;
    setSaid({
      right,
      words: right
        ? `Right, with ${counted(read.length, 'reading')}: ${counted(points, 'point')}. ${hidden.says}`
        : `No: it was "${hidden.name}". ${hidden.says}`,
    });
    setScore((s) => ({ points: s.points + points, rounds: s.rounds + 1 }));
  };
  const next = () => {
    setRound((r) => ({ n: r.n + 1, fault: Math.floor(Math.random() * faults.length) }));
    setRead([]);
    setSaid(null);
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 3 }}>
      <Box>
        <Typography variant="h2">Round {round.n}: hold the meter</Typography>
        {probes.map((p) => (
          <Box key={p.id} sx={{ display: 'flex', gap: 1, alignItems: 'center', borderBottom: '1px solid var(--hair)' }}>
            <Box sx={{ flex: 1, fontSize: 12.5 }}>{p.where}</Box>
            {read.includes(p.id) ? (
              <strong>
                {p.value} {p.unit}
              </strong>
            ) : (
              <Button onClick={() => setRead((r) => [...r, p.id])}>Read</Button>
            )}
          </Box>
        ))}
      </Box>
      <Box>
        <Typography variant="h2">Name it</Typography>
        <Box sx={{ fontSize: 12.5, color: 'text.secondary' }} role="status">
          {read.length} readings; {left.length} of {faults.length} still agree with them. Score: {score.points} points
          in {score.rounds} rounds.
        </Box>
        {faults.map((f) => (
          <Button
            key={f.id}
            sx={{ display: 'block', textAlign: 'left' }}
            disabled={said !== null}
            onClick={() => name(f.id)}
          >
            {f.name}
          </Button>
        ))}
        {said && (
          <Box role="status" sx={{ mt: 1, fontWeight: 600, color: said.right ? 'success.main' : 'error.main' }}>
            {said.words}{' '}
            <Button variant="contained" onClick={next}>
              Next round
            </Button>
          </Box>
        )}
      </Box>
    </Box>
  );
}
