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
  const tell = (
    climbs: Climb[],
    { tried, possible, out }: Pick<FromSetFinder, 'tried' | 'possible' | 'out'>,
    proved: boolean | null,
  ) =>
    postMessage({
      run,
      climbs: [...mine.filter((c) => !climbs.some((x) => x.boardId === c.boardId)), ...climbs],
      tried,
      possible,
      out,
      proved: proved === true,
      done: proved !== null,
    } satisfies FromSetFinder);
  // What was asked for is there at once: a page may be about it.
  if (asked.length > 0) tell([], { tried: 0, possible: 0, out: [] }, null);
  let pause = performance.now() + sliceMs;
  let told = performance.now();
  for (;;) {
    const { value, done = false } = search.next();
    if (done) return tell('climbs' in value ? value.climbs : [], value, 'proved' in value && value.proved);
    const now = performance.now();
    if (now > told + tellMs && 'shown' in value) {
      tell(value.shown(), value, null);
      told = performance.now();
    }
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
