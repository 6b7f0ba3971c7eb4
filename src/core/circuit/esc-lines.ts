import type { Board, Output } from '../records/board';
import type { Build } from '../records/build';
import { any, flag, not, type Truth } from '../quantity/truth';

/** Do the motors hang on the ESC that is on the board? */
export function fliesOnOwnEsc({ motors }: Build): boolean {
  return motors.esc === 'on the board' && motors.count > 0;
}

/**
 * Do the board's own motor outputs, on pads, drive the ESC that is on it? Where nobody says: in a stack they do, since its harness carries them
 * (common practice, no source); elsewhere the ESC may well have lines of its own.
 */
export function drivesEsc(board: Board): Truth {
  if (!board.esc) return 'no';
  const said = board.esc.drivenByOutputs ? flag(board.esc.drivenByOutputs) : 'unknown';
  return said === 'unknown' && board.kind === 'stack' ? 'yes' : said;
}

/**
 * Is an output free for a motor of a separate ESC, and for any other job? Those that drive the ESC on the board are not, one a motor in the order of the board.
 * Outputs of one timer run at one rate, so what shares a timer with them can drive motors only.
 */
export function freeOfEsc(build: Build, board: Board, output: Output): { motor: Truth; other: Truth } {
  const held = fliesOnOwnEsc(build)
    ? board.outputs.filter((o) => o.can.includes('motor')).slice(0, build.motors.count)
    : [];
  const taken = (is: boolean): Truth => (is ? drivesEsc(board) : 'no');
  const itself = taken(held.includes(output));
  return { motor: not(itself), other: not(any([itself, taken(held.some((o) => o.timer === output.timer))])) };
}
