import { evaluate, type Climb } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { joined } from '../sets/join';
import { roleOf } from '../sets/roles';
import { rankClimbs } from './rank-shelf';
import { memberBound } from './set-bounds';

/** So many sets are climbed at most: it is asked for at each keystroke of an editor. */
const mostSets = 9;

/**
 * What an ESC or a power board comes to in the likeliest sets of the shelf, the best of those tried; null: the shelf has nothing to put it with. Not a search: the ladder has
 * the best sets.
 */
export function bestWith(build: Build, member: Board, shelf: readonly Board[]): Climb | null {
  const likely = (role: ReturnType<typeof roleOf>, most: number) =>
    shelf
      .filter((b) => roleOf(b) === role && b.id !== member.id)
      .map((b) => memberBound(build, b))
      .sort((a, b) => Number(a.out !== null) - Number(b.out !== null) || a.cents - b.cents)
      .slice(0, most)
      .map((m) => m.board);
  const esc = roleOf(member) === 'esc';
  const withEsc = esc || build.motors.esc === 'separate';
  const controllers = likely('controller', withEsc ? mostSets : Math.floor(Math.sqrt(mostSets)));
  const escs = withEsc ? [undefined] : likely('esc', Math.floor(Math.sqrt(mostSets)));
  const sets = controllers.flatMap((controller) =>
    escs.map((other) => joined({ controller, esc: esc ? member : other, power: esc ? undefined : member }, build)),
  );
  return rankClimbs(sets.map((set) => evaluate(build, set)))[0]?.climb ?? null;
}
