import type { Board } from '../records/board';
import type { Build, OwnEsc } from '../records/build';
import { exactly, interval, isKnown, type NumberFigure } from '../quantity/figure';
import { atLeast } from '../quantity/truth';
import { ground } from '../quantity/ground';
import { enoughDrawn } from '../circuit/all-pads';
import { voltsOfCells } from '../trade/cell';
import { packCells, packVolts } from '../circuit/packs';
import { meetings } from '../trade/harness';
import { plugFamily } from '../trade/plug';
import { isRigid } from '../sets/feed';
import { piecesOf } from '../sets/pieces';
import { escAgainstMotors, padLimit } from './esc-amps';
import { counted, num } from '../quantity/spelled';
import { stateOf, type Finding } from './finding';

/** What rung 3 asks where the ESCs are separate. */
export function separateEscs(build: Build, board: Board): Finding[] {
  return [outputs(build, board), ...idle(board), ...ownEsc(build, board)];
}

/** Nothing breaks by it, but few would want it. */
function idle({ esc, kind }: Board): Finding[] {
  if (!esc) return [];
  return [
    {
      rung: 3,
      state: 'strained',
      code: 'esc on the board',
      about: 'ESC on the board',
      says: { code: 'ESC on the board idle' },
      grounds: [],
      fix: { code: 'ESCs on the board', orControllerAlone: kind === 'stack' },
    },
  ];
}

function outputs(build: Build, board: Board): Finding {
  const there = board.outputs.filter((o) => o.can.includes('motor')).length;
  const { count } = build.motors;
  const truth = enoughDrawn(board, there, count);
  return {
    rung: 3,
    state: stateOf(truth),
    code: 'motor outputs',
    about: 'Motor outputs',
    says: { code: 'outputs for separate ESCs', escs: count, there, drawn: truth },
    needed: counted(count, 'output'),
    given: counted(there, 'output'),
    grounds: [],
  };
}

/** Of all of them together. */
function channelsOf({ channels, count }: OwnEsc): NumberFigure {
  if (typeof channels === 'number') return { value: channels * count, origin: 'manual' };
  if (!isKnown(channels)) return channels;
  const { low, high } = interval(channels);
  return { low: low * count, high: high * count, origin: channels.origin };
}

/** The buyer's own ESC: its channels, amps and cells, and the order of its plug. */
function ownEsc(build: Build, board: Board): Finding[] {
  const esc = build.motors.ownEsc;
  if (!esc) return [unnamed(build)];
  return [...escFindings(build), ...harness(build, board)];
}

/** What the separate ESC of a build says, whatever it is plugged into. */
export function escFindings(build: Build): Finding[] {
  const esc = build.motors.ownEsc;
  if (!esc) return [];
  return [
    ...escAgainstMotors(build, { ...esc, channels: channelsOf(esc) }, esc.name),
    ...padLimit(build, esc.padAmps),
    escVolts(build, esc),
  ];
}

function unnamed({ motors }: Build): Finding {
  return {
    rung: 3,
    state: 'unknown',
    code: 'esc not named',
    about: 'ESCs',
    says: { code: 'ESC not named', motors: motors.count },
    needed: counted(motors.count, 'channel'),
    given: 'unknown',
    fix: { code: 'name your ESC' },
    grounds: [],
  };
}

/** A stated limit in volts counts; else so many plain cells, as for a board. */
function escVolts(build: Build, esc: OwnEsc): Finding {
  const full = packVolts(build).high;
  const cells = interval(esc.maxCells);
  const stated = esc.maxVolts && isKnown(esc.maxVolts) ? esc.maxVolts : null;
  const stands = stated ? interval(stated) : voltsOfCells(cells);
  const truth = atLeast(stands, exactly(full));
  return {
    rung: 3,
    state: stateOf(truth),
    code: 'esc cells',
    about: 'ESC volts',
    says: {
      code: 'volts of the ESC',
      cells: packCells(build).high,
      fullVolts: full,
      esc: esc.name,
      standsVolts: stands.low,
      standsCells: stated ? null : cells.low,
    },
    needed: `${num(full, 2)} V`,
    given: `${num(stands.low, 2)} V`,
    grounds: [stated ? ground('Most volts of the ESC', stated, 'V') : ground('Most cells of the ESC', esc.maxCells)],
  };
}

/** Pin by pin: what would meet what if the ESC's harness were plugged straight in. */
function harness(build: Build, board: Board): Finding[] {
  const pins = build.motors.ownEsc!.pins;
  const own = board.escPlug?.pins ?? [];
  const pieces = piecesOf(board);
  // What sits board to board has no plug to re-pin.
  if (pins.length === 0 || (pieces && isRigid(pieces))) return [];
  if (own.length === 0)
    return [
      {
        rung: 3,
        state: 'strained',
        code: 'esc harness',
        about: 'ESC harness',
        says: { code: 'no plug for an ESC' },
        grounds: [],
      },
    ];
  const meets = meetings(own, pins);
  const families = otherFamily(build.motors.ownEsc!.plugFamily, board.escPlug?.family);
  if (meets.length === 0)
    return [
      ...families,
      {
        rung: 3,
        state: 'holds',
        code: 'esc harness',
        about: 'ESC harness',
        says: { code: 'pin orders alike' },
        grounds: [],
      },
    ];
  const burns = meets.filter((m) => m.burns);
  const first = (burns.length > 0 ? burns : meets).slice(0, 2);
  return [
    ...families,
    {
      rung: 3,
      state: 'strained',
      code: 'esc harness',
      about: 'ESC harness',
      says: {
        code: 'pin orders differ',
        pins: meets.length,
        meet: first.map((m) => ({ board: m.board, esc: m.esc })),
        burns: burns.length > 0,
      },
      needed: own.join(' '),
      given: pins.join(' '),
      grounds: [],
    },
  ];
}

/** Plugs of two families do not go into each other. */
function otherFamily(esc: string | undefined, board: string | undefined): Finding[] {
  if (!esc || !board) return [];
  const same =
    (plugFamily(esc)?.family ?? esc.trim().toUpperCase()) === (plugFamily(board)?.family ?? board.trim().toUpperCase());
  if (same) return [];
  return [
    {
      rung: 3,
      state: 'strained',
      code: 'esc harness',
      about: 'ESC plug',
      says: { code: 'plugs of two families', esc, board },
      needed: esc,
      given: board,
      grounds: [],
    },
  ];
}
