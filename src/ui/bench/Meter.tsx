import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { parseAsString, parseAsStringLiteral, useQueryState } from 'nuqs';
import { useMemo, useState } from 'react';
import {
  asItLies,
  benchOf,
  drawHookup,
  figuresRead,
  firstSpots,
  meterReads,
  spotsOn,
  stateWith,
  voltsAt,
  wireList,
  type MeterKind,
  type Spot,
} from '@/core';
import type { Chosen } from '../after/use-chosen';
import { SaysWho } from '../board/SaysWho';
import { FaceFigure } from '../hookup/FaceFigure';
import { Faces } from '../hookup/Faces';
import { useRoom } from '../room/store';
import { OneOf } from './OneOf';
import { FaultChoice, useFault } from './FaultChoice';

const kinds = ['volts', 'ohms', 'amps'] as const;

/** The hookup as the meter's table: two probes on any two pads or pins, nets coloured by their volts. */
export function Meter(chosen: Chosen) {
  const { board, climb } = chosen;
  const { build } = useRoom('build');
  const choice = useFault(chosen);
  const bench = useMemo(() => benchOf(build, board, climb), [build, board, climb]);
  const state = useMemo(() => stateWith(bench, choice.fault.id), [bench, choice.fault.id]);
  const spots = useMemo(() => spotsOn(bench), [bench]);
  const [kind, setKind] = useQueryState('read', parseAsStringLiteral(kinds).withDefault('volts'));
  const [redAt, setRed] = useQueryState('red', parseAsString);
  const [who, setWho] = useState(false);
  const [blackAt, setBlack] = useQueryState('black', parseAsString);
  const first = firstSpots(spots);
  if (!first) return <Box>The board has no pads drawn, so there is nowhere to hold a meter.</Box>;
  const red = spots.find((s) => s.id === redAt) ?? first.red;
  const black = spots.find((s) => s.id === blackAt) ?? first.black;
  const figures = figuresRead(state, red, black);
  const lying = asItLies(bench.build, bench.board);
  const wires = wireList(bench.build, bench.board, bench.hookup);
  const faces = drawHookup(lying, bench.hookup, wires, { stubs: true });
  const reading = meterReads(state, kind, red, black);
  const most = Math.max(1, ...spots.map((s) => Math.abs(voltsAt(state, s) ?? 0)));
  const inks = new Map(
    spots.flatMap((s) => {
      const v = voltsAt(state, s);
      return s.pad !== undefined && v !== null ? [[s.pad, inkOf(v, most)] as const] : [];
    }),
  );
  const marks = new Map<string, string>();
  if (red.pad !== undefined) marks.set(red.pad, 'red');
  if (black.pad !== undefined) marks.set(black.pad, red.pad === black.pad ? 'both' : 'black');
  // A click moves the red probe; on the red one, the black.
  const pick = (pad: string) => {
    const spot = spots.find((s) => s.pad === pad);
    if (!spot) return;
    if (spot.id === red.id) void setBlack(spot.id);
    else void setRed(spot.id);
  };
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <OneOf of={kinds} at={kind} says={(k) => k} onPick={(k) => void setKind(k)} />
        <FaultChoice {...choice} />
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', my: 1 }}>
        <ProbeAt label="Red probe" spots={spots} at={red} onPut={(id) => void setRed(id)} />
        <Button onClick={() => (void setRed(black.id), void setBlack(red.id))}>Swap</Button>
        <ProbeAt label="Black probe" spots={spots} at={black} onPut={(id) => void setBlack(id)} />
      </Box>
      <Box
        role="status"
        aria-label="The meter shows"
        sx={{ fontSize: 22, fontWeight: 640, fontVariantNumeric: 'tabular-nums' }}
      >
        {readingWords(reading.value, reading.unit, kind)}
        <Box component="span" sx={{ fontSize: 12.5, fontWeight: 400, color: 'text.secondary', ml: 1.5 }}>
          {reading.words}
        </Box>
      </Box>
      <Button aria-expanded={who} onClick={() => setWho(!who)}>
        Says who?
      </Button>
      {who && figures.length === 0 && <Box>No figure of board or parts stands behind these two places.</Box>}
      {who && figures.length > 0 && <SaysWho grounds={figures} />}
      <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
        <Legend most={most} />
        <Faces faces={faces}>{(f) => <FaceFigure drawing={f} marks={marks} inks={inks} onPad={pick} />}</Faces>
      </Box>
      <table aria-label="Volts of every place against the board's ground">
        <thead>
          <tr>
            <th>Place</th>
            <th className="n">V against ground</th>
            <th>Probes</th>
          </tr>
        </thead>
        <tbody>
          {spots.map((s) => (
            <tr key={s.id}>
              <td>{s.words}</td>
              <td className="n">{voltWords(voltsAt(state, s))}</td>
              <td>
                <Button
                  aria-label={`Red probe on ${s.words}`}
                  aria-pressed={s.id === red.id}
                  onClick={() => void setRed(s.id)}
                >
                  red
                </Button>
                <Button
                  aria-label={`Black probe on ${s.words}`}
                  aria-pressed={s.id === black.id}
                  onClick={() => void setBlack(s.id)}
                >
                  black
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function ProbeAt({ label, spots, at, onPut }: { label: string; spots: Spot[]; at: Spot; onPut: (id: string) => void }) {
  return (
    <Select
      value={at.id}
      onChange={(e) => onPut(e.target.value)}
      inputProps={{ 'aria-label': label }}
      sx={{ minWidth: 180 }}
      renderValue={() => `${label}: ${at.words}`}
    >
      {spots.map((s) => (
        <MenuItem key={s.id} value={s.id}>
          {s.words}
        </MenuItem>
      ))}
    </Select>
  );
}

function readingWords(value: number | null, unit: string, kind: MeterKind): string {
  if (value === null) return kind === 'ohms' ? 'no end' : 'no reading';
  return unit === 'ohm' && value >= 1000 ? `${(value / 1000).toFixed(1)} kilohm` : `${value} ${unit}`;
}

function voltWords(volts: number | null): string {
  return volts === null ? 'nothing joined' : volts.toFixed(2);
}

/** The more volts, the more copper; below ground in the colour of what breaks. */
function inkOf(volts: number, most: number): string {
  const share = Math.round(100 * Math.sqrt(Math.min(1, Math.abs(volts) / most)));
  return `color-mix(in oklab, ${volts < -0.05 ? 'var(--breaks)' : 'var(--copper)'} ${share}%, var(--paper))`;
}

function Legend({ most }: { most: number }) {
  const steps = [0, most / 16, most / 4, most];
  return (
    <Box sx={{ display: 'flex', gap: 1.5, fontSize: 12, color: 'text.secondary', alignItems: 'center' }}>
      <span>Volts of a pad:</span>
      {steps.map((v) => (
        <Box key={v} component="span" sx={{ display: 'inline-flex', gap: 0.5, alignItems: 'center' }}>
          <span style={{ width: 12, height: 12, border: '1px solid var(--ink)', background: inkOf(v, most) }} />
          {v.toFixed(v < 3 && v > 0 ? 1 : 0)} V
        </Box>
      ))}
      <span>Click a pad for the red probe, again for the black one.</span>
    </Box>
  );
}
