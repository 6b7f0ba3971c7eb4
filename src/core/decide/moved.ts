import type { Climb } from '../evaluate/climb';
import { sentenceOf } from '../words/finding/sentence-of';
import type { Ranked } from './rank-shelf';

/** One board that stands elsewhere, or is judged otherwise, than before. */
export interface Moved {
  boardId: string;
  name: string;
  from: number;
  to: number;
  before: Climb['verdict'];
  after: Climb['verdict'];
  /** What changed on the lowest rung that changed, in one sentence; null when only others moved past it. */
  because: string | null;
}

/** What a change of the build did to the order: boards whose verdict or any rung changed first, then those that were only passed. */
export function whatMoved(before: readonly Ranked[], after: readonly Ranked[]): Moved[] {
  const old = new Map(before.map((r) => [r.climb.boardId, r]));
  return after
    .flatMap(({ climb, rank }): Moved[] => {
      const was = old.get(climb.boardId);
      if (!was) return [];
      const because = changedRung(was.climb, climb);
      if (was.rank === rank && was.climb.verdict === climb.verdict && because === null) return [];
      return [
        {
          boardId: climb.boardId,
          name: climb.boardName,
          from: was.rank,
          to: rank,
          before: was.climb.verdict,
          after: climb.verdict,
          because,
        },
      ];
    })
    .sort((a, b) => weight(a) - weight(b) || Math.min(a.from, a.to) - Math.min(b.from, b.to));
}

function weight(m: Moved): number {
  if (m.before !== m.after) return 0;
  if (m.because !== null) return 1;
  return 2;
}

function changedRung(was: Climb, is: Climb): string | null {
  for (let i = 0; i < is.rungs.length; i++) {
    const [a, b] = [was.rungs[i]!, is.rungs[i]!];
    if (a.state === b.state) continue;
    const telling =
      b.state === 'holds' ? a.findings.find((f) => f.state === a.state) : b.findings.find((f) => f.state === b.state);
    return `${b.name} ${b.state} (${a.state} before)${telling ? `: ${b.state === 'holds' ? 'no longer: ' : ''}${sentenceOf(telling)}` : ''}`;
  }
  return null;
}
