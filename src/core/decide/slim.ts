import type { Climb, Rung } from '../evaluate/climb';
import type { Finding } from '../rungs/finding';
import { briefOf, failedLines } from './brief';
import type { Board } from '../records/board';
import type { Build } from '../records/build';

/** Of more boards than this a machine holds neither every wire nor all that was worked out: only what the order needs is kept of them, and the likely ones climb first. */
export const manyBoards = 600;
/** Of so many boards at most one worker keeps what was worked out of each, some 60 kB a board, so that an edit works out again only what it can change. */
export const mostRemembered = 1500;
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
      findings: tellingOf(climb, r).map(({ rung, state, code, about, says, counts, fix }) => ({
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

/** What an order, a row, what moved and what stands in every board's way are told by: of what holds only the wishes, which count. */
function tellingOf({ verdict }: Climb, { findings }: Rung): Finding[] {
  return findings.filter((f, i) => {
    if (f.code === 'wish' || f.state === 'breaks') return true;
    if (f.state === 'holds') return false;
    const all = f.state === 'unknown' && verdict === 'cannot say yet';
    return all || findings.findIndex((g) => g.state === f.state) === i;
  });
}

/** The boards in the order in which it pays to let them climb: those first that keep every line of the buyer's brief, since no other one can carry the build. */
export function likelyFirst(build: Build, boards: readonly Board[]): Board[] {
  const lines = briefOf(build);
  const keeps = (board: Board) =>
    board.receiver ? failedLines(build, board).length === 0 : !lines.some((line) => line.fails(board));
  const likely = boards.map(keeps);
  return [...boards.filter((_, i) => likely[i]), ...boards.filter((_, i) => !likely[i])];
}
