import type { Board } from '../records/board';
import { suppliedName, type Hookup, type WiredSupply } from '../wiring/hookup';
import { railPlugs, type RailPlug } from '../circuit/plug-pins';
import { gaugeFor } from '../trade/wire';
import { num } from '../quantity/spelled';
import { type Finding } from './finding';

/** Rung 7, the way from pad to part: the pins of the plug, and the wire and its ground return. */
export function checkWires(board: Board, hookup: Hookup): Finding[] {
  return [
    ...pins(board, hookup),
    ...hookup.parts.flatMap((p) => p.supplies.flatMap((s) => wire(suppliedName(p, s), s))),
  ];
}

/** What goes over the pins of each plug, from all parts that are joined there, and from those that these feed. */
function pins(board: Board, hookup: Hookup): Finding[] {
  return board.rails.flatMap((rail) =>
    railPlugs(board, rail).flatMap((by): Finding[] => {
      const joined = suppliesIn(hookup).filter(
        ({ supply }) => supply.rail === rail.id && by.pads.includes(supply.pads[0] ?? ''),
      );
      return joined.length > 0 ? [overPins(by, joined, hookup)] : [];
    }),
  );
}

interface Joined {
  part: string;
  name: string;
  supply: WiredSupply;
}

function suppliesIn({ parts }: Hookup): Joined[] {
  return parts.flatMap((p) => p.supplies.map((supply) => ({ part: p.id, name: suppliedName(p, supply), supply })));
}

function overPins({ plug, family, pads, amps, groundAmps }: RailPlug, joined: Joined[], hookup: Hookup): Finding {
  const guests = suppliesIn(hookup).filter(({ supply }) => joined.some((j) => j.part === supply.throughHost?.host));
  const peak =
    joined.reduce((sum, { supply }) => sum + supply.peakAmps, 0) +
    guests.reduce((sum, { supply }) => sum + (supply.throughHost?.amps ?? 0), 0);
  const most = Math.min(amps, groundAmps ?? Infinity);
  const unsaid = [...joined, ...guests].some(({ supply }) => supply.unsaid);
  let state: 'unknown' | 'holds' | 'strained' = 'holds';
  if (unsaid) state = 'unknown';
  else if (peak > 0.9 * most) state = 'strained';
  return {
    rung: 7,
    state,
    code: 'plug pin',
    about: plug.label,
    says: {
      code: 'over the pins',
      parts: [...joined, ...guests].map((p) => p.name),
      amps: unsaid ? null : peak,
      pins: pads.length,
      plug: plug.label,
      groundPins: groundAmps === null ? null : Math.round(groundAmps / family.ampsPerPin),
      family: family.family,
      ampsPerPin: family.ampsPerPin,
    },
    needed: unsaid ? 'unknown' : `${num(peak, 2)} A`,
    given: `${num(most, 1)} A`,
    ...(unsaid ? {} : { margin: (most - peak) / most }),
    grounds: [],
  };
}

/** A drop of more than a twentieth of the rail is a lot for a part that still gets what it wants. */
function wire(name: string, { peakAmps, volts, gauge, lostVolts }: WiredSupply): Finding[] {
  if (gaugeFor(peakAmps) === null)
    return [
      {
        rung: 7,
        state: 'strained',
        code: 'wire too thin',
        about: name,
        says: { code: 'no wire carries it', part: name, amps: peakAmps },
        grounds: [],
      },
    ];
  if (!Number.isFinite(volts.low) || volts.low <= 0 || lostVolts <= 0.05 * volts.low) return [];
  return [
    {
      rung: 7,
      state: 'strained',
      code: 'wire loses volts',
      about: name,
      says: { code: 'wire loses volts', part: name, gauge, lostVolts, railVolts: volts.low },
      grounds: [],
    },
  ];
}
