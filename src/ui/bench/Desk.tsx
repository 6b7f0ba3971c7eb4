import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { benchOf, deskState, onTheDesk } from '@/core';
import type { Chosen } from '../after/use-chosen';
import { useRoom } from '../room/store';

/** USB alone, and USB with the pack: what every rail and part has then. */
export function Desk({ board, climb }: Chosen) {
  const { build } = useRoom('build');
  const desk = deskState(build, climb);
  const solved = useMemo(() => onTheDesk(benchOf(build, board, climb)), [build, board, climb]);
  return (
    <>
      <Box sx={{ fontSize: 14, fontWeight: 600, mb: 1 }}>
        What must live on USB draws {desk.unsaid.length > 0 && 'at least '}
        {desk.amps.toFixed(2)} A of {desk.limitAmps.toFixed(2)} A{desk.enough ? '' : ': too much'}.
        {desk.enough &&
          !desk.allEnough &&
          ` All that is alive on it draws ${(desk.amps + desk.restAmps).toFixed(2)} A: keep the rest dark or unplugged.`}
        {desk.unsaid.length > 0 && ` Nobody says what is drawn by ${desk.unsaid.join(', ')}.`}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 4, alignItems: 'flex-start' }}>
        <table aria-label="Rails on the desk">
          <thead>
            <tr>
              <th>Rail</th>
              {solved.map((s) => (
                <th key={s.says} className="n">
                  {s.says}, V
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {board.rails.map((r) => (
              <tr key={r.id}>
                <td>{r.label}</td>
                {solved.map((s) => (
                  <td key={s.says} className="n">
                    {voltWords(s.rails[r.id]) || 'unsolved'}
                  </td>
                ))}
              </tr>
            ))}
            <tr>
              <td>USB gives, A</td>
              {solved.map((s) => (
                <td key={s.says} className="n">
                  {s.usbAmps?.toFixed(2) ?? ''}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
        <table aria-label="Parts on the desk">
          <thead>
            <tr>
              <th>Part</th>
              <th>On USB alone</th>
              <th className="n">at the part, V</th>
              <th className="n">of USB</th>
            </tr>
          </thead>
          <tbody>
            {desk.parts.map((r) => (
              <tr key={r.id}>
                <td>{r.name}</td>
                <td>{r.says}</td>
                <td className="n">{voltWords(solved[0]?.parts[r.id])}</td>
                <td className="n">{ampsWords(r.amps)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
    </>
  );
}

function ampsWords(amps: number | null): string {
  if (amps === null) return 'unknown';
  return amps > 0 ? `${amps.toFixed(2)} A` : '';
}

/** A dead rail reads nought, not minus nought. */
function voltWords(volts: number | undefined): string {
  if (volts === undefined) return '';
  return (Math.abs(volts) < 0.005 ? 0 : volts).toFixed(2);
}
