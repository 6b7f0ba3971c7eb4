import type { Climb } from '../evaluate/climb';
import { briefOf, failedLines } from './brief';
import type { Board } from '../records/board';
import type { Build } from '../records/build';

/** Of more boards than this a machine holds neither every wire nor all that was worked out: of those that break only what the order needs, and the likely ones climb first. */
export const manyBoards = 600;
/** Sets that are tried of so large a shelf: what is not proved to be the best is said to be so. */
export const mostSetsOfMany = 300;

/** A climb with what an order, its rows and what moved in it need, and without figures and wires: for shelves of thousands. Whoever opens the board climbs it anew. */
export function slimmed(climb: Climb): Climb {
  const { cost, freePorts, marginPercent } = climb.hookup;
  return {
    ...climb,
    slim: true,
    rungs: climb.rungs.map((r) => ({
      ...r,
      findings: r.findings.map(({ rung, state, code, about, says, counts, fix }) => ({
        rung,
        state,
        code,
        about,
        says,
        grounds: [],
        ...(counts === undefined ? {} : { counts }),
        ...(fix === undefined ? {} : { fix }),
      })),
    })),
    hookup: {
      parts: [],
      bridges: [],
      releases: [],
      ports: [],
      rails: [],
      together: [],
      outputs: [],
      held: [],
      cost,
      freePorts,
      marginPercent,
    },
  };
}

/** The boards in the order in which it pays to let them climb: those first that keep every line of the buyer's brief, since no other one can carry the build. */
export function likelyFirst(build: Build, boards: readonly Board[]): Board[] {
  const lines = briefOf(build);
  const keeps = (board: Board) =>
    board.receiver ? failedLines(build, board).length === 0 : !lines.some((line) => line.fails(board));
  const likely = boards.map(keeps);
  return [...boards.filter((_, i) => likely[i]), ...boards.filter((_, i) => !likely[i])];
}
