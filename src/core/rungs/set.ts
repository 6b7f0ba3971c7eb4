import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { harnessLine, hasLine, type HarnessLine } from '../trade/harness-line';
import { meetings } from '../trade/harness';
import type { Hookup } from '../wiring/hookup';
import { feedBridge, feedsOf, positionOf, isRigid, linesOfFiveMeet } from '../sets/feed';
import { piecesOf, type Pieces } from '../sets/pieces';
import { isSingleEsc, memberOf } from '../sets/roles';
import { sensingOf } from '../sets/sensing';
import { counted, list, type Finding } from './finding';

/** What is asked of boards that are bought together: the lines between them, their sources of 5 V, and that nothing is paid for twice. */
export function checkSet(build: Build, board: Board, hookup: Hookup): Finding[] {
  const pieces = piecesOf(board);
  if (!pieces) return [];
  return [
    ...harness(build, pieces),
    ...twoSources(pieces, hookup),
    ...packLine(board, pieces),
    ...sensors(board, pieces),
  ];
}

/** Lines that one end of the harness lacks are soldered one by one; of a plug that sits board to board nothing can be. */
function harness(build: Build, pieces: Pieces): Finding[] {
  const { controller, esc } = pieces;
  if (!esc) return [];
  const base = { rung: 3 as const, code: 'harness line' as const, about: 'Harness', member: esc.id, grounds: [] };
  const [own, its] = [controller.escPlug?.pins ?? [], esc.escPlug?.pins ?? []];
  if (isSingleEsc(esc))
    return [{ ...base, state: 'holds', sentence: `Each ${esc.name} is soldered to its motor output and to the pack.` }];
  if (own.length === 0 || its.length === 0) {
    const lacks = own.length === 0 ? controller : esc;
    if (isRigid(pieces))
      return [
        {
          ...base,
          state: 'breaks',
          sentence: `One of the two sits board to board, and ${lacks.name} has no plug for it.`,
        },
      ];
    // Of a controller without one rung 3 speaks already.
    if (lacks === controller && its.length > 0) return [];
    return [
      {
        ...base,
        state: 'strained',
        sentence: `${lacks.name} has no plug for the harness: its wires are soldered one by one.`,
      },
    ];
  }
  const lines: HarnessLine[] = [
    'ground',
    ...Array.from({ length: build.motors.count }, (_, i): HarnessLine => `motor ${i + 1}`),
  ];
  const missing = lines.filter((line) => !hasLine(own, line) || !hasLine(its, line));
  const wrong = meetings(own, its);
  if (isRigid(pieces)) {
    if (missing.length === 0 && wrong.every((m) => !m.burns && !isMotor(m.board) && !isMotor(m.esc))) return [];
    const first = wrong[0];
    return [
      {
        ...base,
        state: 'breaks',
        sentence: `The two sit board to board, so no line can be moved, and ${
          missing.length > 0 ? `there is no line for ${list(missing)}` : `${first!.board} meets ${first!.esc}`
        }.`,
        needed: own.join(' '),
        given: its.join(' '),
        fix: 'A controller or an ESC with a plug on wires.',
      },
    ];
  }
  if (missing.length === 0) return [];
  return [
    {
      ...base,
      state: 'strained',
      sentence: `The harness lacks ${missing.length === 1 ? 'the line' : 'the lines'} for ${list(missing)}: ${counted(missing.length, 'wire')} to be soldered beside it.`,
      needed: own.join(' '),
      given: its.join(' '),
    },
  ];
}

const isMotor = (label: string) => harnessLine(label)?.startsWith('motor') ?? false;

/** Two regulators on one net without diodes drive current into each other. */
function twoSources(pieces: Pieces, hookup: Hookup): Finding[] {
  if (!pieces.esc || !linesOfFiveMeet(pieces)) return [];
  const base = {
    rung: 6 as const,
    code: 'two sources' as const,
    about: 'The 5 V of both',
    member: pieces.esc.id,
    grounds: [],
  };
  const both = feedsOf(pieces).includes('own') && feedsOf(pieces).includes('esc');
  if (isRigid(pieces) && both)
    return [
      {
        ...base,
        state: 'breaks',
        sentence: `${pieces.controller.name} and ${pieces.esc.name} each make 5 V, and the plug between them joins the two without a diode: the stronger drives current into the other.`,
        fix: 'An ESC without a 5 V line, or a controller that takes its 5 V from it.',
      },
    ];
  const feed = hookup.bridges.find((b) => b.bridge === feedBridge);
  if (isRigid(pieces) || !feed || feed.position === positionOf('esc')) return [];
  return [
    {
      ...base,
      state: 'strained',
      sentence: `Both ends of the harness carry 5 V, and here ${pieces.controller.name} gets its own from ${feed.positionLabel}: pull the 5 V pin out of the plug, or two sources meet.`,
    },
  ];
}

/** A controller that the pack would destroy is left without it, and then does not see its volts. */
function packLine(board: Board, { controller }: Pieces): Finding[] {
  const had = controller.rails.find((r) => r.source.kind === 'pack');
  if (!had || board.rails.some((r) => r.id === had.id)) return [];
  return [
    {
      rung: 2,
      state: 'strained',
      code: 'pack line',
      about: 'Pack line',
      member: controller.id,
      sentence: `The full pack would destroy ${controller.name}: leave its pack line out and feed it 5 V. It does not see the pack's volts then.`,
      grounds: [],
    },
  ];
}

/** Only one sensor is read. */
function sensors(board: Board, pieces: Pieces): Finding[] {
  const there = sensingOf(pieces);
  const base = { rung: 3 as const, code: 'sensor twice' as const, about: 'Current sensor', grounds: [] };
  const nameOf = (role: (typeof there)[number]['role']) => memberOf(board, role)?.board.name ?? role;
  const [used, ...idle] = there;
  const found: Finding[] = [];
  if (used && used.by === 'wire')
    found.push({
      ...base,
      code: 'harness line',
      about: 'Current line',
      state: 'strained',
      member: memberOf(board, used.role)!.board.id,
      sentence: `The current sensor of ${nameOf(used.role)} has no line in the harness: solder a wire from it to the controller's current input.`,
    });
  if (used && idle.length > 0)
    found.push({
      ...base,
      state: 'strained',
      member: memberOf(board, idle[0]!.role)!.board.id,
      sentence: `A sensor is paid for twice: that of ${nameOf(used.role)} is read, ${list(idle.map((s) => nameOf(s.role)))} ${idle.length === 1 ? 'brings one' : 'bring one each'} for nothing.`,
    });
  const unread = pieces.esc?.currentSensor && !there.some((s) => s.role === 'esc') && !isSingleEsc(pieces.esc);
  if (unread)
    found.push({
      ...base,
      code: 'harness line',
      about: 'Current line',
      state: 'strained',
      member: pieces.esc!.id,
      sentence: `The harness has no line for the current sensor of ${pieces.esc!.name}, and ${pieces.controller.name} has no input for a wire: it is not read.`,
    });
  return found;
}
