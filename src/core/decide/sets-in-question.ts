import type { Climb } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { isCandidate, roleOf } from '../sets/roles';
import { bestSets } from './best-sets';
import type { Ranked } from './rank-shelf';
import { newSetMemory } from './set-memory';

/** Of more members none is looked for: each wants a search of its own. */
const mostMembers = 60;
/** Sets wired at most for one member. */
const mostWired = 12;

/**
 * Sets that no order shows, since whole ones come before them, and that might be picked once more is known: of each member that is in no set that is ranked the best one, where it cannot be told. A
 * figure that is open is a member's, so it is open in its best set too.
 */
export function setsInQuestion(build: Build, shelf: readonly Board[], ranked: readonly Ranked[]): Climb[] {
  const shown = new Set(
    ranked.flatMap(({ climb }) => (climb.stopsAt === null ? (climb.members ?? []) : [])).map((m) => m.id),
  );
  const members = shelf.filter((b) => !isCandidate(b) || roleOf(b) === 'controller');
  const unseen = members.filter((b) => !shown.has(b.id));
  if (unseen.length > mostMembers) return [];
  // What one search works out of a pair another one finds.
  const memory = newSetMemory();
  const found = unseen.flatMap((member) => {
    const with_ = members.filter((b) => b === member || roleOf(b) !== roleOf(member));
    return bestSets(build, with_, { memory, keep: 1, most: mostWired }).climbs.filter(
      (c) => c.verdict === 'cannot say yet' && c.members!.some((m) => m.id === member.id),
    );
  });
  const known = new Set(ranked.map((r) => r.climb.boardId));
  return found.filter((c, i) => !known.has(c.boardId) && found.findIndex((f) => f.boardId === c.boardId) === i);
}
