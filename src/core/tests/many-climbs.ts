import type { Board } from '../records/board';
import type { Build } from '../records/build';
import type { Peripheral } from '../records/peripheral';
import { isCandidate } from '../sets/roles';
import { drawnBuild } from './drawn-build';
import { variedBoard } from './varied-board';

/** Pairs of a build and a board by which a change of the climb can be told from none: the demo's own, builds drawn from its library, and boards made from its boards. */
export function manyPairs(
  builds: readonly Build[],
  shelf: readonly Board[],
  library: readonly Peripheral[],
): { name: string; build: Build; board: Board }[] {
  const boards = shelf.filter(isCandidate);
  const own = builds.flatMap((build) => boards.map((board) => ({ name: `${build.id} ${board.id}`, build, board })));
  const drawn = Array.from({ length: 240 }, (_, i) => {
    const build = drawnBuild(i + 1, [8, 12, 16][i % 3]!, builds, library);
    return { name: `drawn-${i + 1} ${boards[i % boards.length]!.id}`, build, board: boards[i % boards.length]! };
  });
  const seeded = Array.from({ length: 1000 }, (_, i) => {
    const build = builds[Math.floor(i / boards.length) % builds.length]!;
    return { name: `${build.id} varied-${i + 1}`, build, board: variedBoard(i + 1, boards) };
  });
  return [...own, ...drawn, ...seeded];
}
