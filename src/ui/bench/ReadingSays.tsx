import Box from '@mui/material/Box';
import type { Entry } from '@/core';
import type { Chosen } from '../after/use-chosen';
import { useBench } from './use-bench';
import { Waiting } from './Waiting';

/** A reading held against the solved circuit: which figure would make it so, and how much speaks for that. */
export function ReadingSays({ entry, ...chosen }: { entry: Entry } & Chosen) {
  const said = useBench(chosen, { about: 'reading', entry });
  if (said === null) return <Waiting what="Solving the circuit for every figure behind the reading" />;
  return (
    <Box role="status" sx={{ pl: 1, borderLeft: '3px solid var(--copper)', my: 0.5 }}>
      {said.map((s) => (
        <Box key={s.where}>
          By the circuit {s.where} stands at {s.predictedVolts.toFixed(2)} V, the pack at its nominal volts and every
          part at its usual draw.{' '}
          {s.explanations.length === 0 ? 'The reading agrees.' : `${entry.reading!.value} V would mean one of these:`}
          <ul style={{ margin: 0 }}>
            {s.explanations.map((e) => (
              <li key={e.says}>
                {e.share < 0.01 ? 'hardly' : `${Math.round(e.share * 100)} %`}: {e.says}
              </li>
            ))}
          </ul>
        </Box>
      ))}
      {said.length === 0 &&
        'The circuit has no place of that name: name a rail, a pad as printed, or a part, or choose the volts of a rail.'}
    </Box>
  );
}
