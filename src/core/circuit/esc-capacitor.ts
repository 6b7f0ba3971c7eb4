import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { interval, type Interval, type NumberFigure } from '../quantity/figure';

/** What the maker of the ESC that flies asks for; left out where nobody says. */
export function wantedCapacitor({ motors }: Build, board: Board): NumberFigure | undefined {
  return motors.esc === 'separate' ? motors.ownEsc?.wantsMicrofarads : board.esc?.wantsMicrofarads;
}

/** Least microfarads that are asked for at the pack leads; nought where nothing is said. */
export function askedMicrofarads(build: Build, board: Board): Interval {
  const wanted = wantedCapacitor(build, board);
  return wanted ? interval(wanted) : { low: 0, high: 0 };
}
