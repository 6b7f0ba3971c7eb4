import type { Board } from '../records/board';
import { bought } from '../sets/roles';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import { fullVolts } from '../trade/cell';
import { plugFamily } from '../trade/plug';
import { processors } from '../trade/processor';
import type { Finding } from './finding';
import type { DoubtSays } from './says/doubt-says';

/** A figure that cannot be true as it stands, or that wants a second look. */
export interface Doubt {
  field: string;
  says: DoubtSays;
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
      says: d.says,
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
  return [
    {
      field: 'claimedPorts',
      rung: 4,
      impossible: claimed > mostPorts,
      says: { code: 'ports beyond the processor', claimed, family, usual: usualPorts, most: mostPorts },
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
      says: {
        code: 'lighter than bare',
        massG: mass,
        lengthMm: interval(board.lengthMm).low,
        widthMm: interval(board.widthMm).low,
        bareG: bare,
      },
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
          says: { code: 'linear too hot', rail: rail.label, amps, outVolts: out, cells, watts },
        });
    }
    const parent = input?.source.kind === 'regulator' ? known(input.source.outVolts) : null;
    if (parent !== null && out !== null && out > parent && (s.type === 'buck' || s.type === 'linear'))
      doubts.push({
        field: `rails[${i}].source.outVolts`,
        rung: 6,
        impossible: true,
        says: { code: 'more volts out than in', rail: rail.label, outVolts: out, inVolts: parent },
      });
    if (amps !== null && amps > 6)
      doubts.push({
        field: `rails[${i}].source.ratedAmps`,
        rung: 7,
        impossible: false,
        says: { code: 'strong regulator', rail: rail.label, amps },
      });
    const eta = s.efficiency ? known(s.efficiency) : null;
    if (eta !== null && eta > 0.99)
      doubts.push({
        field: `rails[${i}].source.efficiency`,
        rung: 7,
        impossible: true,
        says: { code: 'efficiency', rail: rail.label, share: eta },
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
          says: {
            code: 'rail beyond its pins',
            rail: rail.label,
            amps,
            pins,
            plug: plug.label,
            pinAmps: pins * family.ampsPerPin,
          },
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
      says: { code: 'burst below continuous', burstAmps: burst, continuousAmps: cont },
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
      says: { code: 'volts below its cells', cells, volts, fullVolts: fullVolts(cells) },
    },
  ];
}

function known(figure: NumberFigure): number | null {
  const { low } = interval(figure);
  return Number.isFinite(low) ? low : null;
}
