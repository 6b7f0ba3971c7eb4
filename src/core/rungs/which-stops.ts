import type { Board } from '../records/board';
import { memberOf } from '../sets/roles';
import type { Finding } from './finding';

/** Findings that are about the ESC whichever board they are told of. */
const ofEsc: readonly Finding['code'][] = [
  'esc channels',
  'cruise current',
  'full throttle',
  'motor pads',
  'esc cells',
  'esc harness',
  'harness line',
];

/** The member of a set that a finding is about; null: it is about the set as a whole, or the board stands alone. */
export function memberMeant(board: Board, { member, code, rung }: Finding): string | null {
  if (!board.members) return null;
  if (member !== undefined) return member;
  if (ofEsc.includes(code)) return memberOf(board, 'esc')?.board.id ?? null;
  // Ports, buses and outputs are the controller's; height, rails, grams and money are made by all together.
  const ownRung = rung === 4 || rung === 5 || rung === 10;
  if (ownRung || code === 'motor outputs' || code === 'usb reach') return memberOf(board, 'controller')!.board.id;
  return null;
}
