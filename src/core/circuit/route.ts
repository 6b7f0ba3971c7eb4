import type { Board } from '../records/board';
import type { Build, Part } from '../records/build';
import { foldOutMm, slackMm, usualPlace, type Place } from '../trade/place';
import { sizeMm, spotOf } from './place-pads';
import { asItLies, lieOf, turned } from './turn';

/**
 * Millimetres of wire from a pad to a part: what the buyer measured, else along and across the bay as cables are laid, from where the pad lies on the board
 * to the middle of the side where the part sits, with slack for two joints and a bend (more where everything
 * is soldered before mounting, since wires cannot be cut to length then, and where the board must fold out to be served); in steps of 5 mm. Without a pad: from the middle of the board.
 */
export function routeMm(build: Build, board: Board, part: Part | undefined, padId: string | null): number {
  if (part?.wireMm !== undefined) return part.wireMm;
  const from = padFromMiddle(build, board, padId);
  const to = middleOf(build, part?.sits ?? usualPlace[part?.peripheral.kind ?? 'other']);
  const up = to.up + (from.under ? sizeMm(board.heightMm, 6) : 0);
  const slack = slackMm[build.policies.mounting] + (comesOut(build, board) ? foldOutMm : 0);
  return Math.ceil((Math.abs(to.x - from.x) + Math.abs(to.y - from.y) + up + slack) / 5) * 5;
}

/** Must the board come out of its bay to be plugged into USB? Not asked where nobody says on which side the plug is. */
export function comesOut(build: Build, board: Board): boolean {
  const { side } = board.usb;
  return side !== 'unknown' && !build.frame.openSides.includes(turned(side, lieOf(build, board)));
}

interface PadSpot {
  x: number;
  y: number;
  under: boolean;
}

/** Asked for every wire that could be: where a pad lies is kept with the board. */
const spots = new WeakMap<Board, Map<string, PadSpot>>();

/** From the middle of the bay, x to the right and y to the rear. */
function padFromMiddle(build: Build, board: Board, padId: string | null): PadSpot {
  if (padId === null) return { x: 0, y: 0, under: false };
  const lies = asItLies(build, board);
  const known = spots.get(lies) ?? new Map<string, PadSpot>();
  spots.set(lies, known);
  let spot = known.get(padId);
  if (!spot) known.set(padId, (spot = spotFromMiddle(lies, padId)));
  return spot;
}

function spotFromMiddle(board: Board, padId: string): PadSpot {
  const at = board.pads.find((p) => p.id === padId);
  if (!at) return { x: 0, y: 0, under: false };
  const [width, height] = [sizeMm(board.widthMm), sizeMm(board.lengthMm)];
  const { x, y } = spotOf(board, at, { x: -width / 2, y: -height / 2, width, height }, 1);
  return { x, y, under: at.face === 'bottom' };
}

function middleOf({ frame }: Build, place: Place): { x: number; y: number; up: number } {
  const [along, across] = [frame.bayLengthMm / 2, frame.bayWidthMm / 2];
  return {
    front: { x: 0, y: -along, up: 0 },
    rear: { x: 0, y: along, up: 0 },
    left: { x: -across, y: 0, up: 0 },
    right: { x: across, y: 0, up: 0 },
    above: { x: 0, y: 0, up: frame.bayHeightMm },
  }[place];
}
