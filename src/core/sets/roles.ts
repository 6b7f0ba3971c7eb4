import type { Board, Member } from '../records/board';
import { interval, isKnown } from '../quantity/figure';

/** What a shelf board can be in a set; null: it is bought alone (a stack, an all-in-one). */
export function roleOf({ kind }: Pick<Board, 'kind'>): Member['role'] | null {
  if (kind === 'flight controller') return 'controller';
  if (kind === 'esc' || kind === 'power board') return kind;
  return null;
}

/** May it carry a build by itself? An ESC or a power board cannot. */
export function isCandidate({ kind }: Pick<Board, 'kind'>): boolean {
  return kind !== 'esc' && kind !== 'power board';
}

/** Of an ESC with one channel there is one for each motor; it sits on the arm, outside the stack. */
export function isSingleEsc({ kind, esc }: Pick<Board, 'kind' | 'esc'>): boolean {
  return kind === 'esc' && isKnown(esc?.channels) && interval(esc.channels).high === 1;
}

/** The boards that a candidate is bought as, with how many of each: one, or the members of a set. */
export function bought(board: Board): readonly Pick<Member, 'board' | 'count'>[] {
  return board.members ?? [{ board, count: 1 }];
}

export function memberOf(board: Board, role: Member['role']): Member | undefined {
  return board.members?.find((m) => m.role === role);
}

/** The members that stand on each other in the bay, from the plate up. */
export function stacked(board: Board): readonly Board[] {
  if (!board.members) return [board];
  const order: Member['role'][] = ['power board', 'esc', 'controller'];
  return order.flatMap((role) => {
    const member = memberOf(board, role);
    return member && !isSingleEsc(member.board) ? [member.board] : [];
  });
}
