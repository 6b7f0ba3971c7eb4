import type { Board } from '../records/board';
import type { Build } from '../records/build';
import type { Hookup, WiredPart } from '../wiring/hookup';
import { pinOf } from '../circuit/plug-pins';
import { routeMm } from '../circuit/route';
import { dropVolts, gaugeFor } from '../trade/wire';
import { num, type Finding } from './finding';

/** Rung 7, the way from pad to part: the pins of the plug, and the wire and its ground return. */
export function checkWires(build: Build, board: Board, hookup: Hookup): Finding[] {
  return hookup.parts.flatMap((p) =>
    p.supply
      ? [
          ...pins(board, p),
          ...wire(
            p,
            routeMm(
              build,
              board,
              build.parts.find((x) => x.id === p.id),
              p.supply.pads[0] ?? null,
            ),
          ),
        ]
      : [],
  );
}

function pins(board: Board, part: WiredPart): Finding[] {
  const rail = board.rails.find((r) => r.id === part.supply!.rail);
  const pin = rail && part.supply!.pads[0] !== undefined ? pinOf(board, rail, part.supply!.pads[0]) : null;
  if (!pin) return [];
  const { peakAmps: peak, unsaid } = part.supply!;
  const { amps, sharing, plug, family } = pin;
  let state: 'unknown' | 'holds' | 'strained';
  if (unsaid) state = 'unknown';
  else if (peak > 0.9 * amps) state = 'strained';
  else state = 'holds';
  return [
    {
      rung: 7,
      state,
      code: 'plug pin',
      about: part.name,
      sentence: `${part.name} draws ${unsaid ? 'nobody says how much' : `up to ${num(peak, 2)} A`} through ${sharing} pin${sharing === 1 ? '' : 's'} of the ${plug.label} plug, and back through as many for ground; ${family.family} pins carry ${num(family.ampsPerPin, 1)} A each.`,
      needed: unsaid ? 'unknown' : `${num(peak, 2)} A`,
      given: `${num(amps, 1)} A`,
      ...(unsaid ? {} : { margin: (amps - peak) / amps }),
      grounds: [],
    },
  ];
}

/** A drop of more than a twentieth of the rail wants a thicker or a shorter wire. */
function wire(part: WiredPart, mm: number): Finding[] {
  const { peakAmps, volts } = part.supply!;
  const gauge = gaugeFor(peakAmps);
  if (gauge === null)
    return [
      {
        rung: 7,
        state: 'strained',
        code: 'wire too thin',
        about: part.name,
        sentence: `${part.name} draws ${num(peakAmps, 0)} A: no single wire of the table carries that; run two.`,
        grounds: [],
      },
    ];
  const lost = dropVolts(gauge, mm, peakAmps);
  if (!Number.isFinite(volts.low) || lost <= 0.05 * volts.low) return [];
  return [
    {
      rung: 7,
      state: 'strained',
      code: 'wire loses volts',
      about: part.name,
      sentence: `${num(mm, 0)} mm of ${gauge} AWG out and back lose ${num(lost, 2)} V of ${num(volts.low, 1)} V at ${part.name}'s peak: take a thicker wire.`,
      grounds: [],
    },
  ];
}
