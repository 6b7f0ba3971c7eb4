import type { BuildSheet } from '@/core';

const size = { half: 95, arm: 62, propeller: 24 } as const;

/** The arms from above, nose up, with the output of each and the way its propeller turns; the table says the same. */
export function MotorMapFigure({ map }: { map: NonNullable<BuildSheet['motors']> }) {
  return (
    <section>
      <h3 style={{ fontSize: 14, margin: '12px 0 2px' }}>Motor map</h3>
      <div style={{ display: 'flex', gap: 24, flexWrap: 'wrap', alignItems: 'center' }}>
        <svg
          viewBox={`${-size.half} ${-size.half} ${2 * size.half} ${2 * size.half}`}
          width={210}
          height={210}
          role="img"
          aria-label="Arms and spins seen from above, nose up; the table beside it says the same"
        >
          <path d="M 0 -22 l -7 12 h 14 z" fill="none" stroke="var(--ink)" />
          <rect x={-11} y={-11} width={22} height={22} rx={3} fill="var(--sheet)" stroke="var(--ink)" />
          {map.arms.map((a) => {
            const turn = (a.at * Math.PI) / 180;
            const [x, y] = [Math.sin(turn) * size.arm, -Math.cos(turn) * size.arm];
            const sweep = a.spin === 'clockwise' ? 1 : 0;
            const r = size.propeller;
            return (
              <g key={a.at}>
                <path d={`M 0 0 L ${x} ${y}`} stroke="var(--hair)" strokeWidth={4} />
                <circle cx={x} cy={y} r={5} fill="var(--ink)" />
                {a.spin && (
                  <path
                    d={`M ${x - r} ${y} A ${r} ${r} 0 1 ${sweep} ${x} ${sweep ? y + r : y - r}`}
                    fill="none"
                    stroke="var(--copper)"
                    strokeWidth={1.6}
                    markerEnd="url(#spin)"
                  />
                )}
              </g>
            );
          })}
          <defs>
            <marker id="spin" viewBox="0 0 6 6" refX={4} refY={3} markerWidth={6} markerHeight={6} orient="auto">
              <path d="M 0 0 L 6 3 L 0 6 z" fill="var(--copper)" />
            </marker>
          </defs>
        </svg>
        <table style={{ width: 'auto' }}>
          <thead>
            <tr>
              <th>Arm</th>
              <th>Output</th>
              <th>Propeller turns</th>
            </tr>
          </thead>
          <tbody>
            {map.arms.map((a) => (
              <tr key={a.at}>
                <td>{a.arm}</td>
                <td>{a.output}</td>
                <td>{a.spin ?? 'as the settings say'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {map.notes.map((n) => (
        <div key={n} style={{ fontSize: 12.5 }}>
          {n}
        </div>
      ))}
    </section>
  );
}
