import { usePathname } from 'next/navigation';
import { parseAsString, useQueryState } from 'nuqs';
import { pickedId, pickedName, type Build, type Ranked } from '@/core';
import { namedBoard } from './named-board';
import type { Ranking } from './room';
import { useRoom } from './store';

export interface BoardAtHand {
  /** null: on its way, or not there. Another board never stands in for one that is meant. */
  ranked: Ranked | null;
  /** The address names it, so that the way to another stage keeps to it. */
  named: boolean;
  /** What the address names and the order does not have, once all have climbed. */
  missing: string | null;
  /** The pick that is not there any more, whose place the first of the ladder has taken. */
  pickGone: string | null;
}

/** The board that the work is about: the one that the address names, else the last pick, else the first of the ladder. */
export function boardAtHand(
  asked: string | null,
  picks: Build['picks'],
  { ranked, busy }: Pick<Ranking, 'ranked' | 'busy'>,
): BoardAtHand {
  const of = (id: string) => ranked?.find((r) => r.climb.boardId === id) ?? null;
  const settled = ranked !== null && !busy;
  const none = { ranked: null, named: false, missing: null, pickGone: null };
  if (asked !== null) {
    const found = of(asked);
    return { ...none, ranked: found, named: found !== null, missing: found === null && settled ? asked : null };
  }
  const last = picks.at(-1);
  const picked = last ? of(pickedId(last)) : null;
  if (picked) return { ...none, ranked: picked };
  if (last && !settled) return none;
  return { ...none, ranked: ranked?.[0] ?? null, pickGone: last ? pickedName(last) : null };
}

export function useBoardAtHand(): BoardAtHand {
  const { build, ranking } = useRoom('build', 'ranking');
  const [asked] = useQueryState('board', parseAsString);
  return boardAtHand(namedBoard(usePathname(), asked), build.picks, ranking);
}
