import type { Board } from '../records/board';
import type { Part } from '../records/build';
import type { Mode } from '../records/peripheral';
import type { GoodEnds } from './good-ends';

/** One thing that any board must have. A board that fails it does not carry the build, unless something is bought besides. */
export interface BriefLine {
  id: string;
  /** What a seller is asked for. */
  asks: string;
  /** Whose need it is: parts, or the craft itself. */
  because: string[];
  /** What would lower it, or null. */
  lower: string | null;
  fails: (board: Board) => boolean;
  /** What of it can be told from the columns of a large shelf (good-ends.ts): a board beyond one of these fails. */
  bounds?: readonly Bound[];
}

/** The most or the least that a column may hold. */
export type Bound = { figure: keyof GoodEnds } & ({ most: number } | { least: number });

/** The least over a part's ways of what each asks. */
export function leastOf(part: Part, count: (mode: Mode) => number): number {
  return Math.min(...part.peripheral.modes.map(count));
}
