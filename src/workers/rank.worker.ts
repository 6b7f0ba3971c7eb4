import { evaluate, rankClimbs, type Board, type Build, type Climb, type Ranked } from '../core';

export type ToRanker = { kind: 'boards'; boards: Board[] } | { kind: 'build'; build: Build; run: number };
export interface FromRanker {
  run: number;
  ranked: Ranked[];
  done: number;
  total: number;
}

let boards: Board[] = [];
let newest = 0;
const sliceMs = 60;

onmessage = (event: MessageEvent<ToRanker>) => {
  if (event.data.kind === 'boards') boards = event.data.boards;
  else void rank(event.data.build, event.data.run);
};

/** Evaluates in slices so that a newer build can take over; posts once, when all boards are done. */
async function rank(build: Build, run: number): Promise<void> {
  newest = run;
  const climbs: Climb[] = [];
  let pause = performance.now() + sliceMs;
  for (const board of boards) {
    climbs.push(evaluate(build, board));
    if (performance.now() < pause) continue;
    await new Promise((resolve) => setTimeout(resolve));
    if (newest !== run) return;
    pause = performance.now() + sliceMs;
  }
  postMessage({ run, ranked: rankClimbs(climbs), done: climbs.length, total: boards.length } satisfies FromRanker);
}
