import { usePathname } from 'next/navigation';
import { parseAsString, useQueryState } from 'nuqs';
import { pickedId, type Ranked } from '@/core';
import { useRoom } from './store';

/**
 * The board that the work is about: the one that the address names, else the last pick, else the first of the ladder. `named`: the address names it, so that
 * the way to another stage keeps to it.
 */
export function useBoardAtHand(): { ranked: Ranked | null; named: boolean } {
  const { build, ranking } = useRoom('build', 'ranking');
  const [asked] = useQueryState('board', parseAsString);
  const open = /[/](?:board|hookup)[/]([^/]+)$/.exec(usePathname())?.[1];
  const of = (id: string | null | undefined) => ranking.ranked?.find((r) => r.climb.boardId === id) ?? null;
  const last = build.picks.at(-1);
  const named = of(open && decodeURIComponent(open)) ?? of(asked);
  return { ranked: named ?? of(last && pickedId(last)) ?? ranking.ranked?.[0] ?? null, named: named !== null };
}
