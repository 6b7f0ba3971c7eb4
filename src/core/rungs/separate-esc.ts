import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { exactly, interval, isKnown } from '../quantity/figure';
import { atLeast } from '../quantity/truth';
import { ground } from '../quantity/ground';
import { enoughDrawn, undrawn } from '../circuit/all-pads';
import { meetings } from '../trade/harness';
import { escAgainstMotors, type EscFigures } from './esc-amps';
import { counted, list, num, stateOf, type Finding } from './finding';

/** What rung 3 asks where the ESCs are separate. */
export function separateEscs(build: Build, board: Board): Finding[] {
  return [outputs(build, board), ...idle(board), ...ownEsc(build, board)];
}

/** Nothing breaks by it, but few would want it. */
function idle({ esc, kind }: Board): Finding[] {
  if (!esc) return [];
  const fix =
    kind === 'stack'
      ? 'The controller of this stack alone, where a shop sells it; or ESCs on the board, where its channels are enough.'
      : 'ESCs on the board, where its channels are enough.';
  return [
    {
      rung: 3,
      state: 'strained',
      code: 'esc on the board',
      about: 'ESC on the board',
      sentence: 'The build counts on separate ESCs: the one on the board is paid for and carried for nothing.',
      grounds: [],
      fix,
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
    sentence: `${count === 1 ? 'The separate ESC needs a motor output' : `${count} separate ESCs need a motor output each`}; ${truth === 'unknown' ? `${there} are drawn, and ${undrawn}` : `the board has ${there}`}.`,
    needed: counted(count, 'output'),
    given: counted(there, 'output'),
    grounds: [],
  };
}

/** The buyer's own ESC: its channels, amps and cells, and the order of its plug. */
function ownEsc(build: Build, board: Board): Finding[] {
  const esc = build.motors.ownEsc;
  if (!esc) return [];
  const figures: EscFigures = { ...esc, channels: { value: esc.channels, origin: 'manual' } };
  const cells = atLeast(interval(esc.maxCells), exactly(build.pack.cells));
  return [
    ...escAgainstMotors(build, figures, esc.name),
    {
      rung: 3,
      state: stateOf(cells),
      code: 'esc cells',
      about: 'ESC cells',
      sentence: `The pack has ${counted(build.pack.cells, 'cell')}; ${isKnown(esc.maxCells) ? `${esc.name} takes ${num(interval(esc.maxCells).low, 0)}` : `nobody says how many ${esc.name} takes`}.`,
      needed: counted(build.pack.cells, 'cell'),
      given: counted(interval(esc.maxCells).low, 'cell'),
      grounds: [ground('Most cells of the ESC', esc.maxCells)],
    },
    ...harness(build, board),
  ];
}

/** Pin by pin: what would meet what if the ESC's harness were plugged straight in. */
function harness(build: Build, board: Board): Finding[] {
  const pins = build.motors.ownEsc!.pins;
  const own = board.escPlug?.pins ?? [];
  if (pins.length === 0) return [];
  if (own.length === 0)
    return [
      {
        rung: 3,
        state: 'strained',
        code: 'esc harness',
        about: 'ESC harness',
        sentence: 'The board has no plug for a four-in-one ESC: its wires are soldered one by one.',
        grounds: [],
      },
    ];
  const meets = meetings(own, pins);
  if (meets.length === 0)
    return [
      {
        rung: 3,
        state: 'holds',
        code: 'esc harness',
        about: 'ESC harness',
        sentence: 'Both ends of the ESC harness have the same pin order.',
        grounds: [],
      },
    ];
  const burns = meets.filter((m) => m.burns);
  const first = (burns.length > 0 ? burns : meets).slice(0, 2).map((m) => `${m.board} would meet ${m.esc}`);
  return [
    {
      rung: 3,
      state: 'strained',
      code: 'esc harness',
      about: 'ESC harness',
      sentence: `The pin orders differ at ${counted(meets.length, 'pin')}. Plugged straight, ${list(first)}${burns.length > 0 ? ': that burns a board' : ''}. Re-pin the plug first; the build sheet has the table.`,
      needed: own.join(' '),
      given: pins.join(' '),
      grounds: [],
    },
  ];
}
