import { evaluate, notClimbed, readData, type Board, type Build, type Climb, type Memory } from '../core';
import { generalSolver } from './general-solver';

/**
 * One climb; where our own search is not done within its share, with the general solver's help. A board that makes the climb fail is set aside with the reason, so that it
 * holds no other one up.
 */
export async function climbOf(build: Build, board: Board, memory: Memory | null = null): Promise<Climb> {
  try {
    const climb = evaluate(build, board, null, memory);
    return climb.setAside ? evaluate(build, board, await generalSolver(), memory) : climb;
  } catch (error) {
    console.error(error);
    return notClimbed(build, board, whyOf(board, error));
  }
}

function whyOf(board: Board, error: unknown): string {
  const read = readData(board, 'rung-board');
  if (!read.ok)
    return `The board is stored in a way that this Rung cannot read: ${read.faults.map((f) => `${f.field}: ${f.sentence}`).join(' ')}`;
  return `A fault of ours stopped the climb (${error instanceof Error ? error.message : String(error)}). The board is as it was.`;
}
