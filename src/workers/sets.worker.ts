import {
  candidateAt,
  evaluate,
  keepingWhatIsEqual,
  mostSetsOfMany,
  newSetMemory,
  notClimbed,
  searchSets,
  type Board,
  type Build,
  type Climb,
  type MemberOut,
} from '../core';

export type ToSetFinder =
  /** `many`: they are of so large a shelf that fewer sets are tried. */
  | { kind: 'boards'; boards: Board[]; many: boolean }
  | { kind: 'build'; build: Build; asked: string[]; run: number }
  /** Just these sets, aside from the search. */
  | { kind: 'these'; build: Build; asked: string[]; aside: number }
  | { kind: 'stop' };

/** Sets that were asked for aside. */
export interface FromAside {
  aside: number;
  climbs: Climb[];
}

/** The sets found so far; the last of a run is the answer. */
export interface FromSetFinder {
  run: number;
  climbs: Climb[];
  tried: number;
  possible: number;
  out: MemberOut[];
  proved: boolean;
  done: boolean;
}

let boards: Board[] = [];
let many = false;
let memory = newSetMemory();
let last: Build | null = null;
/** The newest run; an older one ends at its next slice. */
let wanted = 0;
const sliceMs = 40;
const tellMs = 1500;

onmessage = ({ data: said }: MessageEvent<ToSetFinder>) => {
  if (said.kind === 'boards') [boards, many, memory] = [said.boards, said.many, newSetMemory()];
  else if (said.kind === 'stop') wanted = 0;
  else if (said.kind === 'these') {
    const climbs = said.asked.flatMap((id) => climbOf(said.build, id) ?? []);
    postMessage({ aside: said.aside, climbs } satisfies FromAside);
  } else {
    wanted = said.run;
    last = keepingWhatIsEqual(last, said.build);
    void find(last, said.asked, said.run);
  }
};

/** In slices, so that a word to stop comes through between them. */
async function find(build: Build, asked: string[], run: number): Promise<void> {
  const mine = asked.flatMap((id) => climbOf(build, id) ?? []);
  const search = searchSets(build, boards, { memory, ...(many ? { most: mostSetsOfMany } : {}) });
  let pause = performance.now() + sliceMs;
  let told = performance.now();
  for (;;) {
    const { value, done = false } = search.next();
    if (done || performance.now() > told + tellMs) {
      const found = 'climbs' in value ? value.climbs : value.shown();
      const climbs = [...mine.filter((c) => !found.some((x) => x.boardId === c.boardId)), ...found];
      const { tried, possible, out } = value;
      postMessage({
        run,
        climbs,
        tried,
        possible,
        out,
        done,
        proved: 'proved' in value && value.proved,
      } satisfies FromSetFinder);
      told = performance.now();
    }
    const now = performance.now();
    if (done) return;
    if (now < pause) continue;
    await new Promise((resolve) => setTimeout(resolve));
    if (wanted !== run) return;
    pause = performance.now() + sliceMs;
  }
}

/** A set that the buyer put together; none where a member has left the shelf. */
function climbOf(build: Build, id: string): Climb | null {
  const set = candidateAt(build, boards, id);
  if (!set) return null;
  try {
    return evaluate(build, set);
  } catch (error) {
    console.error(error);
    return notClimbed(build, set, 'A fault of ours stopped the climb of this set. Its boards are as they were.');
  }
}
