import {
  bestSets,
  boardIdsIn,
  buildStands,
  candidateAt,
  isCandidate,
  likelyFirst,
  manyBoards,
  pickedId,
  pickMoved,
  rankClimbs,
  type Board,
  type Build,
  type BuildStands,
  type Climb,
} from '../core';
import { climbOf } from '../highs/climb';
import { answerWith } from './answered';

/** What moved of a build or a board, where it was there before. */
export interface Then {
  builds: Build[];
  boards: Board[];
}
export interface ToHome {
  builds: Build[];
  boards: Board[];
  then: Then;
  today: string;
  /** What is known of an earlier visit. */
  known: OnHome['stands'];
}
export interface OnHome {
  /** By the id of the build; of a large shelf only what is picked and what is likely has climbed, and `ofMany` says so. */
  stands: Record<string, BuildStands & { ofMany: boolean }>;
  /** By the id of the build: what became of its pick. */
  picks: Record<string, string>;
}

/** How every build stands, for the first page: told once the boards have climbed by themselves, and again for each build whose sets have been searched, which takes seconds. */
onmessage = ({ data }: MessageEvent<ToHome>) => answerWith<OnHome>((tell) => home(data, tell));

/** Of a large shelf so many climb here: the whole of it does where a build is open. */
const tried = 60;

async function home({ builds, boards, then, today, known }: ToHome, tell: (found: OnHome) => void): Promise<OnHome> {
  const found: OnHome = { stands: { ...known }, picks: {} };
  const single = boards.filter(isCandidate);
  const ofMany = single.length > manyBoards;
  const makesSets = boards.length > single.length;
  const withoutSets: { build: Build; climbs: Climb[] }[] = [];
  const boardsThen = patched(boards, then.boards);
  for (const build of builds) {
    if (!known[build.id]) {
      const climbs: Climb[] = [];
      for (const board of ofMany ? likelyFirst(build, single).slice(0, tried) : single)
        climbs.push(await climbOf(build, board));
      for (const id of setsAsked(build)) {
        const set = candidateAt(build, boards, id);
        if (set) climbs.push(await climbOf(build, set));
      }
      found.stands[build.id] = { ...buildStands(build, rankClimbs(climbs), today, makesSets), ofMany };
      if (makesSets && !ofMany) withoutSets.push({ build, climbs });
    }
    const was = then.builds.find((b) => b.id === build.id) ?? build;
    if (was === build && boardsThen === boards) continue;
    const moved = pickMoved({ build: was, boards: boardsThen }, { build, boards });
    if (moved !== null) found.picks[build.id] = moved;
  }
  for (const { build, climbs } of withoutSets) {
    tell(found);
    const asked = setsAsked(build);
    const sets = bestSets(build, boards).climbs.filter((c) => !asked.includes(c.boardId));
    found.stands[build.id] = { ...buildStands(build, rankClimbs([...climbs, ...sets]), today), ofMany };
  }
  return found;
}

/** The sets that the buyer put together or picked. */
function setsAsked({ sets, picks }: Build): string[] {
  return [...new Set([...sets, ...picks.slice(-1).map(pickedId)])].filter((id) => boardIdsIn(id).length > 1);
}

/** The shelf with those boards as they were. */
function patched(now: Board[], was: Board[]): Board[] {
  if (was.length === 0) return now;
  const by = new Map(was.map((b) => [b.id, b]));
  const still = now.map((b) => by.get(b.id) ?? b);
  return [...still, ...was.filter((b) => !now.some((n) => n.id === b.id))];
}
