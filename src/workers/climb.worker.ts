import { keepingWhatIsEqual, newMemory, type Board, type Build, type Climb } from '../core';
import { climbOf } from '../highs/climb';

export type ToClimber =
  { kind: 'boards'; boards: Board[] } | { kind: 'build'; build: Build; run: number } | { kind: 'stop'; run: number };
/** Climbs as they are ready, a few at a time: taking many over at once would hold the page up. */
export interface FromClimber {
  run: number;
  climbs: Climb[];
}

/** One of several that share a shelf; each has some of its boards. */
let boards: Board[] = [];
let memory = newMemory();
let last: Build | null = null;
/** Runs that are wanted: the newest one of the build at hand, and questions asked aside. */
const wanted = new Set<number>();
const sliceMs = 40;

onmessage = (event: MessageEvent<ToClimber>) => {
  const said = event.data;
  if (said.kind === 'boards') [boards, memory] = [said.boards, newMemory()];
  else if (said.kind === 'stop') wanted.delete(said.run);
  else {
    last = keepingWhatIsEqual(last, said.build);
    void climb(last, said.run);
  }
};

/** In slices, so that a word to stop comes through between them. */
async function climb(build: Build, run: number): Promise<void> {
  wanted.add(run);
  let climbs: Climb[] = [];
  let pause = performance.now() + sliceMs;
  const tell = () => postMessage({ run, climbs } satisfies FromClimber);
  for (const board of boards) {
    climbs.push(await climbOf(build, board, memory));
    if (performance.now() < pause) continue;
    tell();
    climbs = [];
    await new Promise((resolve) => setTimeout(resolve));
    if (!wanted.has(run)) return;
    pause = performance.now() + sliceMs;
  }
  wanted.delete(run);
  tell();
}
