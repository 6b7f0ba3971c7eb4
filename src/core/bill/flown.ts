import { isOnBoard } from '../fix/on-board';
import type { Hookup } from '../wiring/hookup';

/** The parts that fly beside the board, by id. A must that is left out is still owed; what is on the board is the board's. */
export function flownBeside(hookup: Hookup): Set<string> {
  return new Set(hookup.parts.filter((p) => (p.mode || p.priority === 'must') && !isOnBoard(p)).map((p) => p.id));
}
