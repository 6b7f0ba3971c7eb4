import type { Climb } from '@/core';
import { RungMark } from './RungMark';

export const rungPitch = 44;
const height = 32;

interface Props {
  climb: Climb;
  /** Rung under the cursor, 1 to 10. */
  at?: number | null;
}

/** A board's ladder on its side, climbing to the right: inked as far as the board gets, pencil above its first break. */
export function LadderStrip({ climb, at }: Props) {
  const width = rungPitch * climb.rungs.length;
  const reached = climb.stopsAt === null ? width : (climb.stopsAt - 0.5) * rungPitch;
  return (
    <svg
      width={width}
      height={height}
      style={{ maxWidth: '100%', flexShrink: 0 }}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={climb.rungs.map((r) => `${r.name} ${r.state}`).join(', ')}
    >
      {at ? (
        <rect
          x={(at - 1) * rungPitch + 3}
          y={0.5}
          width={rungPitch - 6}
          height={height - 1}
          fill="none"
          stroke="var(--copper)"
        />
      ) : null}
      {[7, 25].map((y) => (
        <g key={y}>
          <line
            x1={0}
            x2={reached - (climb.stopsAt === null ? 0 : 7)}
            y1={y}
            y2={y}
            stroke="var(--ink)"
            strokeWidth={1.8}
          />
          {climb.stopsAt !== null && (
            <line
              x1={reached + 7}
              x2={width}
              y1={y}
              y2={y}
              stroke="var(--pencil)"
              strokeWidth={0.8}
              strokeDasharray="5 3"
            />
          )}
        </g>
      ))}
      {climb.rungs.map((r, i) => (
        <g key={r.rung} transform={`translate(${(i + 0.5) * rungPitch} 16)`}>
          <RungMark
            state={r.state}
            reach={(r.margin ?? 0) / 0.5}
            pencil={climb.stopsAt !== null && r.rung > climb.stopsAt}
          />
        </g>
      ))}
    </svg>
  );
}
