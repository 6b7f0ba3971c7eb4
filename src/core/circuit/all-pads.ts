import type { Board } from '../records/board';
import { flag, type Truth } from '../quantity/truth';

/** May the board have pads that are not among those of its file? Then what is not here is unknown, not absent. */
export function mayHaveMore(board: Board): boolean {
  return flag(board.allPads) !== 'yes';
}

/** What a count comes to where pads may be missing: too few of them is not yet no. */
export function enoughDrawn(board: Board, there: number, needed: number): Truth {
  if (there >= needed) return 'yes';
  if (mayHaveMore(board)) return 'unknown';
  return 'no';
}

/** Nobody has said yet where USB comes in: then a rail of its volts may be alive on it. */
export function usbUnsaid(board: Board): boolean {
  return mayHaveMore(board) && board.rails.every((r) => r.source.kind !== 'usb');
}
