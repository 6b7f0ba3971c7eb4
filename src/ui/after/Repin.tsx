import Box from '@mui/material/Box';
import type { BuildSheet } from '@/core';

const pitch = 30;

/** Two plugs with the wires between them as they must cross, and the same as a table. */
export function Repin({ board, esc, meets }: NonNullable<BuildSheet['repin']>) {
  const width = Math.max(board.length, esc.length) * pitch + 20;
  const x = (i: number) => 25 + i * pitch;
  const used = new Set<number>();
  const target = board.map((label) => {
    const j = esc.findIndex((e, k) => !used.has(k) && e.toUpperCase() === label.toUpperCase());
    if (j >= 0) used.add(j);
    return j;
  });
  return (
    <section>
      <Box component="h3" sx={{ fontSize: 14, mt: 1.5, mb: 0.25 }}>
        {meets.length > 0
          ? 'Re-pin the ESC plug: the two ends have different orders'
          : 'Harness to the ESC: both ends have one order, it is plugged straight'}
      </Box>
      <svg
        width={width}
        height={150}
        role="img"
        aria-label="Which pin of the board goes to which pin of the ESC; the table says the same"
      >
        {[
          { y: 20, labels: board, name: 'board' },
          { y: 116, labels: esc, name: 'ESC' },
        ].map((p) => (
          <g key={p.name}>
            <rect
              x={8}
              y={p.y - 12}
              width={p.labels.length * pitch + 4}
              height={26}
              fill="var(--sheet)"
              stroke="var(--ink)"
            />
            {p.labels.map((l, i) => (
              <text key={i} x={x(i)} y={p.y + 5} fontSize={9} textAnchor="middle" fill="var(--ink)">
                {l}
              </text>
            ))}
          </g>
        ))}
        {target.map((j, i) =>
          j < 0 ? null : (
            <path
              key={i}
              d={`M ${x(i)} 34 C ${x(i)} 70, ${x(j)} 70, ${x(j)} 104`}
              fill="none"
              stroke={i === j ? 'var(--ink)' : 'var(--copper)'}
              strokeWidth={1.6}
            />
          ),
        )}
        <text x={10} y={146} fontSize={10} fill="var(--faded)">
          what has no wire stays empty
        </text>
      </svg>
      {meets.length > 0 && <Meets meets={meets} />}
    </section>
  );
}

function Meets({ meets }: Pick<NonNullable<BuildSheet['repin']>, 'meets'>) {
  return (
    <table>
      <thead>
        <tr>
          <th className="n">Pin</th>
          <th>Board has</th>
          <th>ESC has</th>
          <th>Plugged straight</th>
        </tr>
      </thead>
      <tbody>
        {meets.map((m) => (
          <tr key={m.pin}>
            <td className="n">{m.pin}</td>
            <td>{m.board}</td>
            <td>{m.esc}</td>
            <td>{m.burns ? 'burns: pack or ground meets something else' : 'does not work'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
