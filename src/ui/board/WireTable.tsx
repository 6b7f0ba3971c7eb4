import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Board, Hookup } from '@/core';
import { HeldAndLeft } from './HeldAndLeft';

/** Every wire of the hookup: which part, which pad, which rail; and the bridges to set. */
export function WireTable({ hookup, board }: { hookup: Hookup; board: Board }) {
  const pad = (id: string) => board.pads.find((p) => p.id === id)?.label ?? id;
  return (
    <section aria-label="Hookup">
      <Typography variant="h2">Hookup</Typography>
      <table>
        <thead>
          <tr>
            <th>Part</th>
            <th>Signals</th>
            <th>Supply</th>
          </tr>
        </thead>
        <tbody>
          {hookup.parts
            .filter((p) => p.mode)
            .map((p) => (
              <tr key={p.id}>
                <td style={{ whiteSpace: 'normal' }}>{p.name}</td>
                <td>
                  {p.links.map((l) => (
                    <div key={l.id}>
                      {l.on}
                      {l.pads.length > 0 &&
                        `: ${l.pads.map((x) => `${pad(x.pad)}${x.does.startsWith('board') ? ` (${x.does})` : ''}`).join(', ')}`}
                    </div>
                  ))}
                </td>
                <td>
                  {p.supplies.length === 0 && 'none'}
                  {p.supplies.map((s) => (
                    <div key={s.id}>
                      {s.which && `${s.which}: `}
                      {s.on}
                      {s.pads.map((id) => `, pad ${pad(id)}`).join('')}
                    </div>
                  ))}
                </td>
              </tr>
            ))}
        </tbody>
      </table>
      {hookup.bridges.length > 0 && (
        <Box sx={{ mt: 0.75, fontSize: 12.5 }}>
          {hookup.bridges.map((b) => (
            <div key={b.bridge}>
              Bridge, {b.label}: {b.positionLabel}
              {b.moved ? ' (to be moved)' : ' (as delivered)'}
            </div>
          ))}
        </Box>
      )}
      <HeldAndLeft hookup={hookup} board={board} />
    </section>
  );
}
