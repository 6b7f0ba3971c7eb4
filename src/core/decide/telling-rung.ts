import type { Climb, Rung } from '../evaluate/climb';
import { firstSentence } from '../words/finding/sentence-of';
import type { Ranked } from './rank-shelf';

/** The rung whose reason is written beside a board: the break, else the first unknown, else the first strained one. */
export function tellingRung(climb: Climb): Rung | null {
  const of = (state: Rung['state']) => climb.rungs.find((r) => r.state === state);
  return of('breaks') ?? of('unknown') ?? of('strained') ?? null;
}

/** One place of an order, in what a phone or a program needs of it. */
export interface RankedRow {
  rank: number;
  id: string;
  name: string;
  maker: string;
  verdict: Climb['verdict'];
  /** The rung that tells most, and its first sentence; null where all holds. */
  rung: string | null;
  why: string | null;
  takeOffMassG: Climb['massG'];
  toPayCents: number | null;
}

export function rankedRow({ rank, climb }: Ranked): RankedRow {
  const tells = tellingRung(climb);
  return {
    rank,
    id: climb.boardId,
    name: climb.boardName,
    maker: climb.maker,
    verdict: climb.verdict,
    rung: tells?.name ?? null,
    why: firstSentence(tells) || null,
    takeOffMassG: climb.massG,
    toPayCents: climb.totalCents,
  };
}
