import { candidateAt, isCandidate, isSetId, type Board, type Build, type Ranked } from '@/core';
import { useRoom, useRoomPart } from './store';
import { useShelf } from './use-shelf';

/** Sets joined before, by their address, for the shelf and the craft at hand: what is drawn and what is explained is one and the same board. */
let joinedFor: { boards: Board[]; craft: string; known: Map<string, Board | null> } | null = null;

export function candidateOf(build: Build, boards: Board[], id: string): Board | null {
  if (!isSetId(id)) return candidateAt(build, boards, id);
  const craft = JSON.stringify([
    build.pack,
    build.morePacks,
    build.motors.count,
    build.motors.peakAmps,
    build.motors.atVolts,
  ]);
  if (joinedFor?.boards !== boards || joinedFor.craft !== craft) joinedFor = { boards, craft, known: new Map() };
  const { known } = joinedFor;
  if (!known.has(id)) known.set(id, candidateAt(build, boards, id));
  return known.get(id)!;
}

/** The board or set of an address; null while the shelf is on its way, and where there is none. */
export function useCandidate(id: string | null | undefined): Board | null {
  const { build } = useRoom('build');
  const { shelf } = useShelf();
  // While the rest of a large shelf is on its way.
  const likely = useRoomPart(({ ranking }) => ({ boards: ranking.partial?.boards })).boards;
  const boards = shelf?.boards ?? likely;
  return id && boards ? candidateOf(build, boards, id) : null;
}

/** What climbs: the boards that do so alone, and the sets of the order, joined. */
export function candidatesOf(build: Build, boards: Board[], ranked: Ranked[]): Board[] {
  const sets = ranked.flatMap(({ climb }) => (climb.members ? (candidateOf(build, boards, climb.boardId) ?? []) : []));
  return [...boards.filter(isCandidate), ...sets];
}
