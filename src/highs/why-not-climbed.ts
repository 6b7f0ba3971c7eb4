import { readData, type Board } from '../core';

/** What to say of a board that made its climb fail: that it is stored in a way that cannot be read, or that the fault is ours. */
export function whyNotClimbed(board: Board, error: unknown): string {
  const read = readData(board, 'rung-board');
  if (!read.ok)
    return `The board is stored in a way that this Rung cannot read: ${read.faults.map((f) => `${f.field}: ${f.sentence}`).join(' ')}`;
  return `A fault of ours stopped the climb (${error instanceof Error ? error.message : String(error)}). The board is as it was.`;
}
