import Box from '@mui/material/Box';
import { readsAlike, type Probe } from '@/core';
import type { Chosen } from '../after/use-chosen';
import { FaultChoice, useFault } from './FaultChoice';
import { useBench } from './use-bench';
import { Waiting } from './Waiting';

/** One fault put into the circuit: what every reading becomes. */
export function WhatIf(chosen: Chosen) {
  const choice = useFault(chosen);
  const solved = useBench(chosen, { about: 'probes', fault: choice.fault.id });
  return (
    <>
      <FaultChoice {...choice} />
      <Box sx={{ my: 1 }}>{choice.fault.says}</Box>
      {solved === null ? (
        <Waiting what="Solving" />
      ) : (
        <table aria-label="Readings">
          <thead>
            <tr>
              <th>Where</th>
              <th>Pack</th>
              <th className="n">healthy</th>
              <th className="n">now</th>
            </tr>
          </thead>
          <tbody>
            {solved.now.map((p, i) => {
              const was = solved.healthy.find((h) => h.id === p.id) ?? solved.healthy[i]!;
              return (
                <tr key={p.id} style={{ fontWeight: readsAlike(p.value, was.value) ? 400 : 650 }}>
                  <td>{p.where}</td>
                  <td>{p.powered ? 'in, behind 2 A' : 'out'}</td>
                  <td className="n">{probeWords(was)}</td>
                  <td className="n">{probeWords(p)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </>
  );
}

export function probeWords({ value, unit }: Probe): string {
  if (value === null) return unit === 'ohm' ? 'no end' : 'none';
  return unit === 'ohm' && value >= 1000 ? `${(value / 1000).toFixed(1)} kilohm` : `${value} ${unit}`;
}
