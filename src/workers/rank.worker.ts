import { evaluate, rankClimbs, type Board, type Build, type Climb, type Ranked } from '../core';

export type ToRanker = { kind: 'boards'; boards: Board[] } | { kind: 'build'; build: Build; run: number } | { kind: 'stop' } | { kind: 'ask'; build: Build; ask: number };
/** Progress while boards climb; then all of them, ranked. `ask` answers a question aside, without touching the build at hand. */
export type FromRanker = { kind: 'ranked'; run: number; ranked: Ranked[] } | { kind: 'progress'; run: number; done: number; total: number } | { kind: 'answer'; ask: number; ranked: Ranked[] };

let boards: Board[] = [];
let newest = 0;
const sliceMs = 60;

onmessage = (event: MessageEvent<ToRanker>) => {
  const said = event.data;
  if (said.kind === 'boards') boards = said.boards;
  else if (said.kind === 'stop') newest = -1;
  else if (said.kind === 'build') void rank(said.build, said.run);
  else void climbAll(said.build, () => true).then((climbs) => climbs && tell({ kind: 'answer', ask: said.ask, ranked: rankClimbs(climbs) }));
};

function tell(said: FromRanker): void {
  postMessage(said);
}

/** A newer build takes over: the older one is dropped where it stands. */
async function rank(build: Build, run: number): Promise<void> {
  newest = run;
  const climbs = await climbAll(build, (done) => {
    if (newest !== run) return false;
    tell({ kind: 'progress', run, done, total: boards.length });
    return true;
  });
  if (climbs) tell({ kind: 'ranked', run, ranked: rankClimbs(climbs) });
}

/** Evaluates in slices so that other messages come through between them; null when `goesOn` says no. */
async function climbAll(build: Build, goesOn: (done: number) => boolean): Promise<Climb[] | null> {
  const climbs: Climb[] = [];
  let pause = performance.now() + sliceMs;
  for (const board of boards) {
    climbs.push(evaluate(build, board));
    if (performance.now() < pause) continue;
    await new Promise((resolve) => setTimeout(resolve));
    if (!goesOn(climbs.length)) return null;
    pause = performance.now() + sliceMs;
  }
  return climbs;
}
