import { evaluate, type Climb } from '../evaluate/climb';
import type { Board, Member } from '../records/board';
import type { Build } from '../records/build';
import { joined } from '../sets/join';
import { piecesOf, type Pieces } from '../sets/pieces';
import { roleOf } from '../sets/roles';
import type { GeneralSolver } from '../solver/budget';
import { memberBound, type MemberBound } from './set-bounds';

/** A set that comes of a candidate by one more member, or by another in the place of one. */
export interface OtherMember {
  words: string;
  climb: Climb;
  set: Board;
}

/** So many of each role are tried, the cheapest that do not fail alone first. */
const mostTried = 12;

/** Every way to put one ESC or power board of the shelf to a controller or set, or in the place of the one it has; each climbed. */
export function otherMembers(
  build: Build,
  candidate: Board,
  shelf: readonly Board[],
  general: GeneralSolver | null,
): OtherMember[] {
  const pieces = piecesOf(candidate) ?? (roleOf(candidate) === 'controller' ? { controller: candidate } : null);
  if (!pieces) return [];
  const roles: Member['role'][] = build.motors.esc === 'separate' ? ['power board'] : ['esc', 'power board'];
  return roles.flatMap((role) => {
    const now = role === 'esc' ? pieces.esc : pieces.power;
    return likeliest(build, shelf, role, now).flatMap(({ board }): OtherMember[] => {
      const next: Pieces = role === 'esc' ? { ...pieces, esc: board } : { ...pieces, power: board };
      // A controller alone is no set with a power board only, where its ESC is to be bought.
      if (!next.esc && build.motors.esc === 'on the board') return [];
      const set = joined(next, build);
      const words = now ? `Take ${board.name} instead of ${now.name}` : `Add ${board.name}`;
      return [{ words, set, climb: evaluate(build, set, general) }];
    });
  });
}

function likeliest(build: Build, shelf: readonly Board[], role: Member['role'], now: Board | undefined): MemberBound[] {
  return shelf
    .filter((b) => roleOf(b) === role && b.id !== now?.id)
    .map((b) => memberBound(build, b))
    .filter((m) => m.out === null)
    .sort((a, b) => a.cents - b.cents || a.board.id.localeCompare(b.board.id))
    .slice(0, mostTried);
}
