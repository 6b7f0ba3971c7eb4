import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Board, Hookup, Wire } from '@/core';
import { useMeasure } from '../frame/ways';
import { HeldAndLeft } from '../board/HeldAndLeft';

/** Every joint in words: which pin of which part goes to which pad, on which face, with which wire. A pad picks its net. */
export function JointTable({
  board,
  hookup,
  wires,
  net,
  onNet,
}: {
  board: Board;
  hookup: Hookup;
  wires: readonly Wire[];
  net: string | null;
  onNet: (net: string | null) => void;
}) {
  const length = useMeasure('mm');
  const byHarness = hookup.parts.filter((p) => p.mode && !wires.some((w) => w.part === p.id));
  return (
    <section aria-label="Joints">
      <Typography variant="h2">Joints</Typography>
      <table>
        <thead>
          <tr>
            <th>Part</th>
            <th>Its pin</th>
            <th>Pad</th>
            <th className="n">AWG</th>
            <th className="n">{length.unit}</th>
            <th>Wire</th>
          </tr>
        </thead>
        <tbody>
          {wires.map((w, i) => (
            <tr key={i} style={w.net === net ? { background: 'var(--copperSoft)' } : undefined}>
              <td style={{ whiteSpace: 'normal' }}>{wires[i - 1]?.part === w.part ? '' : w.partName}</td>
              <td>{[w.pin.of, w.pin.name, w.pin.colour].filter(Boolean).join(', ')}</td>
              <td>
                <Button
                  aria-pressed={w.net === net}
                  onClick={() => onNet(w.net === net ? null : w.net)}
                  sx={{ p: 0, minHeight: 24, justifyContent: 'flex-start' }}
                >
                  {w.from}
                </Button>
              </td>
              <td className="n">{w.gauge}</td>
              <td className="n">{length.show(w.lengthMm)}</td>
              <td>{w.colour}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {byHarness.map((p) => (
        <div key={p.id}>
          {p.name}: {p.links.map((l) => l.on).join(', ') || p.mode?.label}, nothing to solder.
        </div>
      ))}
      <HeldAndLeft hookup={hookup} board={board} />
    </section>
  );
}
