import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { isSingleEsc } from '../sets/roles';
import { boardKey } from './basket';

/** The build with boards said to be at home, or not to be. A single ESC is worth having only one a motor; how many there really are is said in the basket. */
export function withAtHome(build: Build, boards: readonly Board[], there: boolean): Build {
  const all = (board: Board) => (isSingleEsc(board) ? Math.max(1, build.motors.count) : 1);
  const said = boards.map((b) => [boardKey(b), there ? all(b) : 0] as const);
  return { ...build, atHome: { ...build.atHome, ...Object.fromEntries(said) } };
}
