import { evaluate, type Climb } from '../evaluate/climb';
import type { FixSet } from './find-fixes';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import type { GeneralSolver } from '../solver/budget';
import { carries } from '../evaluate/outcome';
import { rungNames } from '../trade/rungs';
import { scoreOf, type Span } from './score';

export interface Ranked {
  rank: number;
  climb: Climb;
  /** 0 to 1, an interval where figures are unknown; only compares boards of the same class. */
  score: Span;
}

/** The cheapest set of fixes of each broken board that was looked at, by board; null: none was found. */
export type Mended = Readonly<Record<string, FixSet | null>>;

const verdicts = ['fits', 'fits with work', 'cannot say yet', 'does not fit'] as const;

/**
 * All boards, best first: whole boards before undecided before broken ones; among whole ones by the lower end of their score,
 * among broken ones by the rung reached, then, where fixes have been looked for, by what the cheapest one leaves out and costs, then by how many rungs below it are unknown, then by how heavy or dear they are where that is what stops them. Ties fall to the cheaper board, then to the name.
 */
export function rankShelf(build: Build, shelf: readonly Board[], general: GeneralSolver | null = null): Ranked[] {
  return rankClimbs(shelf.map((board) => evaluate(build, board, general)));
}

/** The board that is picked of these, or null where none surely carries the build. */
export function firstOf(climbs: readonly Climb[]): string | null {
  const first = rankClimbs(climbs)[0];
  return first && carries(first.climb) ? first.climb.boardId : null;
}

export function rankClimbs(climbs: readonly Climb[], mended: Mended = {}): Ranked[] {
  return climbs
    .map((climb) => ({ climb, score: scoreOf(climb) }))
    .sort(
      (a, b) =>
        whole(a.climb) - whole(b.climb) ||
        (b.climb.stopsAt ?? 11) - (a.climb.stopsAt ?? 11) ||
        mending(a.climb) - mending(b.climb) ||
        open(a.climb) - open(b.climb) ||
        over(a.climb) - over(b.climb) ||
        b.score.low - a.score.low ||
        b.score.high - a.score.high ||
        (a.climb.totalCents ?? Infinity) - (b.climb.totalCents ?? Infinity) ||
        a.climb.boardName.localeCompare(b.climb.boardName) ||
        a.climb.boardId.localeCompare(b.climb.boardId),
    )
    .map((r, i) => ({ rank: i + 1, ...r }));

  /** Cents, with every part left out above all money; nothing found is worst. */
  function mending({ boardId }: Climb): number {
    const set = mended[boardId];
    if (set === undefined) return 0;
    if (set === null) return Number.MAX_VALUE;
    return set.leftOut.length * 1e9 + set.cents;
  }
}

/** Rungs below the one that a broken board stops at which nobody can judge: known trouble comes before unknown. */
function open({ stopsAt, rungs }: Climb): number {
  return stopsAt === null ? 0 : rungs.filter((r) => r.rung < stopsAt && r.state === 'unknown').length;
}

/** Grams or cents where those are what a board stops at: the nearest to the limit comes first. */
function over({ stopsAt, massG, totalCents }: Climb): number {
  if (stopsAt === null) return 0;
  const stop = rungNames[stopsAt - 1];
  if (stop === 'Weight') return massG.low;
  if (stop === 'Cost') return totalCents ?? Number.MAX_VALUE;
  return 0;
}

/** Boards that fit, with or without work, share one class: the score tells them apart. What was set aside comes after all others. */
function whole(climb: Climb): number {
  return climb.setAside ? verdicts.length : Math.max(1, verdicts.indexOf(climb.verdict));
}
