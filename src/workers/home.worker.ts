import {
  bestSets,
  boardIdsIn,
  buildStands,
  candidateAt,
  carries,
  isCandidate,
  likelyFirst,
  manyBoards,
  pickedId,
  pickMoved,
  rankClimbs,
  type Board,
  type Build,
  type BuildStands,
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
}
export interface OnHome {
  /** By the id of the build; of a large shelf only what is picked and what is likely has climbed, and `ofMany` says so. */
  stands: Record<string, BuildStands & { ofMany: boolean }>;
  /** By the id of the build: what became of its pick. */
  picks: Record<string, string>;
}

/** How every build stands, for the first page. */
onmessage = ({ data }: MessageEvent<ToHome>) => answerWith(() => home(data));

/** Of a large shelf so many climb here: the whole of it does where a build is open. */
const tried = 60;

async function home({ builds, boards, then, today }: ToHome): Promise<OnHome> {
  const found: OnHome = { stands: {}, picks: {} };
  const boardsThen = patched(boards, then.boards);
  for (const build of builds) {
    const single = boards.filter(isCandidate);
    const ofMany = single.length > manyBoards;
    const climbs = [];
    for (const board of ofMany ? likelyFirst(build, single).slice(0, tried) : single)
      climbs.push(await climbOf(build, board));
    const known = new Set(
      [...build.sets, ...build.picks.slice(-1).map(pickedId)].filter((id) => boardIdsIn(id).length > 1),
    );
    for (const id of known) {
      const set = candidateAt(build, boards, id);
      if (set) climbs.push(await climbOf(build, set));
    }
    // The search for sets takes seconds a build: here only where no board carries it by itself.
    const withSets = !ofMany && !climbs.some(carries);
    if (withSets) climbs.push(...bestSets(build, boards).climbs.filter((c) => !known.has(c.boardId)));
    const alone = !withSets && boards.length > single.length;
    found.stands[build.id] = { ...buildStands(build, rankClimbs(climbs), today, alone), ofMany };
    const was = then.builds.find((b) => b.id === build.id) ?? build;
    if (was === build && boardsThen === boards) continue;
    const moved = pickMoved({ build: was, boards: boardsThen }, { build, boards });
    if (moved !== null) found.picks[build.id] = moved;
  }
  return found;
}

/** The shelf with those boards as they were. */
function patched(now: Board[], was: Board[]): Board[] {
  if (was.length === 0) return now;
  const by = new Map(was.map((b) => [b.id, b]));
  const still = now.map((b) => by.get(b.id) ?? b);
  return [...still, ...was.filter((b) => !now.some((n) => n.id === b.id))];
}
