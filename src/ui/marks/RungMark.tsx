import type { RungState } from '@/core';
import { stateColour } from './words';

interface Props {
  state: RungState;
  /** 0 to 1: how far a holding rung stands out beyond the side rails. */
  reach?: number;
  /** Above a break a rung is drawn in pencil. */
  pencil?: boolean;
}

/** One rung of the ladder lying on its side, centred on (0, 0); the side rails run at y = -9 and y = 9. */
export function RungMark({ state, reach = 0, pencil = false }: Props) {
  const colour = pencil ? 'var(--pencil)' : stateColour[state];
  const out = 2 + 4 * Math.max(0, Math.min(1, reach));
  switch (state) {
    case 'holds':
      return <rect x={pencil ? -1 : -2.5} y={-9 - out} width={pencil ? 2 : 5} height={18 + 2 * out} fill={colour} />;
    case 'strained':
      return <path d="M -3 -12 Q 11 0 -3 12" fill="none" stroke={colour} strokeWidth={pencil ? 1.3 : 3.2} />;
    case 'unknown':
      return (
        <rect
          x={-3.5}
          y={-12}
          width={7}
          height={24}
          fill="none"
          stroke={colour}
          strokeWidth={pencil ? 0.9 : 1.6}
          strokeDasharray="1.6 2.2"
        />
      );
    case 'breaks':
      return (
        <g stroke={colour} strokeWidth={pencil ? 1.6 : 4.4}>
          <line x1={0} y1={-14} x2={0} y2={-4.5} />
          <line x1={0} y1={4.5} x2={0} y2={14} />
        </g>
      );
  }
}
