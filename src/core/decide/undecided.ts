import type { Finding } from '../rungs/finding';
import type { Ranked } from './rank-shelf';

/** A board of which it cannot be said whether it carries the build, with what it hangs on. */
export interface Undecided {
  boardId: string;
  /** The board itself; of a set, its members. */
  of: string[];
  name: string;
  rank: number;
  hangsOn: { rung: string; finding: Finding }[];
}

/** All boards that cannot be told yet, best first: what the ladder counts as such, and nothing else. */
export function undecidedBoards(ranked: readonly Ranked[]): Undecided[] {
  return ranked
    .filter(({ climb }) => climb.verdict === 'cannot say yet')
    .map(({ climb, rank }) => ({
      boardId: climb.boardId,
      of: climb.members?.map((m) => m.id) ?? [climb.boardId],
      name: climb.boardName,
      rank,
      hangsOn: climb.rungs.flatMap((r) =>
        r.findings.filter((f) => f.state === 'unknown').map((finding) => ({ rung: r.name, finding })),
      ),
    }));
}
