import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, type Interval } from '../quantity/figure';
import { sides, type Side } from '../records/words';
import { isolatorsBridgeMm } from '../trade/frame';

/** Degrees clockwise. */
export type Turn = 0 | 90 | 180 | 270;
const turns: readonly Turn[] = [0, 90, 180, 270];

/** Where a side of the board comes to lie when the board is turned clockwise. */
export function turned(side: Side, degrees: number): Side {
  return sides[(sides.indexOf(side) + Math.round(degrees / 90) + 4) % 4]!;
}

/** The yaw offset to set in the firmware: a board turned 90 degrees counter-clockwise is an offset of 270 (common practice, no source). */
export function yawOffset(arrowOffsetDeg: number, turnedDeg: number): number {
  return (((arrowOffsetDeg + turnedDeg) % 360) + 360) % 360;
}

/**
 * How the board comes to lie in the frame: as its outline goes in, and of those ways the one that leaves USB, then the most of button and cables, at an open side; as
 * drawn, where another is no better. Findings, drawing, routes and sheet all read this one.
 */
export function lieOf({ frame }: Build, board: Board): Turn {
  const known = lies.get(board);
  if (known?.frame === frame) return known.at;
  const at = bestTurn(frame, board);
  lies.set(board, { frame, at });
  return at;
}

/** Asked for every wire: the answer for the frame at hand is kept with the board. */
const lies = new WeakMap<Board, { frame: Build['frame']; at: Turn }>();

function bestTurn(frame: Build['frame'], board: Board): Turn {
  const usb = board.usb.side === 'unknown' ? null : board.usb.side;
  const wanted = [...(usb ? [usb] : []), ...(board.buttonSide ? [board.buttonSide] : []), ...board.cableSides];
  const reached = (side: Side, at: Turn) => frame.openSides.includes(turned(side, at));
  const worth = (at: Turn) =>
    Number(usb !== null && reached(usb, at)) * 100 + wanted.filter((side) => reached(side, at)).length;
  const into = turns.filter((at) => goesIn(frame, board, at));
  const screwedOn = into.filter((at) => holesMeet(frame, board, at));
  const able = screwedOn.length > 0 ? screwedOn : into;
  return (able.length > 0 ? able : [turns[0]!]).reduce((a, b) => (worth(b) > worth(a) ? b : a));
}

/** A board that is not square lies along its bay, or across where only that goes in, or only so its holes meet the frame's. */
function goesIn(frame: Build['frame'], board: Board, at: Turn): boolean {
  const { bayLengthMm, bayWidthMm } = frame;
  const [length, width] = [interval(board.lengthMm).high, interval(board.widthMm).high];
  if (length === width) return true;
  const straight = length <= bayLengthMm && width <= bayWidthMm;
  const across = width <= bayLengthMm && length <= bayWidthMm;
  const onlyAcrossMeets = !holesMeet(frame, board, 0) && holesMeet(frame, board, 90);
  return isAcross(at) ? across && (!straight || onlyAcrossMeets) : straight || !across;
}

function isAcross(at: Turn): boolean {
  return at === 90 || at === 270;
}

/** May some pattern of the board meet one of the frame's, turned so? */
function holesMeet({ mounts }: Build['frame'], board: Board, at: Turn): boolean {
  return board.mounting.patterns.some((p) => mounts.some((m) => fewestMmOff(p, m, at) <= isolatorsBridgeMm));
}

type Pattern = Board['mounting']['patterns'][number];
type Mount = Build['frame']['mounts'][number];

/** How far the holes of a board that is turned so may lie off the frame's: the larger of both directions, in millimetres. */
export function mmOff(pattern: Pattern, mount: Mount, at: Turn): Interval {
  const sides = [interval(pattern.alongMm), interval(pattern.acrossMm ?? pattern.alongMm)];
  const wanted = [mount.alongMm, mount.acrossMm ?? mount.alongMm];
  if (isAcross(at)) sides.reverse();
  const off = sides.map(({ low, high }, i) => ({
    low: Math.max(0, low - wanted[i]!, wanted[i]! - high),
    high: Math.max(high - wanted[i]!, wanted[i]! - low),
  }));
  return { low: Math.max(...off.map((o) => o.low)), high: Math.max(...off.map((o) => o.high)) };
}

function fewestMmOff(pattern: Pattern, mount: Mount, at: Turn): number {
  return mmOff(pattern, mount, at).low;
}

const lying = new WeakMap<Board, Map<Turn, Board>>();

/** The board with all its sides as they come to lie in the frame, nose up. */
export function asItLies(build: Build, board: Board): Board {
  const at = lieOf(build, board);
  if (at === 0) return board;
  const known = lying.get(board) ?? new Map<Turn, Board>();
  lying.set(board, known);
  let made = known.get(at);
  if (!made) known.set(at, (made = turnBoard(board, at)));
  return made;
}

function turnBoard(board: Board, at: Turn): Board {
  const across = isAcross(at);
  return {
    ...board,
    lengthMm: across ? board.widthMm : board.lengthMm,
    widthMm: across ? board.lengthMm : board.widthMm,
    pads: board.pads.map((p) => (p.edge === 'inner' ? p : { ...p, edge: turned(p.edge, at) })),
    usb: { ...board.usb, side: board.usb.side === 'unknown' ? 'unknown' : turned(board.usb.side, at) },
    ...(board.buttonSide ? { buttonSide: turned(board.buttonSide, at) } : {}),
    cableSides: board.cableSides.map((side) => turned(side, at)),
    arrowOffsetDeg: ((board.arrowOffsetDeg + at) % 360) as Turn,
    // The members below lie as they are drawn: nothing asks them to be turned.
    ...(board.members
      ? { members: board.members.map((m) => (m.role === 'controller' ? { ...m, board: turnBoard(m.board, at) } : m)) }
      : {}),
  };
}
