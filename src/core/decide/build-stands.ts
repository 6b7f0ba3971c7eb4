import type { Build } from '../records/build';
import { counted } from '../quantity/spelled';
import { rungNames, type RungName } from '../trade/rungs';
import { carries, outcomeWords } from '../evaluate/outcome';
import { pickedId, pickedName, stillStands } from './pick';
import type { Ranked } from './rank-shelf';

/** Where the next act of a build is done. */
export type ActPlace = 'build' | 'shelf' | 'questions' | 'ladder' | 'board' | 'basket' | 'sheet' | 'bench' | 'log';

export interface NextAct {
  place: ActPlace;
  /** Of `board`: which. */
  board?: string;
  says: string;
  /** Nothing goes on before this is done. */
  blocked: boolean;
}

export interface BuildStands {
  /** Sets of the shelf were not looked at: what is counted, and what comes first, is so among the boards by themselves. */
  alone: boolean;
  fits: number;
  undecided: number;
  of: number;
  /** So many of those are sets. */
  sets: number;
  /** Where most of those that break do so. */
  mostStopAt: { rung: RungName; boards: number } | null;
  act: NextAct;
}

/** How a build stands before the shelf, and the one thing to be done next. `today`: ISO 8601. `alone`: the shelf makes sets, and none of them is among what was ranked. */
export function buildStands(build: Build, ranked: readonly Ranked[], today: string, alone = false): BuildStands {
  const fits = ranked.filter((r) => carries(r.climb)).length;
  const undecided = ranked.filter((r) => r.climb.verdict === 'cannot say yet').length;
  return {
    alone,
    fits,
    undecided,
    of: ranked.length,
    sets: ranked.filter((r) => r.climb.members).length,
    mostStopAt: mostStopAt(ranked),
    act: nextAct(build, ranked, today, alone),
  };
}

function mostStopAt(ranked: readonly Ranked[]): BuildStands['mostStopAt'] {
  const counts = new Map<number, number>();
  for (const { climb } of ranked)
    if (climb.stopsAt !== null) counts.set(climb.stopsAt, (counts.get(climb.stopsAt) ?? 0) + 1);
  const [most] = [...counts].sort((a, b) => b[1] - a[1] || a[0] - b[0]);
  return most ? { rung: rungNames[most[0] - 1]!, boards: most[1] } : null;
}

function nextAct(build: Build, ranked: readonly Ranked[], today: string, alone: boolean): NextAct {
  const go = (place: ActPlace, says: string, blocked = false): NextAct => ({ place, says, blocked });
  const pick = build.picks.at(-1);
  if (build.stage === 'planned' || !pick) return beforeThePick(build, ranked, alone);
  const due = build.arrivesOn;
  switch (build.stage) {
    case 'picked': {
      const { stands, sentence } = stillStands(pick, ranked);
      return stands
        ? go('basket', `Order ${pickedName(pick)} with all that is still to be bought.`)
        : { ...go('board', `Look at the pick again. ${sentence}`, true), board: pickedId(pick) };
    }
    case 'ordered':
      return due && due < today
        ? go('log', `It was due on ${due}. Has it come? Look at it before anything is soldered.`)
        : go('sheet', `${due ? `Due on ${due}` : 'On its way'}. Read the build sheet meanwhile.`);
    case 'arrived':
      return go('sheet', `Solder by the build sheet: ${counted(Object.keys(build.done).length, 'step')} ticked.`);
    case 'soldered':
      return go('bench', 'First power: walk through it on the bench before the pack is plugged in.');
    case 'powered':
      return go('log', 'Write down what was measured.');
    case 'done':
      return go('log', 'Done. What was measured can go to the shelf.');
  }
}

function beforeThePick(build: Build, ranked: readonly Ranked[], alone: boolean): NextAct {
  const first = ranked[0]?.climb;
  if (build.parts.length === 0) return { place: 'build', says: 'List what must hang off the board.', blocked: true };
  if (!first) return { place: 'shelf', says: 'The shelf has no board yet: read one from its page.', blocked: true };
  // A set may come before it: the ladder knows.
  if (carries(first) && alone)
    return {
      place: 'ladder',
      says: `Choose on the ladder: of the boards by themselves ${first.boardName} comes first.`,
      blocked: false,
    };
  if (carries(first))
    return { place: 'board', board: first.boardId, says: `Choose: ${first.boardName} comes first.`, blocked: false };
  return first.stopsAt === null
    ? { place: 'questions', says: 'Nobody says enough yet: answer what decides.', blocked: true }
    : {
        place: 'board',
        board: first.boardId,
        says: `No board carries it. Nearest: ${first.boardName}, ${outcomeWords(first)}.`,
        blocked: true,
      };
}
