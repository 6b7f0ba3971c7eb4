import { evaluate, type Board, type Build, type Climb } from '../core';
import { generalSolver } from './general-solver';

/** One climb; where our own search is not done within its share, with the general solver's help. */
export async function climbOf(build: Build, board: Board): Promise<Climb> {
  const climb = evaluate(build, board);
  return climb.setAside ? evaluate(build, board, await generalSolver()) : climb;
}
