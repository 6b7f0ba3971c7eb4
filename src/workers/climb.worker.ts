import {
  carries,
  keepingWhatIsEqual,
  likelyFirst,
  manyBoards,
  mostRemembered,
  newMemory,
  slimmed,
  stoppedEarly,
  type Board,
  type Build,
  type Climb,
} from '../core';
import { climbOf } from '../highs/climb';

export type ToClimber =
  | { kind: 'boards'; boards: Board[] }
  | { kind: 'build'; build: Build; run: number; known: string[] }
  | { kind: 'stop'; run: number };
/** Climbs as they are ready, a few at a time: taking many over at once would hold the page up. */
export interface FromClimber {
  run: number;
  climbs: Climb[];
  /** Boards whose climb is the one that was told last: what no edit has touched is not taken over again. */
  same: string[];
}

/** One of several that share a shelf; each has some of its boards. */
let boards: Board[] = [];
let memory = newMemory();
let last: Build | null = null;
/** Runs that are wanted: the newest one of the build at hand, and questions asked aside. */
const wanted = new Set<number>();
const sliceMs = 40;
/** Of very many boards, those of which what was worked out is kept: they are the ones that matter at the next edit. */
let remembered = new Set<string>();
/** What was told last of each board. */
let told = new WeakMap<Board, Climb>();

onmessage = (event: MessageEvent<ToClimber>) => {
  const said = event.data;
  if (said.kind === 'boards') [boards, memory, remembered, told] = [said.boards, newMemory(), new Set(), new WeakMap()];
  else if (said.kind === 'stop') wanted.delete(said.run);
  else {
    last = keepingWhatIsEqual(last, said.build);
    void climb(last, said.run, new Set(said.known));
  }
};

/** In slices, so that a word to stop comes through between them. `known`: boards that have climbed already. */
async function climb(build: Build, run: number, known: ReadonlySet<string>): Promise<void> {
  wanted.add(run);
  let found: { board: Board; climb: Climb }[] = [];
  let pause = performance.now() + sliceMs;
  const tell = () => {
    // Asked only now: another run may have spoken while this one waited for the general solver.
    const isTold = ({ board, climb }: (typeof found)[number]) => told.get(board) === climb;
    const fresh = found.filter((f) => !isTold(f));
    const same = found.filter(isTold).map(({ board }) => board.id);
    const climbs = fresh.map(({ climb }) => (many ? slimmed(climb) : climb));
    postMessage({ run, climbs, same } satisfies FromClimber);
    if (all) for (const { board, climb } of fresh) told.set(board, climb);
    found = [];
  };
  const many = boards.length > manyBoards;
  const all = boards.length <= mostRemembered;
  const asked = known.size > 0 ? boards.filter((b) => !known.has(b.id)) : boards;
  for (const board of many ? likelyFirst(build, asked) : asked) {
    const kept = all || remembered.has(board.id) ? memory : null;
    const early = many ? stoppedEarly(build, board, kept) : null;
    const climb = early ?? (await climbOf(build, board, kept));
    if (carries(climb)) remembered.add(board.id);
    else remembered.delete(board.id);
    found.push({ board, climb });
    if (performance.now() < pause) continue;
    tell();
    await new Promise((resolve) => setTimeout(resolve));
    if (!wanted.has(run)) return;
    pause = performance.now() + sliceMs;
  }
  wanted.delete(run);
  tell();
}
