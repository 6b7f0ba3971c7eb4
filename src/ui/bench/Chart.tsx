import Box from '@mui/material/Box';
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';

const strokes = ['var(--ink)', 'var(--copper)', 'var(--holds)', 'var(--unknown)', 'var(--strained)', 'var(--breaks)'];

/** Volts (left) and amps (right) over time or throttle; the words and tables beside it say the same. */
export function Chart({
  data,
  x,
  xName,
  lines,
  amps,
  at,
  domain = ['dataMin', 'dataMax'],
}: {
  data: Record<string, number | undefined>[];
  x: string;
  xName: string;
  /** In volts. */
  lines: string[];
  /** In amps, on an axis of its own. */
  amps?: string;
  /** Where a line stands upright. */
  at?: number;
  /** Ends of the x axis; left out: those of the data. */
  domain?: [number, number] | ['dataMin', 'dataMax'];
}) {
  const tick = { fontSize: 11, fill: 'var(--faded)' };
  const label = { position: 'insideBottom' as const, offset: -10, fontSize: 11, fill: 'var(--faded)' };
  return (
    <Box sx={{ height: 270, my: 1 }} aria-hidden>
      <ResponsiveContainer>
        <LineChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 8, bottom: 18, left: 0 }}>
          <CartesianGrid stroke="var(--hair)" />
          <XAxis dataKey={x} type="number" domain={domain} tick={tick} label={{ ...label, value: xName }} />
          <YAxis
            yAxisId="volts"
            tick={tick}
            unit=" V"
            width={52}
            domain={[(least: number) => Math.min(0, Math.ceil(least)), 'auto']}
          />
          {amps && <YAxis yAxisId="amps" orientation="right" tick={tick} unit=" A" width={52} />}
          <Tooltip
            formatter={(v) => (typeof v === 'number' ? v.toFixed(2) : v)}
            labelFormatter={(v) => `${v} ${xName}`}
          />
          <Legend verticalAlign="top" height={24} wrapperStyle={{ fontSize: 12 }} />
          {at !== undefined && <ReferenceLine yAxisId="volts" x={at} stroke="var(--faded)" />}
          {lines.map((l, i) => (
            <Line
              key={l}
              yAxisId="volts"
              type="linear"
              dataKey={l}
              stroke={strokes[i % strokes.length]!}
              strokeWidth={2}
              strokeDasharray={['', '6 3', '2 3', '8 2 2 2', '4 4', '1 2'][i % 6]!}
              dot={false}
              isAnimationActive={false}
            />
          ))}
          {amps && (
            <Line
              yAxisId="amps"
              type="linear"
              dataKey={amps}
              stroke="var(--faded)"
              strokeDasharray="1 3"
              strokeWidth={1.8}
              dot={false}
              isAnimationActive={false}
            />
          )}
        </LineChart>
      </ResponsiveContainer>
    </Box>
  );
}
