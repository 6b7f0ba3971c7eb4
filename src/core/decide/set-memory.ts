import { newMemory, type Memory } from '../evaluate/memory';
import { whatWires } from '../evaluate/what-wires';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { joined } from '../sets/join';
import type { Pieces } from '../sets/pieces';
import { setId } from '../sets/set-id';

/**
 * The sets that were made of the boards of a shelf for a build, and what was worked out of them. An edit that changes no wiring (a limit, a wish, what is at home) finds them as they were; any other makes them
 * anew. The caller keeps what an edit has not touched (`keepingWhatIsEqual`), and takes a new memory for another shelf.
 */
export interface SetMemory {
  for: readonly unknown[];
  made: Map<string, Board>;
  climbs: Memory;
}

export function newSetMemory(): SetMemory {
  return { for: [], made: new Map(), climbs: newMemory() };
}

/** Sets kept: the first that a search makes, which the next one begins with too. */
const mostMade = 400;

/** Makes the sets of a build, under the name of their address if no other is said: those of the memory not again. Without one nothing is kept beyond this search. */
export function setsMade(
  memory: SetMemory | null,
  build: Build,
): { climbs: Memory; joined: (pieces: Pieces, name?: string) => Board } {
  if (!memory) return { climbs: newMemory(), joined: (pieces) => joined(pieces, build) };
  const now = whatWires(build);
  if (now.some((field, i) => field !== memory.for[i])) {
    memory.for = now;
    memory.made.clear();
  }
  return {
    climbs: memory.climbs,
    joined: (pieces, name = addressOf(pieces)) => {
      const set = memory.made.get(name) ?? joined(pieces, build);
      if (memory.made.size < mostMade) memory.made.set(name, set);
      return set;
    },
  };
}

function addressOf({ controller, esc, power }: Pieces): string {
  return setId([controller, esc, power].flatMap((b) => b?.id ?? []));
}
