import type { Board } from '../../records/board';

/** A board of another shelf beside those that are there: under an id, and where that would be the same, a name of its own. */
export function beside(board: Board, shelf: readonly Board[]): Board {
  let id = board.id;
  for (let n = 2; shelf.some((b) => b.id === id); n++) id = `${board.id}-${n}`;
  const called = (name: string) =>
    shelf.some((b) => b.maker === board.maker && b.name === name && b.revision === board.revision);
  let name = board.name;
  for (let n = 1; called(name); n++) name = `${board.name.slice(0, 60)} (theirs${n > 1 ? ` ${n}` : ''})`;
  return { ...board, id, name };
}
