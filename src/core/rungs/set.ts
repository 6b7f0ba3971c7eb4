import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { harnessLine, hasLine, type HarnessLine } from '../trade/harness-line';
import { meetings } from '../trade/harness';
import type { Hookup } from '../wiring/hookup';
import { feedBridge, feedsOf, positionOf, isRigid, linesOfFiveMeet } from '../sets/feed';
import { piecesOf, type Pieces } from '../sets/pieces';
import { isSingleEsc, memberOf } from '../sets/roles';
import { sensingOf } from '../sets/sensing';
import { type Finding } from './finding';

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
  if (isSingleEsc(esc)) return [{ ...base, state: 'holds', says: { code: 'ESCs soldered one by one', esc: esc.name } }];
  if (own.length === 0 || its.length === 0) {
    const lacks = own.length === 0 ? controller : esc;
    if (isRigid(pieces))
      return [
        {
          ...base,
          state: 'breaks',
          says: { code: 'no plug board to board', lacks: lacks.name },
        },
      ];
    // Of a controller without one rung 3 speaks already.
    if (lacks === controller && its.length > 0) return [];
    return [
      {
        ...base,
        state: 'strained',
        says: { code: 'no plug for the harness', lacks: lacks.name },
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
        says: {
          code: 'lines clash board to board',
          missing,
          meet: first ? { board: first.board, esc: first.esc } : null,
        },
        needed: own.join(' '),
        given: its.join(' '),
        fix: { code: 'plug on wires' },
      },
    ];
  }
  if (missing.length === 0) return [];
  return [
    {
      ...base,
      state: 'strained',
      says: { code: 'harness lacks lines', missing },
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
        says: { code: 'two sources joined', controller: pieces.controller.name, esc: pieces.esc.name },
        fix: { code: 'one source of 5 V' },
      },
    ];
  const feed = hookup.bridges.find((b) => b.bridge === feedBridge);
  if (isRigid(pieces) || !feed || feed.position === positionOf('esc')) return [];
  return [
    {
      ...base,
      state: 'strained',
      says: { code: 'pull the 5 V pin', controller: pieces.controller.name, from: feed.positionLabel },
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
      says: { code: 'pack line left out', controller: controller.name },
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
      says: { code: 'sensor by a wire', of: nameOf(used.role) },
    });
  if (used && idle.length > 0)
    found.push({
      ...base,
      state: 'strained',
      member: memberOf(board, idle[0]!.role)!.board.id,
      says: { code: 'sensor twice', read: nameOf(used.role), idle: idle.map((s) => nameOf(s.role)) },
    });
  const unread = pieces.esc?.currentSensor && !there.some((s) => s.role === 'esc') && !isSingleEsc(pieces.esc);
  if (unread)
    found.push({
      ...base,
      code: 'harness line',
      about: 'Current line',
      state: 'strained',
      member: pieces.esc!.id,
      says: { code: 'sensor not read', esc: pieces.esc!.name, controller: pieces.controller.name },
    });
  if (pieces.power?.currentSensor && !there.some((s) => s.role === 'power board'))
    found.push({
      ...base,
      code: 'harness line',
      about: 'Current line',
      state: 'strained',
      member: pieces.power.id,
      says: { code: 'no input for the sensor', of: pieces.power.name, controller: pieces.controller.name },
    });
  return found;
}
