import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import { parseAsInteger, parseAsStringLiteral, useQueryState } from 'nuqs';
import { assumedCell, type FlightTime } from '@/core';
import type { Chosen } from '../after/use-chosen';
import { useRoom } from '../room/store';
import { Chart } from './Chart';
import { OneOf } from './OneOf';
import { useBench } from './use-bench';
import { Waiting } from './Waiting';

const charges = ['full', 'nominal', 'land'] as const;
const words = { full: 'full pack', nominal: 'half way', land: 'at landing charge' } as const;

/** The circuit under throttle: at rest at every throttle, and over time in a punch-out. */
export function Throttle(chosen: Chosen) {
  const { build } = useRoom('build');
  const [charge, setCharge] = useQueryState('charge', parseAsStringLiteral(charges).withDefault('land'));
  const [throttle, setThrottle] = useQueryState('throttle', parseAsInteger.withDefault(100));
  const solved = useBench(chosen, { about: 'throttle', charge });
  const assumed = assumedCell(build);
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <OneOf of={charges} at={charge} says={(c) => words[c]} onPick={(c) => void setCharge(c)} />
      </Box>
      {assumed && <Box sx={{ mt: 1, fontSize: 12, color: 'text.secondary' }}>{assumed}</Box>}
      {solved === null ? (
        <Waiting what="Solving at every throttle" />
      ) : (
        <Solved {...solved} board={chosen.board} throttle={throttle} onThrottle={(t) => void setThrottle(t)} />
      )}
    </>
  );
}

type Answer = NonNullable<ReturnType<typeof useBench<'throttle'>>>;

function Solved({
  points,
  punch,
  flight,
  board,
  throttle,
  onThrottle,
}: Answer & { board: Chosen['board']; throttle: number; onThrottle: (percent: number) => void }) {
  const first = points.find((p) => p.out.length > 0);
  const last = points.at(-1);
  const at = points.reduce<Answer['points'][number] | null>(
    (best, p) =>
      !best || Math.abs(p.throttlePercent - throttle) < Math.abs(best.throttlePercent - throttle) ? p : best,
    null,
  );
  if (!last || !at) return <Box sx={{ my: 1 }}>The circuit does not come to rest at any throttle.</Box>;
  const rails = board.rails.filter((r) => r.source.kind === 'regulator' && at.rails[r.id] !== undefined).slice(0, 4);
  const lines = (railVolts: Record<string, number>) => Object.fromEntries(rails.map((r) => [r.label, railVolts[r.id]]));
  return (
    <>
      <Box role="status" sx={{ my: 1, fontSize: 14, fontWeight: 600, color: first ? 'error.main' : 'text.primary' }}>
        {first
          ? `From ${first.throttlePercent} % throttle (${first.amps.toFixed(0)} A, ${first.packVolts.toFixed(1)} V) these drop out: ${first.out.join(', ')}.`
          : `Nothing drops out: at full throttle (${last.amps.toFixed(0)} A) the pack stands at ${last.packVolts.toFixed(1)} V.`}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, columnGap: 3 }}>
        <section aria-label="At rest at every throttle">
          <Chart
            data={points.map((p) => ({
              throttle: p.throttlePercent,
              pack: p.packVolts,
              amps: p.amps,
              ...lines(p.rails),
            }))}
            x="throttle"
            xName="% throttle"
            lines={['pack', ...rails.map((r) => r.label)]}
            amps="amps"
            at={at.throttlePercent}
          />
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', px: 1 }}>
            <span>Throttle</span>
            <Slider
              aria-label="Throttle in per cent"
              value={at.throttlePercent}
              step={5}
              onChange={(_, v) => onThrottle(v as number)}
            />
            <Box sx={{ width: 48, textAlign: 'right' }}>{at.throttlePercent} %</Box>
          </Box>
          <Box sx={{ fontSize: 13 }} role="status">
            {at.amps.toFixed(1)} A of a pack at {at.packVolts.toFixed(2)} V;{' '}
            {rails.map((r) => `${r.label} ${at.rails[r.id]!.toFixed(2)} V`).join(', ')}.{' '}
            {at.out.length === 0 ? 'Every part runs.' : `Dark: ${at.out.join(', ')}.`}
          </Box>
        </section>
        <section aria-label="Punch-out">
          {punch ? (
            <>
              <Chart
                data={punch.moments.map((m) => ({
                  ms: Math.round(m.ms * 100) / 100,
                  pack: m.packVolts,
                  amps: m.amps,
                  ...lines(m.rails),
                }))}
                x="ms"
                xName="ms"
                lines={['pack', ...rails.map((r) => r.label)]}
                amps="amps"
              />
              <Box sx={{ fontSize: 13 }}>
                A punch-out: from cruise to full throttle for 40 ms, and back.{' '}
                {punch.dips.length === 0
                  ? 'No part browns out.'
                  : `Browned out: ${punch.dips.map((d) => `${d.name}${d.back ? ', which comes back' : ', which stays dark'}`).join('; ')}.`}
              </Box>
            </>
          ) : (
            <Box sx={{ my: 1 }}>A punch-out comes to no end in this circuit: nothing is said of it.</Box>
          )}
        </section>
      </Box>
      {flight && <Flight flight={flight} />}
    </>
  );
}

function Flight({ flight: { minutes, motorAmps, restAmps, assumed } }: { flight: FlightTime }) {
  const [low, high] = [minutes.low.toFixed(1), minutes.high.toFixed(1)];
  return (
    <Box sx={{ mt: 1.5, fontSize: 13 }}>
      <strong>About {low === high ? low : `${low} to ${high}`} minutes of cruise</strong>: the motors take{' '}
      {motorAmps.toFixed(1)} A, board and parts {restAmps.toFixed(2)} A of the pack.
      <Box sx={{ fontSize: 12, color: 'text.secondary' }}>Taken for granted: {assumed.join('; ')}.</Box>
    </Box>
  );
}
