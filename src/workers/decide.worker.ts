import {
  buildQuestionsFor,
  candidateAt,
  carries,
  findFixes,
  kindest,
  questionsFor,
  rankClimbs,
  rankShelf,
  robustnessOf,
  setsInQuestion,
  tippingPoints,
  type Board,
  type Build,
  type BuildQuestion,
  type GeneralSolver,
  type Mended,
  type Question,
  type Ranked,
  type Robustness,
  type Tipping,
} from '../core';
import { generalSolver } from '../highs/general-solver';
import { answerWith } from './answered';

export type Decision =
  { about: 'robustness' } | { about: 'mending' } | { about: 'questions' } | { about: 'tipping'; board: string };
export interface Decided {
  robustness: Robustness;
  mending: Mended;
  /** About the build itself, and about boards; those as if the build's own turned out well, where they keep every board from being picked. */
  questions: { build: BuildQuestion[]; boards: Question[] };
  tipping: Tipping[];
}
export interface ToDecider {
  build: Build;
  boards: Board[];
  /** ESCs and power boards too, which no set has that is ranked. */
  shelf: Board[];
  ranked: Ranked[];
  decision: Decision;
}

/** Answers one question on the whole shelf; a newer question ends this worker and starts another. */
onmessage = ({ data }: MessageEvent<ToDecider>) => answerWith(() => decided(data));

async function decided({ build, boards, shelf, ranked, decision }: ToDecider): Promise<Decided[Decision['about']]> {
  const general = ranked.some(({ climb }) => climb.delegated || climb.setAside) ? await generalSolver() : null;
  switch (decision.about) {
    case 'robustness':
      return robustnessOf(contenders(ranked), build.weighing);
    case 'mending':
      return mendedOf(build, boards, shelf, ranked, general);
    case 'questions': {
      const kind = ranked.some((r) => carries(r.climb)) ? build : kindest(build);
      const hidden = setsInQuestion(kind, shelf, ranked);
      const all = [...boards, ...hidden.flatMap((c) => candidateAt(build, shelf, c.boardId) ?? [])];
      return {
        build: buildQuestionsFor(build, boards, ranked, general),
        boards: questionsFor(
          kind,
          all,
          kind === build ? rankClimbs([...ranked.map((r) => r.climb), ...hidden]) : rankShelf(kind, all, general),
          general,
        ),
      };
    }
    case 'tipping': {
      const board = boards.find((b) => b.id === decision.board);
      return board ? tippingPoints(build, board, ranked, general) : [];
    }
  }
}

const mostMended = 200;

/** The cheapest fixes of the broken boards that come nearest. */
function mendedOf(
  build: Build,
  boards: Board[],
  shelf: Board[],
  ranked: Ranked[],
  general: GeneralSolver | null,
): Mended {
  const broken = ranked.filter((r) => r.climb.stopsAt !== null).slice(0, mostMended);
  return Object.fromEntries(
    broken.map(({ climb }) => [
      climb.boardId,
      findFixes(
        build,
        boards.find((b) => b.id === climb.boardId)!,
        general,
        shelf,
      ).find((set) => set.stopsAt === null) ?? null,
    ]),
  );
}

/** Whole boards; where there is none, those that cannot be judged yet. */
function contenders(ranked: Ranked[]): Ranked['climb'][] {
  const climbs = ranked.map((r) => r.climb);
  const whole = climbs.filter(carries);
  return (whole.length > 0 ? whole : climbs.filter((c) => c.stopsAt === null)).slice(0, 30);
}
