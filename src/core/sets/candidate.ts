import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { joined } from './join';
import { isCandidate, roleOf } from './roles';
import { boardIdsIn, isSetId } from './set-id';

/** What an address names: a board of the shelf, or boards of it joined for this build; null where one of them is not there or they make no set. */
export function candidateAt(
  build: Pick<Build, 'pack' | 'morePacks' | 'motors'>,
  boards: readonly Board[],
  id: string,
): Board | null {
  const members = boardIdsIn(id).map((one) => boards.find((b) => b.id === one));
  if (!isSetId(id)) return members[0] && isCandidate(members[0]) ? members[0] : null;
  const as = (role: ReturnType<typeof roleOf>) => members.filter((b) => b !== undefined && roleOf(b) === role);
  const [controller, esc, power] = [as('controller'), as('esc'), as('power board')];
  if (controller.length !== 1 || esc.length > 1 || power.length > 1) return null;
  if (controller.length + esc.length + power.length !== members.length) return null;
  return joined({ controller: controller[0]!, esc: esc[0], power: power[0] }, build);
}
