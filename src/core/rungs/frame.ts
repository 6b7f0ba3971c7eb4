import type { Board, Screw } from '../records/board';
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
import { counted, list, num, stateOf, worst, type Finding, type RungState } from './finding';

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
  const fix =
    best.state === 'breaks' ? 'An adapter plate joins two patterns, for a few grams and millimetres.' : undefined;
  return {
    ...base,
    state: best.state,
    sentence: `The frame takes ${offered}; the board has ${given}: ${best.why}.`,
    ...(fix ? { fix } : {}),
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
function taped(boardHasHoles: boolean, frameHasHoles: boolean): { state: RungState; sentence: string } {
  if (frameHasHoles)
    return {
      state: 'strained',
      sentence: 'The board has no holes and the frame has standoffs: it is taped down between them.',
    };
  const besides = boardHasHoles ? ', and the holes of the board stay empty' : '';
  return { state: 'holds', sentence: `The frame has a tray and no holes: the board is taped down${besides}.` };
}

/** One pattern of the board on one of the frame's. */
function meet(
  pattern: Pattern,
  mount: Build['frame']['mounts'][number],
  at: Turn,
  softIsolators: FlagFigure,
): { state: RungState; why: string } {
  const off = mmOff(pattern, mount, at);
  const within = (mm: number): Truth => {
    if (off.high <= mm) return 'yes';
    if (off.low > mm) return 'no';
    return 'unknown';
  };
  const goesOn = screwGoes(isUnknown(pattern.screw) ? null : pattern.screw.value, mount.screw);
  if (within(samePatternMm) === 'yes') return { state: worst([goesOn.state]), why: goesOn.why };
  const soft = all([within(isolatorsBridgeMm), flag(softIsolators)]);
  const truth = any([within(samePatternMm), soft]);
  if (truth === 'yes')
    return {
      state: worst(['strained', goesOn.state]),
      why: 'the patterns differ by half a millimetre: soft isolators take it up',
    };
  return {
    state: stateOf(truth),
    why: truth === 'unknown' ? 'nobody says what pattern the board has' : 'the holes do not meet',
  };
}

/** A thinner screw goes through a wider hole (ISO 273 clearance holes), not the other way. */
function screwGoes(board: Screw | null, frame: Screw): { state: RungState; why: string } {
  if (board === null) return { state: 'unknown', why: 'nobody says what screw the holes take' };
  if (board === frame) return { state: 'holds', why: 'the holes meet' };
  if (board === 'M3')
    return { state: 'strained', why: 'the holes meet; M2 screws sit loose in M3 holes and want isolators or washers' };
  return { state: 'breaks', why: "the frame's M3 screws do not pass M2 holes" };
}

const hangsOnRange = 'whether it goes in hangs on a figure that is only known as a range.';

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
  if (meets === 'yes')
    return { ...base, state: 'holds', sentence: `${upper.name} stands on ${lower.name} by the same holes.` };
  if (meets === 'unknown')
    return {
      ...base,
      state: 'unknown',
      sentence: `Whether ${upper.name} stands on ${lower.name} is open: nobody says the hole pattern of both.`,
    };
  const onFrame = upper.mounting.patterns.some((pattern) =>
    build.frame.mounts.some((mount) => meet(pattern, mount, 0, upper.mounting.softIsolators).state !== 'breaks'),
  );
  return {
    ...base,
    state: 'strained',
    sentence: onFrame
      ? `The holes of ${upper.name} do not meet those of ${lower.name}: it goes on holes of the frame's own, if there is room beside the other.`
      : `The holes of ${upper.name} meet neither those of ${lower.name} nor the frame's: it is taped down.`,
  };
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
  const size = `${num(length.high)} x ${num(width.high)} mm`;
  const why = {
    holds: `${num(room.low)} mm of air is left.`,
    strained: turn
      ? `${fitsStraight === 'yes' ? 'its holes meet' : 'it goes in'} only turned by 90 degrees: set the yaw offset.`
      : `${room.low === 0 ? 'no' : `only ${num(room.low)} mm of`} air is left.`,
    unknown: Number.isFinite(room.low) ? hangsOnRange : 'nobody says how large the board is.',
    breaks: `it is ${num(-Math.max(straight.high, turned.high))} mm too large.`,
  }[state];
  return {
    rung: 1,
    state,
    code: 'outline',
    about: 'Outline',
    sentence: `The bay is ${num(bayLengthMm)} x ${num(bayWidthMm)} mm, ${whole.members ? board.name : 'the board'} ${size}: ${why}`,
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
  const sum = known.map((l) => `${l.what}: ${num(l.mm.high)}`).join(' + ');
  const stack = h.low === h.high ? `${num(h.high)} mm` : `${num(h.low)} to ${num(h.high)} mm`;
  const why = {
    holds: `the stack ${stack} (${sum}): ${num(room)} mm is left.`,
    strained: `the stack ${stack} (${sum}): ${room === 0 ? 'nothing' : `only ${num(room)} mm`} is left.`,
    unknown: Number.isFinite(h.high)
      ? `the stack ${stack} (${sum}): ${hangsOnRange}`
      : `and nobody says how high the board builds. ${num(bay - known.reduce((mm, l) => mm + l.mm.high, 0))} mm is left for it${sum && ` (${sum})`}.`,
    breaks: `the stack ${stack} (${sum}): it stands ${num(h.low - bay)} mm too high.`,
  }[state];
  return {
    rung: 1,
    state,
    code: 'height',
    about: 'Height',
    sentence: `The bay is ${num(bay)} mm high, ${why}`,
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
  const turnedWords =
    offset === 0 ? '' : ` The board lies with its arrow at ${offset} degrees: set a yaw offset of ${offset}.`;
  const usb = usbSide !== null && reached(usbSide);
  let sentence: string;
  if (usb) sentence = `The USB plug comes to the ${turned(usbSide, best)}, where the frame is open.${turnedWords}`;
  else if (usbSide)
    sentence = `The USB plug is on the ${usbSide}, the frame is open at: ${openings}. The board comes out to be plugged in.`;
  else
    sentence = `Nobody says on which side the USB plug is, the frame is open at: ${openings}. The board may have to come out to be plugged in.`;
  const findings: Finding[] = [
    {
      rung: 1,
      state: usb && offset === 0 ? 'holds' : 'strained',
      code: 'usb reach',
      about: 'USB reach',
      sentence,
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
      sentence: `The button comes to the ${turned(board.buttonSide, best)}, where the frame is closed: the board comes out to press it.`,
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
      sentence: `Cables leave at the ${list(shut.map((s) => turned(s, best)))}, where the frame is closed: they bend round the edge.`,
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
      sentence: `${counted(hidden.length, 'pad')} (${list(hidden.slice(0, 4).map((p) => p.label))}${hidden.length > 4 ? ' ...' : ''}) cannot be reached once the board is mounted: solder them first.`,
      grounds: [],
    },
  ];
}
