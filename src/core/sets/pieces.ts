import type { Board } from '../records/board';
import { memberOf } from './roles';

/** The boards of a set by what they are in it. A controller, and at least one of the others. */
export interface Pieces {
  controller: Board;
  esc?: Board | undefined;
  power?: Board | undefined;
}

/** Of what a candidate is made; null where it is one board. */
export function piecesOf(board: Board): Pieces | null {
  const controller = memberOf(board, 'controller')?.board;
  if (!controller) return null;
  return { controller, esc: memberOf(board, 'esc')?.board, power: memberOf(board, 'power board')?.board };
}
