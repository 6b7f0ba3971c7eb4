import type { Board } from '../records/board';
import { variedBoard } from './varied-board';

/** A shelf of so many of each kind, made from the boards of that kind with other figures; repeatable by seed. */
export function variedShelf(
  seed: number,
  counts: Partial<Record<Board['kind'], number>>,
  boards: readonly Board[],
): Board[] {
  return Object.entries(counts).flatMap(([kind, count], k) => {
    const models = boards.filter((b) => b.kind === kind);
    return Array.from({ length: count }, (_, i) => {
      const id = `${kind.replaceAll(' ', '-')}-${i + 1}`;
      return { ...variedBoard(seed * 10_007 + k * 2003 + i, models), id, name: id };
    });
  });
}
