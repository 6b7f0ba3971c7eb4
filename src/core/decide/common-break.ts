import type { Finding, RungName } from '../rungs/finding';
import type { Ranked } from './rank-shelf';

/** What stands in the way of every board on the shelf. */
export interface CommonBreak {
  rung: RungName;
  /** The parts or figures that it is about on every one of them; often none. */
  about: string[];
  /** How the board that stands first fails. */
  board: string;
  finding: Finding;
}

/** The lowest rung that breaks on every board; null where none does, or the shelf is empty. */
export function commonBreak(ranked: readonly Ranked[]): CommonBreak | null {
  const first = ranked[0]?.climb;
  if (!first) return null;
  for (const { rung, name } of first.rungs) {
    const breaks = ranked.map(({ climb }) => climb.rungs[rung - 1]!.findings.filter((f) => f.state === 'breaks'));
    const finding = breaks[0]![0];
    if (!finding || ranked.some(({ climb }) => climb.rungs[rung - 1]!.state !== 'breaks')) continue;
    const about = [...new Set(breaks[0]!.map((f) => f.about))].filter((a) =>
      breaks.every((own) => own.some((f) => f.about === a)),
    );
    return { rung: name, about, board: first.boardName, finding };
  }
  return null;
}
