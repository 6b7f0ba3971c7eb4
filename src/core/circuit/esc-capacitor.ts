import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';

/** What the maker of the ESC that flies asks for; left out where nobody says. */
export function wantedCapacitor({ motors }: Build, board: Board): NumberFigure | undefined {
  return motors.esc === 'separate' ? motors.ownEsc?.wantsMicrofarads : board.esc?.wantsMicrofarads;
}

/** Microfarads that are asked for at the pack leads; nought where nobody says. */
export function askedMicrofarads(build: Build, board: Board): number {
  const wanted = wantedCapacitor(build, board);
  return isKnown(wanted) ? interval(wanted).high : 0;
}
