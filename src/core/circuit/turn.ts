import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval } from '../quantity/figure';

/** Does the board go in as it is drawn, or only turned? Degrees clockwise. */
export function turnOf(build: Build, board: Board): 0 | 90 {
  const { bayLengthMm, bayWidthMm } = build.frame;
  const [length, width] = [interval(board.lengthMm).high, interval(board.widthMm).high];
  if (length <= bayLengthMm && width <= bayWidthMm) return 0;
  if (width <= bayLengthMm && length <= bayWidthMm) return 90;
  return 0;
}
