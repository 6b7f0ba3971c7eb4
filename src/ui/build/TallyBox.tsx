'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { tally, money } from '@/core';
import { useWords } from '../frame/ways';
import { Term } from '../frame/Term';
import { useRoom } from '../room/store';

/** What the list asks for, added up at each change. */
export function TallyBox() {
  const { build } = useRoom('build');
  const words = useWords();
  const t = tally(build);
  const lines: [ReactNode, string][] = [
    [
      <Term key="ports" of="port (UART)">
        Serial ports
      </Term>,
      `${t.ports} (${t.hear} hear, ${t.talk} talk)`,
    ],
    [
      <Term key="inverted" of="inverter">
        Inverted lines
      </Term>,
      String(t.inverted),
    ],
    [
      <Term key="supplies" of="rail">
        Supplies
      </Term>,
      String(t.supplied),
    ],
    ['Mass of the parts', words(`${t.grams.toFixed(1)} g`)],
    ['Steady power', `${t.watts.toFixed(1)} W`],
    ['Still to buy', money(t.toBuyCents, build.currency)],
  ];
  return (
    <section aria-label="Running tally">
      <Typography variant="h2">It needs</Typography>
      <table>
        <tbody>
          {lines.map(([what, value], i) => (
            <tr key={i}>
              <th scope="row">{what}</th>
              <td className="n">{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {t.unknownFigures > 0 && (
        <Box sx={{ fontSize: 12, color: 'text.secondary', mt: 0.5 }}>
          {t.unknownFigures} {t.unknownFigures === 1 ? 'figure is' : 'figures are'} unknown and not in these sums.
        </Box>
      )}
    </section>
  );
}
