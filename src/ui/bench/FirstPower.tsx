import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { parseAsBoolean, parseAsStringLiteral, useQueryState } from 'nuqs';
import type { Chosen } from '../after/use-chosen';
import { Chart } from './Chart';
import { OneOf } from './OneOf';
import { FaultChoice, useFault } from './FaultChoice';
import { useBench } from './use-bench';
import { Assumed, Waiting } from './Waiting';

const limits = ['1', '2', 'none'] as const;
const shownMs = 60;

/** A full pack plugged in: which rail rises when, what trips and why. */
export function FirstPower(chosen: Chosen) {
  const [limit, setLimit] = useQueryState('limit', parseAsStringLiteral(limits).withDefault('1'));
  const [capacitor, setCapacitor] = useQueryState('capacitor', parseAsBoolean.withDefault(true));
  const choice = useFault(chosen);
  const limitAmps = limit === 'none' ? null : Number(limit);
  const run = useBench(chosen, { about: 'first power', plugging: { limitAmps, capacitor, fault: choice.fault.id } });
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <OneOf
          of={limits}
          at={limit}
          says={(l) => (l === 'none' ? 'no limiter' : `limiter ${l} A`)}
          onPick={(l) => void setLimit(l)}
        />
        <FormControlLabel
          label="capacitor at the leads"
          control={<Checkbox checked={capacitor} onChange={(_, on) => void setCapacitor(on ? null : false)} />}
        />
        <FaultChoice {...choice} />
      </Box>
      {run === null && <Waiting what="Plugging in" />}
      {run && 'unsolved' in run && <Box sx={{ my: 1 }}>{run.unsolved}</Box>}
      {run && 'moments' in run && <Run run={run} rails={chosen.board.rails} />}
    </>
  );
}

function Run({
  run,
  rails,
}: {
  run: Exclude<NonNullable<ReturnType<typeof useBench<'first power'>>>, { unsolved: string }>;
  rails: Chosen['board']['rails'];
}) {
  const shown = run.order.filter((o) => rails.find((r) => r.id === o.rail)?.source.kind !== 'pack').slice(0, 5);
  const data = run.moments
    .filter((m) => m.ms <= shownMs)
    .map((m) => ({
      ms: m.ms,
      pack: m.packVolts,
      'amps of the pack': m.amps,
      ...Object.fromEntries(shown.map((o) => [o.label, m.rails[o.rail]])),
    }));
  return (
    <>
      <Box
        role="status"
        sx={{ my: 1, fontSize: 14, fontWeight: 600, color: run.trips ? 'error.main' : 'text.primary' }}
      >
        {run.why}
      </Box>
      <Assumed assumed={run.assumed} />
      <Chart
        data={data}
        x="ms"
        xName="ms"
        domain={[0, shownMs]}
        lines={['pack', ...shown.map((o) => o.label)]}
        amps="amps of the pack"
      />
      {run.order.length === 0 ? (
        <Box>No rail stands.</Box>
      ) : (
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
                <td className="n">{o.volts.toFixed(2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
