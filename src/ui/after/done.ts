import type { Build, Step } from '@/core';

/** Under what a step of the sheet of a board is ticked off. */
export function doneKey(board: string, s: Step): string {
  return `${board} ${s.key}`.slice(0, 120);
}

/** The build with the step ticked, or no longer. */
export function ticked(build: Build, board: string, s: Step): Build {
  const key = doneKey(board, s);
  const { [key]: was, ...rest } = build.done;
  return { ...build, done: was ? rest : { ...build.done, [key]: true } };
}

/** How many steps of the sheet of a board are ticked off. */
export function doneOn({ done }: Build, board: string): number {
  return Object.keys(done).filter((key) => key.startsWith(`${board} `)).length;
}
