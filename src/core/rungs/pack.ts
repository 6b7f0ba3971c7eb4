import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { exactly, interval, isKnown } from '../quantity/figure';
import { atLeast } from '../quantity/truth';
import { ground } from '../quantity/ground';
import { planGrounds } from '../figures/plan-figures';
import { voltsOfCells } from '../trade/cell';
import { packCells, packsOf, packVolts } from '../circuit/packs';
import { comfort } from '../trade/comfort';
import { suppliesOf } from '../circuit/rail-tree';
import { num, span } from '../quantity/spelled';
import { marginOf, stateOf, stateWithin, type Finding } from './finding';

/** Rung 2: does the board survive the full pack and start on the empty one? */
export function checkPack(build: Build, board: Board): Finding[] {
  return [fullPack(build, board), emptyPack(build, board), ...inputs(build, board)];
}

/** A stated limit in volts counts; else "6S" is read as six cells, with nothing to spare promised or needed: plain ones at 4.20 V for certain, high-voltage ones perhaps. */
function fullPack(build: Build, board: Board): Finding {
  const { high } = packVolts(build);
  const stated = isKnown(board.packMaxVolts);
  const cells = interval(board.packCells.max);
  const limit = board.packMaxVolts && stated ? interval(board.packMaxVolts) : voltsOfCells(cells);
  const truth = atLeast(limit, { low: high, high });
  const margin = marginOf(limit.low, high);
  const state = stated ? stateWithin(truth, margin, comfort.packVolts) : stateOf(truth);
  const member = deciding(board, 'max');
  return {
    rung: 2,
    state,
    code: 'full pack',
    ...memberIs(member),
    about: 'Full pack',
    says: {
      code: 'full pack',
      cells: packsOf(build).map((p) => p.cells),
      fullVolts: high,
      member: member?.name ?? null,
      standsVolts: limit.low,
      standsCells: stated ? null : cells.low,
      margin: margin ?? null,
    },
    needed: `${num(high, 2)} V`,
    given: `${num(limit.low, 2)} V`,
    ...(margin === undefined || !stated ? {} : { margin }),
    grounds: [
      ...planGrounds(build, 'pack cells'),
      ...(stated ? [ground('Limit', board.packMaxVolts!, 'V')] : [ground('Most cells', board.packCells.max, 'cells')]),
      ...(state === 'unknown' && !stated ? [ground('Limit', { unknown: true }, 'V')] : []),
    ],
  };
}

function emptyPack(build: Build, board: Board): Finding {
  const cells = interval(board.packCells.min);
  const fewest = packCells(build).low;
  const truth = atLeast(exactly(fewest), cells);
  const state = stateOf(truth);
  const member = deciding(board, 'min');
  return {
    rung: 2,
    state,
    code: 'empty pack',
    ...memberIs(member),
    about: 'Empty pack',
    says: {
      code: 'empty pack',
      packs: packsOf(build).length,
      fewestCells: fewest,
      emptyVolts: packVolts(build).low,
      member: member?.name ?? null,
      fromCells: cells.low,
    },
    needed: `${num(cells.high, 0)} cells`,
    given: `${fewest} cells`,
    grounds: [...planGrounds(build, 'pack cells'), ground('Fewest cells', board.packCells.min, 'cells')],
  };
}

function memberIs(board: Board | undefined): Pick<Finding, 'member'> {
  return board ? { member: board.id } : {};
}

/** Of a set, the member whose figure decides. */
function deciding(board: Board, end: 'min' | 'max'): Board | undefined {
  const stated = end === 'max' && isKnown(board.packMaxVolts);
  return board.members?.find((m) =>
    stated ? m.board.packMaxVolts === board.packMaxVolts : m.board.packCells[end] === board.packCells[end],
  )?.board;
}

/** A regulator whose stated input ends below what reaches it, on every way it can be fed, is destroyed. */
function inputs(build: Build, board: Board): Finding[] {
  const stated = board.rails.filter((r) => r.source.kind === 'regulator' && r.source.inputVolts);
  if (stated.length === 0) return [];
  const supplies = suppliesOf(board, build);
  return stated.flatMap((rail): Finding[] => {
    const most = rail.source.kind === 'regulator' ? rail.source.inputVolts?.max : undefined;
    const reach = supplies.flatMap((s) =>
      s.rail.id === rail.id && s.regulators[0] ? [s.regulators[0].input.high] : [],
    );
    if (reach.length === 0 || !isKnown(most)) return [];
    const highest = reach.reduce((a, b) => (b.high < a.high ? b : a));
    const stands = interval(most);
    const given = span(stands.low, stands.high, 'V', 2);
    return [
      {
        rung: 2,
        state: stateOf(atLeast(stands, highest)),
        code: 'regulator input',
        about: rail.label,
        says: { code: 'regulator input', rail: rail.label, reachVolts: highest.high, standsVolts: stands },
        needed: `${num(highest.high, 2)} V`,
        given,
        grounds: [ground(`${rail.label}, most input`, most, 'V')],
      },
    ];
  });
}
