import type { Board } from '../records/board';
import { bought } from '../sets/roles';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import { fullVolts } from '../trade/cell';
import { plugFamily } from '../trade/plug';
import { processors } from '../trade/processor';
import { railWords } from '../circuit/rail-words';
import { capital, num, type Finding } from './finding';

/** A figure that cannot be true as it stands, or that wants a second look. */
export interface Doubt {
  field: string;
  sentence: string;
  /** It cannot be true; else it is only unlikely. */
  impossible: boolean;
  rung: Finding['rung'];
}

/** Grams a square centimetre of a bare four-layer board of 1.0 mm: 1.85 g/cm3 (FR-4, handbook) and the copper. */
const bareGramsPerCm2 = 0.2;

/** Rules for figures that cannot be true. They read the board alone, so the shelf can show them before any build asks. */
export function doubtsAbout(board: Board): Doubt[] {
  return [
    ...portsBeyondProcessor(board),
    ...tooLight(board),
    ...regulators(board),
    ...plugPins(board),
    ...escFigures(board),
    ...packLimit(board),
  ];
}

/** What cannot be true is not believed: the rung that leans on it is unknown. */
export function sanityFindings(board: Board): Finding[] {
  return bought(board).flatMap((m) =>
    doubtsAbout(m.board).map((d) => ({
      rung: d.rung,
      state: d.impossible ? 'unknown' : 'strained',
      code: 'a figure in doubt',
      about: 'A figure in doubt',
      sentence: d.sentence,
      grounds: [],
      ...(board.members ? { member: m.board.id } : {}),
    })),
  );
}

function portsBeyondProcessor(board: Board): Doubt[] {
  if (!('value' in board.processor) || !isKnown(board.claimedPorts)) return [];
  const claimed = interval(board.claimedPorts).low;
  const { usualPorts, mostPorts, family } = processors[board.processor.value];
  if (claimed <= usualPorts) return [];
  const most =
    claimed > mostPorts
      ? `no ${family} processor of the trade has more than ${mostPorts}`
      : `the usual ${family} processors have ${usualPorts}, only the largest up to ${mostPorts}`;
  return [
    {
      field: 'claimedPorts',
      rung: 4,
      impossible: claimed > mostPorts,
      sentence: `The board claims ${num(claimed, 0)} serial ports; ${most}. Ask which of them are soft serial.`,
    },
  ];
}

function tooLight(board: Board): Doubt[] {
  if (![board.massG, board.lengthMm, board.widthMm].every(isKnown)) return [];
  const area = (interval(board.lengthMm).low * interval(board.widthMm).low) / 100;
  // Corners, slots and holes take away up to two fifths.
  const bare = 0.6 * area * bareGramsPerCm2 * (board.kind === 'stack' ? 2 : 1);
  const mass = interval(board.massG).high;
  if (mass >= bare) return [];
  return [
    {
      field: 'massG',
      rung: 8,
      impossible: true,
      sentence: `${num(mass)} g is less than a bare board of ${num(interval(board.lengthMm).low)} x ${num(interval(board.widthMm).low)} mm weighs (about ${num(bare)} g).`,
    },
  ];
}

function regulators(board: Board): Doubt[] {
  return board.rails.flatMap((rail, i): Doubt[] => {
    const s = rail.source;
    if (s.kind !== 'regulator') return [];
    const doubts: Doubt[] = [];
    const input = board.rails.find((r) => r.id === s.input);
    const amps = known(s.ratedAmps);
    const out = known(s.outVolts);
    const cells = known(board.packCells.max);
    if (s.type === 'linear' && input?.source.kind === 'pack' && amps !== null && out !== null && cells !== null) {
      const watts = (fullVolts(cells) - out) * amps;
      if (watts >= 5)
        doubts.push({
          field: `rails[${i}].source.ratedAmps`,
          rung: 7,
          // The load rung holds what is really drawn to what its heat allows.
          impossible: false,
          sentence: `${capital(railWords(rail.label))}: a linear regulator giving ${num(amps)} A at ${num(out)} V from a full ${num(cells, 0)}-cell pack would burn ${num(watts, 0)} W; it cannot, so less counts.`,
        });
    }
    const parent = input?.source.kind === 'regulator' ? known(input.source.outVolts) : null;
    if (parent !== null && out !== null && out > parent && (s.type === 'buck' || s.type === 'linear'))
      doubts.push({
        field: `rails[${i}].source.outVolts`,
        rung: 6,
        impossible: true,
        sentence: `${capital(railWords(rail.label))} is said to give ${num(out)} V out of a rail of ${num(parent)} V; bucks and linear regulators only go down.`,
      });
    if (amps !== null && amps > 6)
      doubts.push({
        field: `rails[${i}].source.ratedAmps`,
        rung: 7,
        impossible: false,
        sentence: `${capital(railWords(rail.label))}: ${num(amps)} A is more than a regulator of this size usually gives; ask for how long.`,
      });
    const eta = s.efficiency ? known(s.efficiency) : null;
    if (eta !== null && eta > 0.99)
      doubts.push({
        field: `rails[${i}].source.efficiency`,
        rung: 7,
        impossible: true,
        sentence: `${capital(railWords(rail.label))}: an efficiency of ${num(eta * 100, 0)} % is not to be had.`,
      });
    return doubts;
  });
}

/** A pin asked for more than its family carries: the rail behind it is rated higher than its only way out. */
function plugPins(board: Board): Doubt[] {
  return board.plugs.flatMap((plug, i) => {
    const family = plugFamily(plug.family);
    if (!family) return [];
    return board.rails.flatMap((rail): Doubt[] => {
      const pins = plug.pins.filter((p) => p.pad && rail.pads.includes(p.pad)).length;
      const outside = rail.pads.some((id) => !plug.pins.some((p) => p.pad === id));
      const amps = rail.source.kind === 'regulator' ? known(rail.source.ratedAmps) : null;
      if (pins === 0 || outside || amps === null || amps <= pins * family.ampsPerPin) return [];
      return [
        {
          field: `plugs[${i}]`,
          rung: 7,
          impossible: false,
          sentence: `${capital(railWords(rail.label))} is rated ${num(amps)} A, but leaves the board only by ${pins} pin${pins === 1 ? '' : 's'} of the ${plug.label} plug, good for ${num(pins * family.ampsPerPin)} A.`,
        },
      ];
    });
  });
}

function escFigures(board: Board): Doubt[] {
  if (!board.esc) return [];
  const cont = known(board.esc.continuousAmps);
  const burst = known(board.esc.burstAmps);
  if (cont === null || burst === null || burst >= cont) return [];
  return [
    {
      field: 'esc.burstAmps',
      rung: 3,
      impossible: true,
      sentence: `A burst of ${num(burst)} A below the continuous ${num(cont)} A cannot be: the two are swapped, or one is wrong.`,
    },
  ];
}

function packLimit(board: Board): Doubt[] {
  const volts = board.packMaxVolts ? known(board.packMaxVolts) : null;
  const cells = known(board.packCells.max);
  if (volts === null || cells === null || volts >= fullVolts(cells)) return [];
  return [
    {
      field: 'packMaxVolts',
      rung: 2,
      impossible: true,
      sentence: `The board claims ${num(cells, 0)} cells and at most ${num(volts, 1)} V; ${num(cells, 0)} full cells are ${num(fullVolts(cells), 1)} V.`,
    },
  ];
}

function known(figure: NumberFigure): number | null {
  const { low } = interval(figure);
  return Number.isFinite(low) ? low : null;
}
