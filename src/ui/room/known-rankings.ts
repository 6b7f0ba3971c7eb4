import type { Climb, MemberOut } from '@/core';
import { keptAnswers } from './kept-answers';

/** A whole order of the shelf as it was worked out, with the sets that were found. */
export interface KnownRanking {
  alone: Climb[];
  sets: { climbs: Climb[]; tried: number; possible: number; out: MemberOut[]; proved: boolean } | null;
}

/** Those of the builds that one goes back to. */
export const knownRankings = keptAnswers<KnownRanking>('rung-rankings', 'rankings', 6);
