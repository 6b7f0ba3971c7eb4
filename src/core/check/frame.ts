import type { Board, Screw } from '../model/board';
import type { Build } from '../model/build';
import { interval, isUnknown } from '../model/figure';
import { all, any, atLeast, flag, type Truth } from '../model/truth';
import { ground } from '../hookup/ground';
import { comfort } from '../trade/comfort';
import { isolatorsBridgeMm, samePatternMm } from '../trade/frame';
import { num, stateOf, worst, type Finding, type RungState } from './finding';

/** Rung 1: does the board go onto the frame, and can its USB plug be reached? */
export function checkFrame(build: Build, board: Board): Finding[] {
  return [mounting(build, board), outline(build, board), height(build, board), usb(build, board)];
}

function mounting(build: Build, board: Board): Finding {
  const { patternMm, screw, softIsolators } = board.mounting;
  const pattern = interval(patternMm);
  const offered = build.frame.mounts.map((m) => `${num(m.patternMm)} mm ${m.screw}`).join(' or ');
  const given = `${isUnknown(patternMm) ? 'unknown pattern' : `${num(pattern.low)} mm`} ${isUnknown(screw) ? 'unknown screw' : screw.value}`;
  const base = {
    rung: 1 as const,
    about: 'Mounting',
    needed: offered,
    given,
    grounds: [ground('Hole pattern', patternMm, 'mm'), ground('Screw', screw), ground('Soft isolators', softIsolators)],
  };
  const tries = build.frame.mounts.map((mount): { state: RungState; why: string } => {
    const off = { low: Math.abs(pattern.low - mount.patternMm), high: Math.abs(pattern.high - mount.patternMm) };
    const within = (mm: number): Truth => (isUnknown(patternMm) ? 'unknown' : off.low <= mm && off.high <= mm ? 'yes' : off.low > mm && off.high > mm ? 'no' : 'unknown');
    const goesOn = screwGoes(isUnknown(screw) ? null : screw.value, mount.screw);
    if (within(samePatternMm) === 'yes') return { state: worst([goesOn.state]), why: goesOn.why };
    const soft = all([within(isolatorsBridgeMm), flag(softIsolators)]);
    const truth = any([within(samePatternMm), soft]);
    if (truth === 'yes') return { state: worst(['strained', goesOn.state]), why: 'the patterns differ by half a millimetre: soft isolators take it up' };
    return { state: stateOf(truth), why: truth === 'unknown' ? 'nobody says what pattern the board has' : 'the holes do not meet' };
  });
  const states: RungState[] = ['holds', 'strained', 'unknown', 'breaks'];
  const best = [...tries].sort((a, b) => states.indexOf(a.state) - states.indexOf(b.state))[0]!;
  const fix = best.state === 'breaks' ? 'An adapter plate joins two patterns, for a few grams and millimetres.' : undefined;
  return { ...base, state: best.state, sentence: `The frame takes ${offered}; the board has ${given}: ${best.why}.`, ...(fix ? { fix } : {}) };
}

/** A thinner screw goes through a wider hole (ISO 273 clearance holes), not the other way. */
function screwGoes(board: Screw | null, frame: Screw): { state: RungState; why: string } {
  if (board === null) return { state: 'unknown', why: 'nobody says what screw the holes take' };
  if (board === frame) return { state: 'holds', why: 'the holes meet' };
  if (board === 'M3') return { state: 'strained', why: 'the holes meet; M2 screws sit loose in M3 holes and want isolators or washers' };
  return { state: 'breaks', why: 'the frame\'s M3 screws do not pass M2 holes' };
}

function outline(build: Build, board: Board): Finding {
  const length = interval(board.lengthMm);
  const width = interval(board.widthMm);
  const { bayLengthMm, bayWidthMm } = build.frame;
  const air = (l: number, w: number) => ({ low: Math.min(bayLengthMm - l, bayWidthMm - w), high: Math.min(bayLengthMm - l, bayWidthMm - w) });
  const straight = { low: air(length.high, width.high).low, high: air(length.low, width.low).high };
  const turned = { low: air(width.high, length.high).low, high: air(width.low, length.low).high };
  const fitsStraight = atLeast(straight, { low: 0, high: 0 });
  const fitsTurned = atLeast(turned, { low: 0, high: 0 });
  const turn = fitsStraight !== 'yes' && fitsTurned === 'yes';
  const truth = any([fitsStraight, fitsTurned]);
  const room = turn ? turned : straight;
  const state: RungState = truth === 'yes' && (turn || room.low < comfort.airMm) ? 'strained' : stateOf(truth);
  const size = `${num(length.high)} x ${num(width.high)} mm`;
  const why = {
    holds: `${num(room.low)} mm of air is left.`,
    strained: turn ? 'it goes in only turned by 90 degrees: set the yaw offset.' : `only ${num(room.low)} mm of air is left.`,
    unknown: 'nobody says how large the board is.',
    breaks: `it is ${num(-Math.max(straight.high, turned.high))} mm too large.`,
  }[state];
  return {
    rung: 1,
    state,
    about: 'Outline',
    sentence: `The bay is ${num(bayLengthMm)} x ${num(bayWidthMm)} mm, the board ${size}: ${why}`,
    needed: size,
    given: `${num(bayLengthMm)} x ${num(bayWidthMm)} mm`,
    ...(Number.isFinite(room.low) ? { margin: room.low / Math.max(1, length.high) } : {}),
    grounds: [ground('Length', board.lengthMm, 'mm'), ground('Width', board.widthMm, 'mm')],
  };
}

function height(build: Build, board: Board): Finding {
  const h = interval(board.heightMm);
  const bay = build.frame.bayHeightMm;
  const truth = atLeast({ low: bay, high: bay }, h);
  const room = bay - h.high;
  const state: RungState = truth === 'yes' && room < comfort.airMm ? 'strained' : stateOf(truth);
  const why = { holds: `${num(room)} mm is left.`, strained: `only ${num(room)} mm is left.`, unknown: 'nobody says how high it builds.', breaks: `it stands ${num(h.low - bay)} mm too high.` }[state];
  return {
    rung: 1,
    state,
    about: 'Height',
    sentence: `The bay is ${num(bay)} mm high, the board ${num(h.high)} mm: ${why}`,
    needed: `${num(h.high)} mm`,
    given: `${num(bay)} mm`,
    ...(Number.isFinite(room) ? { margin: room / Math.max(1, h.high) } : {}),
    grounds: [ground('Height', board.heightMm, 'mm')],
  };
}

function usb(build: Build, board: Board): Finding {
  const open = build.frame.openSides.includes(board.usb.side);
  const sides = build.frame.openSides.join(', ') || 'no side';
  return {
    rung: 1,
    state: open ? 'holds' : 'strained',
    about: 'USB reach',
    sentence: open
      ? `The USB plug is on the ${board.usb.side}, where the frame is open.`
      : `The USB plug is on the ${board.usb.side}, the frame is open at: ${sides}. The board turns (yaw offset) or comes out to be plugged in.`,
    needed: `one of: ${sides}`,
    given: board.usb.side,
    grounds: [],
  };
}
