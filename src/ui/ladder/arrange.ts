import {
  boardIdsIn,
  boardKey,
  firstSentence,
  tellingRung,
  type Board,
  type Build,
  type Mended,
  type Ranked,
} from '@/core';
import type { View } from './Filters';
import { isMadeOf } from './stop';

function mendedBy(filter: NonNullable<View['fix']>, set: Mended[string] | undefined): boolean {
  if (set === undefined) return false;
  if (set === null) return filter === 'nothing found';
  if (filter === 'another member') return set.becomes !== null;
  return filter === 'anything' || set.fixes.some((f) => f.kind === filter);
}

/** The rows that the filters leave, in the order asked for. */
export function arrange(
  ranked: Ranked[],
  { q, sort, hide, stops, most, light, fix, of, with: controller, home }: View,
  mended: Mended | null,
  kinds: ReadonlyMap<string, Board['kind']>,
  atHome: Build['atHome'],
): Ranked[] {
  const word = q.trim().toLowerCase();
  const shown = ranked.filter(({ climb }) => {
    if (hide.includes(climb.verdict)) return false;
    const ids = boardIdsIn(climb.boardId);
    if (of !== null && isMadeOf(climb, kinds.get(climb.boardId)) !== of) return false;
    if (controller !== null && !ids.includes(controller)) return false;
    if (home && !ids.some((id) => (atHome[boardKey({ id })] ?? 0) > 0)) return false;
    if (stops !== null && climb.stopsAt !== stops) return false;
    if (fix && mended && !mendedBy(fix, mended[climb.boardId])) return false;
    if (most !== null && (climb.totalCents ?? Infinity) > most * 100) return false;
    if (light !== null && (climb.massG.high ?? Infinity) > light) return false;
    if (!word) return true;
    const text = `${climb.boardName} ${climb.maker} ${climb.verdict} ${tellingRung(climb)?.name ?? ''} ${firstSentence(tellingRung(climb))}`;
    return text.toLowerCase().includes(word);
  });
  const by = {
    rank: (a: Ranked, b: Ranked) => a.rank - b.rank,
    price: (a: Ranked, b: Ranked) => (a.climb.totalCents ?? Infinity) - (b.climb.totalCents ?? Infinity),
    grams: (a: Ranked, b: Ranked) => (a.climb.massG.high ?? Infinity) - (b.climb.massG.high ?? Infinity),
    name: (a: Ranked, b: Ranked) => a.climb.boardName.localeCompare(b.climb.boardName),
  }[sort];
  return [...shown].sort(by);
}
