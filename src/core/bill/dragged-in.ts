import { askedMicrofarads } from '../circuit/esc-capacitor';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { capacitorMicrofarads, capacitorVolts } from '../trade/capacitor';
import { flag } from '../quantity/truth';
import { motorAmps, packVolts } from '../circuit/packs';
import { stacked } from '../sets/roles';
import { massIncludes } from '../trade/mass-words';
import { spares, sundries } from '../trade/sundries';
import { wireGramsPerM } from '../trade/wire';
import type { Hookup } from '../wiring/hookup';
import { wireList } from './wire-list';

/** A small thing that no list of parts names, but without which nothing flies. `cents` and `grams` are for the whole line. */
export interface Sundry {
  key: string;
  what: string;
  quantity: number;
  unit: string;
  cents: number;
  grams: number;
  why: string;
}

/**
 * Wire by gauge, heat shrink, housings, capacitor, standoffs and isolators that a hookup drags in: weighed by rung 8, paid for by rung 9, listed in the
 * basket. Spares, by policy, are paid for but do not fly.
 */
export function draggedIn(build: Build, board: Board, hookup: Hookup): Sundry[] {
  return [
    ...wires(build, board, hookup),
    ...housings(build, board),
    ...packLeads(build, board),
    ...capacitor(build, board),
    ...fixings(build, board),
  ];
}

interface Price {
  cents: number;
  grams: number;
}

function sundry(
  key: string,
  what: string,
  unit: string,
  flown: number,
  spare: number,
  each: Price,
  why: string,
): Sundry {
  const quantity = Math.round((flown + spare) * 100) / 100;
  return {
    key,
    what,
    quantity,
    unit,
    cents: Math.round(quantity * each.cents),
    grams: Math.round(flown * each.grams * 100) / 100,
    why: `${why}${spareWords(spare, unit)}`,
  };
}

function spareWords(spare: number, unit: string): string {
  const inMm = unit === 'm';
  const said = Math.round(inMm ? 1000 * spare : spare);
  return said > 0 ? `, ${said}${inMm ? ' mm' : ''} to spare` : '';
}

function wires(build: Build, board: Board, hookup: Hookup): Sundry[] {
  const list = wireList(build, board, hookup);
  const gauges = [...new Set(list.map((w) => w.gauge))].sort((a, b) => a - b);
  const lines = gauges.map((gauge) => {
    const mine = list.filter((w) => w.gauge === gauge);
    const metres = mine.reduce((sum, w) => sum + w.lengthMm, 0) / 1000;
    // Sold by the tenth of a metre.
    const bought = Math.ceil(metres * (1 + spares[build.policies.spares].wire) * 10 - 1e-6) / 10;
    return sundry(
      `wire ${gauge}`,
      `Wire, ${gauge} AWG, silicone`,
      'm',
      metres,
      bought - metres,
      { cents: sundries.wirePerM(gauge).cents, grams: wireGramsPerM(gauge) },
      `${mine.length} ${mine.length === 1 ? 'wire' : 'wires'} of ${Math.round(metres * 1000)} mm in all`,
    );
  });
  return list.length === 0
    ? []
    : [
        ...lines,
        sundry(
          'shrink',
          'Heat shrink, one a joint',
          'piece',
          list.length,
          0,
          sundries.heatShrinkPerJoint,
          'one for every wire',
        ),
      ];
}

/** The leads between board and pack plug, where the buyer says how thick they are and the board's mass does not say that it includes them. */
function packLeads(build: Build, board: Board): Sundry[] {
  const { leadGauge, leadMm } = build.pack;
  if (leadGauge === undefined || massIncludes(board.massIncludes, /lead|cable|wire/i) === 'yes') return [];
  const metres = (2 * leadMm) / 1000;
  return [
    sundry(
      'pack leads',
      `Pack leads, ${leadGauge} AWG`,
      'm',
      metres,
      0,
      { cents: sundries.wirePerM(leadGauge).cents, grams: wireGramsPerM(leadGauge) },
      `out and back, ${leadMm} mm each`,
    ),
  ];
}

function housings(build: Build, board: Board): Sundry[] {
  if (build.policies.joints !== 'plugs') return [];
  const families = new Map<string, number>();
  for (const plug of [...build.parts.flatMap((p) => p.peripheral.plugs), ...board.plugs])
    families.set(plug.family, (families.get(plug.family) ?? 0) + plug.pins.length);
  return [...families].map(([family, pins]) =>
    sundry(
      `housing ${family}`,
      `Housings with pins, ${family}`,
      'pin',
      pins,
      pins * spares[build.policies.spares].sets,
      {
        cents: sundries.pin.cents + sundries.housing.cents / pins,
        grams: sundries.pin.grams + sundries.housing.grams / pins,
      },
      'plugs, by policy',
    ),
  );
}

function capacitor(build: Build, board: Board): Sundry[] {
  if (build.capacitor || board.capacitor || build.motors.count === 0) return [];
  const volts = capacitorVolts(packVolts(build).high);
  const what = `Capacitor, ${capacitorMicrofarads(build.motors.count * motorAmps(build).peak, askedMicrofarads(build, board))} uF, ${volts} V`;
  return [
    sundry(
      'capacitor',
      what,
      'piece',
      1,
      spares[build.policies.spares].sets,
      sundries.capacitor,
      'at the pack leads; none is delivered with the board',
    ),
  ];
}

/** One at each corner of the controller. */
export const isolators = 4;

function fixings(build: Build, board: Board): Sundry[] {
  const soft = flag(board.mounting.softIsolators);
  const spare = spares[build.policies.spares].fixings;
  return [
    sundry(
      'standoffs',
      soft === 'yes' ? 'Standoffs under the isolators' : 'Standoffs',
      'piece',
      4 * stacked(board).length,
      spare,
      sundries.standoff,
      board.members ? 'one at each corner of every board of the stack' : 'one at each corner',
    ),
    // Where nobody says, they may come with the board: then they stand among what nobody listed (unlisted.ts).
    ...(soft !== 'no'
      ? []
      : [
          sundry(
            'isolators',
            'Soft isolators',
            'piece',
            isolators,
            spare,
            sundries.isolator,
            'none is delivered with the board',
          ),
        ]),
  ];
}
