import type { Board } from '../records/board';
import type { Screw } from '../records/board-lists';
import type { Build } from '../records/build';
import {
  exactly,
  figureWords,
  interval,
  isUnknown,
  type FlagFigure,
  type Interval,
  type NumberFigure,
} from '../quantity/figure';
import { stacked } from '../sets/roles';
import { all, any, atLeast, flag, type Truth } from '../quantity/truth';
import type { Side } from '../records/words';
import { ground } from '../quantity/ground';
import { planGrounds } from '../figures/plan-figures';
import { lieOf, mmOff, turned, yawOffset, type Turn } from '../circuit/turn';
import { comfort } from '../trade/comfort';
import { betweenBoardsMm, isolatorsBridgeMm, patternWords, samePatternMm } from '../trade/frame';
import { num } from '../quantity/spelled';
import { stateOf, worst, type Finding, type RungState } from './finding';
import type { FrameSays, HolesMeet } from './says/frame-says';

/** Rung 1: does the board, or every member of a set, go onto the frame, and can its USB plug be reached? */
export function checkFrame(build: Build, board: Board): Finding[] {
  const [bottom, ...above] = stacked(board);
  return [
    about(bottom, mounting(build, board.members ? { ...board, mounting: bottom!.mounting } : board)),
    ...above.map((upper, i) => stacking(build, upper, stacked(board)[i]!)),
    ...stacked(board).map((member) => about(member, outline(build, member, board))),
    height(build, board),
    ...plugs(build, board),
    ...underside(board),
  ];
}

function mounting(build: Build, board: Board): Finding {
  const { patterns, softIsolators } = board.mounting;
  const { mounts } = build.frame;
  const offered = mounts.map((m) => `${patternWords(m)} ${m.screw}`).join(' or ') || 'no holes';
  const given = patterns.map(holeWords).join(' or ') || 'no holes';
  const base = {
    rung: 1 as const,
    code: 'mounting' as const,
    about: 'Mounting',
    needed: offered,
    given,
    grounds: [
      ...patterns.flatMap((p) => [
        ground('Hole pattern', p.alongMm, 'mm'),
        ...(p.acrossMm ? [ground('Hole pattern, across', p.acrossMm, 'mm')] : []),
        ground('Screw', p.screw),
      ]),
      ground('Soft isolators', softIsolators),
    ],
  };
  if (patterns.length === 0 || mounts.length === 0)
    return { ...base, ...taped(patterns.length > 0, mounts.length > 0) };
  const at = lieOf(build, board);
  const tries = patterns.flatMap((pattern) => mounts.map((mount) => meet(pattern, mount, at, softIsolators)));
  const states: RungState[] = ['holds', 'strained', 'unknown', 'breaks'];
  const best = [...tries].sort((a, b) => states.indexOf(a.state) - states.indexOf(b.state))[0]!;
  return {
    ...base,
    state: best.state,
    says: { code: 'holes on the frame', offered, has: given, meet: best.meet },
    ...(best.state === 'breaks' ? { fix: { code: 'adapter plate' } } : {}),
  };
}

type Pattern = Board['mounting']['patterns'][number];

function holeWords({ alongMm, acrossMm, screw }: Pattern): string {
  const ends = (f: NumberFigure) => figureWords(f);
  let size = 'unknown pattern';
  if (!isUnknown(alongMm)) size = `${ends(alongMm)}${acrossMm ? ` x ${ends(acrossMm)}` : ''} mm`;
  return `${size} ${isUnknown(screw) ? 'unknown screw' : screw.value}`;
}

/** Without holes on one side a board is taped down: as meant where the frame has a tray, a compromise where it has standoffs. */
function taped(boardHasHoles: boolean, frameHasHoles: boolean): Pick<Finding, 'state' | 'says'> {
  if (frameHasHoles) return { state: 'strained', says: { code: 'taped between standoffs' } };
  return { state: 'holds', says: { code: 'taped to a tray', holesStayEmpty: boardHasHoles } };
}

/** One pattern of the board on one of the frame's. */
function meet(
  pattern: Pattern,
  mount: Build['frame']['mounts'][number],
  at: Turn,
  softIsolators: FlagFigure,
): { state: RungState; meet: HolesMeet } {
  const off = mmOff(pattern, mount, at);
  const within = (mm: number): Truth => {
    if (off.high <= mm) return 'yes';
    if (off.low > mm) return 'no';
    return 'unknown';
  };
  const goesOn = screwGoes(isUnknown(pattern.screw) ? null : pattern.screw.value, mount.screw);
  if (within(samePatternMm) === 'yes') return goesOn;
  const soft = all([within(isolatorsBridgeMm), flag(softIsolators)]);
  const truth = any([within(samePatternMm), soft]);
  if (truth === 'yes') {
    const state = worst(['strained', goesOn.state]);
    return { state, meet: state === 'strained' ? 'isolators take it up' : goesOn.meet };
  }
  return { state: stateOf(truth), meet: truth === 'unknown' ? 'pattern unsaid' : 'holes apart' };
}

/** A thinner screw goes through a wider hole (ISO 273 clearance holes), not the other way. */
function screwGoes(board: Screw | null, frame: Screw): { state: RungState; meet: HolesMeet } {
  if (board === null) return { state: 'unknown', meet: 'screw unsaid' };
  if (board === frame) return { state: 'holds', meet: 'holes meet' };
  if (board === 'M3') return { state: 'strained', meet: 'loose screws' };
  return { state: 'breaks', meet: 'screws too thick' };
}

/** The members of a set are told apart, a board alone needs no name. */
function about(member: Board | undefined, finding: Finding): Finding {
  return member ? { ...finding, member: member.id } : finding;
}

/** A member of a set on the one below: by a hole pattern that both have, on holes of the frame's own, or taped. */
function stacking(build: Build, upper: Board, lower: Board): Finding {
  const base = {
    rung: 1 as const,
    code: 'stacking' as const,
    about: `${upper.name} on ${lower.name}`,
    member: upper.id,
    needed: upper.mounting.patterns.map(holeWords).join(' or ') || 'no holes',
    given: lower.mounting.patterns.map(holeWords).join(' or ') || 'no holes',
    grounds: [upper, lower].flatMap((b) =>
      b.mounting.patterns.map((p) => ground(`Hole pattern of ${b.name}`, p.alongMm, 'mm')),
    ),
  };
  const meets = any(upper.mounting.patterns.flatMap((a) => lower.mounting.patterns.map((b) => sameHoles(a, b))));
  const [on, below] = [upper.name, lower.name];
  const by = (how: Extract<FrameSays, { code: 'stands on' }>['by']) =>
    ({ code: 'stands on', upper: on, lower: below, by: how }) as const;
  if (meets === 'yes') return { ...base, state: 'holds', says: by('same holes') };
  if (meets === 'unknown') return { ...base, state: 'unknown', says: by('unsaid') };
  const onFrame = upper.mounting.patterns.some((pattern) =>
    build.frame.mounts.some((mount) => meet(pattern, mount, 0, upper.mounting.softIsolators).state !== 'breaks'),
  );
  return { ...base, state: 'strained', says: by(onFrame ? "the frame's holes" : 'tape') };
}

function sameHoles(a: Pattern, b: Pattern): Truth {
  const near = (x: NumberFigure, y: NumberFigure): Truth => {
    if (isUnknown(x) || isUnknown(y)) return 'unknown';
    const [p, q] = [interval(x), interval(y)];
    const far = Math.max(p.high - q.low, q.high - p.low);
    if (far <= isolatorsBridgeMm) return 'yes';
    return Math.max(p.low - q.high, q.low - p.high) > isolatorsBridgeMm ? 'no' : 'unknown';
  };
  return all([near(a.alongMm, b.alongMm), near(a.acrossMm ?? a.alongMm, b.acrossMm ?? b.alongMm)]);
}

function outline(build: Build, board: Board, whole: Board): Finding {
  const length = interval(board.lengthMm);
  const width = interval(board.widthMm);
  const { bayLengthMm, bayWidthMm } = build.frame;
  const air = (l: number, w: number) => ({
    low: Math.min(bayLengthMm - l, bayWidthMm - w),
    high: Math.min(bayLengthMm - l, bayWidthMm - w),
  });
  const straight = { low: air(length.high, width.high).low, high: air(length.low, width.low).high };
  const turned = { low: air(width.high, length.high).low, high: air(width.low, length.low).high };
  const fitsStraight = atLeast(straight, { low: 0, high: 0 });
  const fitsTurned = atLeast(turned, { low: 0, high: 0 });
  const lies = lieOf(build, whole);
  const square = length.low === width.low && length.high === width.high;
  const turn = fitsTurned === 'yes' && (fitsStraight !== 'yes' || (!square && (lies === 90 || lies === 270)));
  const truth = any([fitsStraight, fitsTurned]);
  const room = turn ? turned : straight;
  const state: RungState = truth === 'yes' && (turn || room.low < comfort.airMm) ? 'strained' : stateOf(truth);
  const turnedWhy = fitsStraight === 'yes' ? 'for its holes' : 'for its size';
  const size = `${num(length.high)} x ${num(width.high)} mm`;
  return {
    rung: 1,
    state,
    code: 'outline',
    about: 'Outline',
    says: {
      code: 'in the bay',
      bayMm: [bayLengthMm, bayWidthMm],
      member: whole.members ? board.name : null,
      boardMm: [length.high, width.high],
      airMm: room.low,
      turned: turn ? turnedWhy : null,
      overMm: -Math.max(straight.high, turned.high),
    },
    needed: size,
    given: `${num(bayLengthMm)} x ${num(bayWidthMm)} mm`,
    ...(Number.isFinite(room.low) ? { margin: room.low / Math.max(1, length.high) } : {}),
    grounds: [
      ...planGrounds(build, 'bay length', 'bay width'),
      ground('Length', board.lengthMm, 'mm'),
      ground('Width', board.widthMm, 'mm'),
    ],
  };
}

/** The stack from the frame plate up: standoffs, the buyer's own ESC, the board, and what hangs into the bay from above. */
export function stackLines(
  build: Build,
  board: Pick<Board, 'heightMm' | 'members'>,
): { what: string; mm: { low: number; high: number } }[] {
  const esc = build.motors.esc === 'separate' ? build.motors.ownEsc : undefined;
  const between = Math.max(build.frame.standoffMm, betweenBoardsMm);
  const upper = board.members && stacked(board as Board).at(-1);
  const lower = board.members ? stacked(board as Board).slice(0, -1) : [];
  const over = build.parts.reduce((most, p) => Math.max(most, p.peripheral.overhangMm ?? 0), build.frame.overhangMm);
  return [
    { what: 'standoffs', mm: exactly(build.frame.standoffMm) },
    ...lower.map((b) => ({ what: b.name, mm: plus(interval(b.heightMm), between) })),
    ...(!board.members && esc && esc.count === 1 ? [{ what: esc.name, mm: exactly(esc.heightMm + between) }] : []),
    { what: upper?.name ?? 'the board', mm: interval((upper ?? board).heightMm) },
    ...(over > 0 ? [{ what: 'what hangs in from above', mm: exactly(over) }] : []),
  ];
}

function plus({ low, high }: Interval, mm: number): Interval {
  return { low: low + mm, high: high + mm };
}

function height(build: Build, board: Board): Finding {
  const lines = stackLines(build, board);
  const h = lines.reduce((sum, l) => ({ low: sum.low + l.mm.low, high: sum.high + l.mm.high }), { low: 0, high: 0 });
  const bay = build.frame.bayHeightMm;
  const truth = atLeast({ low: bay, high: bay }, h);
  const room = bay - h.high;
  const state: RungState = truth === 'yes' && room < comfort.airMm ? 'strained' : stateOf(truth);
  const known = lines.filter((l) => Number.isFinite(l.mm.high) && l.mm.high > 0);
  return {
    rung: 1,
    state,
    code: 'height',
    about: 'Height',
    says: {
      code: 'height of the bay',
      bayMm: bay,
      stackMm: h,
      lines: known.map(({ what, mm }) => ({ what, mm: mm.high })),
    },
    needed: `${num(h.high)} mm`,
    given: `${num(bay)} mm`,
    ...(Number.isFinite(room) ? { margin: room / Math.max(1, h.high) } : {}),
    grounds: [
      ...planGrounds(build, 'bay height', 'standoffs', 'overhang'),
      ...stacked(board).map((b) => ground(board.members ? `Height of ${b.name}` : 'Height', b.heightMm, 'mm')),
    ],
  };
}

/** USB, button and cables against the frame's open sides, as the board comes to lie. */
function plugs(build: Build, board: Board): Finding[] {
  const { openSides } = build.frame;
  const openings = openSides.join(', ') || 'no side';
  const best = lieOf(build, board);
  const reached = (side: Side) => openSides.includes(turned(side, best));
  const usbSide = board.usb.side === 'unknown' ? null : board.usb.side;
  const offset = yawOffset(board.arrowOffsetDeg, best);
  const usb = usbSide !== null && reached(usbSide);
  const findings: Finding[] = [
    {
      rung: 1,
      state: usb && offset === 0 ? 'holds' : 'strained',
      code: 'usb reach',
      about: 'USB reach',
      says: {
        code: 'USB reach',
        side: usbSide,
        comesTo: usbSide && turned(usbSide, best),
        openSides,
        yawOffset: offset,
      },
      needed: `one of: ${openings}`,
      given: usbSide ? turned(usbSide, best) : 'unknown',
      grounds: [],
    },
  ];
  if (board.buttonSide && !reached(board.buttonSide)) {
    findings.push({
      rung: 1,
      state: 'strained',
      code: 'button reach',
      about: 'Button reach',
      says: { code: 'button behind a closed side', comesTo: turned(board.buttonSide, best) },
      grounds: [],
    });
  }
  const shut = board.cableSides.filter((s) => !reached(s));
  if (shut.length > 0) {
    findings.push({
      rung: 1,
      state: 'strained',
      code: 'cables',
      about: 'Cables',
      says: { code: 'cables behind a closed side', comeTo: shut.map((s) => turned(s, best)) },
      grounds: [],
    });
  }
  return findings;
}

/** Pads that cannot be reached any more once the board is mounted. */
function underside(board: Board): Finding[] {
  const hidden = board.pads.filter((p) => !p.reachable);
  if (hidden.length === 0) return [];
  return [
    {
      rung: 1,
      state: 'holds',
      code: 'underside',
      about: 'Underside',
      says: { code: 'pads out of reach', labels: hidden.map((p) => p.label) },
      grounds: [],
    },
  ];
}
