import { evaluate, notClimbed, type Board, type Build, type Climb, type Memory } from '../core';
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
    // What reads a file is as large as what climbs, and hardly ever wanted here.
    const why = await import('./why-not-climbed').then(
      ({ whyNotClimbed }) => whyNotClimbed(board, error),
      () =>
        'A fault stopped the climb, and the server does not answer, so that it cannot be told which. The board is as it was.',
    );
    return notClimbed(build, board, why);
  }
}
