import type { Board } from '../records/board';
import { isGround } from '../trade/harness';
import { memberView, memberWithPad } from './member-view';
import { sizeMm, spotOf } from './place-pads';

/** What a wire that a ground has already is worth in distance, in millimetres: our own choice, no source. */
const crowdedMm = 10;

/**
 * The ground that belongs to a pad: a ground pin of the same plug, else the nearest ground on the same face, else the nearest of all; null where the board draws none. A
 * picture wants its ground beside its video pad, a supply beside its own (common practice, no source). `taken`: how many wires each ground has already; a pad that is
 * full of wires is hard to solder, so that a free one a little farther off is taken before it.
 */
export function groundFor(
  whole: Board,
  padId: string | null,
  taken: ReadonlyMap<string, number> = new Map(),
): string | null {
  const member = memberWithPad(whole, padId);
  const board = member ? memberView(member) : whole;
  const plug = board.plugs.find((p) => p.pins.some((pin) => pin.pad !== undefined && pin.pad === padId));
  const pin = plug?.pins.find((p) => p.pad !== undefined && (isGround(p.name) || board.grounds.includes(p.pad)));
  if (pin?.pad !== undefined) return pin.pad;
  const at = board.pads.find((p) => p.id === padId);
  const grounds = board.pads.filter((p) => board.grounds.includes(p.id));
  if (grounds.length === 0) return null;
  if (!at) return grounds[0]!.id;
  const outline = { x: 0, y: 0, width: sizeMm(board.widthMm), height: sizeMm(board.lengthMm) };
  const from = spotOf(board, at, outline, 1);
  const far = (pad: (typeof grounds)[number]) => {
    const spot = spotOf(board, pad, outline, 1);
    const crowd = crowdedMm * (taken.get(pad.id) ?? 0);
    return Math.hypot(spot.x - from.x, spot.y - from.y) + crowd + (pad.face === at.face ? 0 : 1000);
  };
  return grounds.reduce((a, b) => (far(b) < far(a) ? b : a)).id;
}
