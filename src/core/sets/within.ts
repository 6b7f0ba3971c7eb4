import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { joined } from './join';
import { piecesOf } from './pieces';

/** A board of a candidate, and how the whole becomes another when that board is changed. */
export interface Within {
  board: Board;
  change: (whole: Board, by: (board: Board) => Board) => Board;
}

/** The boards of a candidate, each where it can be changed: itself, or the members of a set. */
export function boardsWithin(build: Pick<Build, 'pack' | 'morePacks' | 'motors'>, candidate: Board): Within[] {
  const members = candidate.members;
  if (!members) return [{ board: candidate, change: (whole, by) => by(whole) }];
  return members.map(({ board: { id }, board }) => ({
    board,
    change: (whole, by) => {
      const pieces = piecesOf(whole)!;
      const changed = (b: Board | undefined) => (b?.id === id ? by(b) : b);
      return joined(
        { controller: changed(pieces.controller)!, esc: changed(pieces.esc), power: changed(pieces.power) },
        build,
      );
    },
  }));
}
