import type { Build } from '../records/build';

/** The fields of a build that rungs 1 to 7 and the hookup depend on; `memory.test.ts` holds that there are no others. */
export function whatWires({
  parts,
  pack,
  morePacks,
  radio,
  motors,
  frame,
  policies,
  locks,
  fixes,
  capacitor,
}: Build): unknown[] {
  return [parts, pack, morePacks, radio, motors, frame, policies, locks, fixes, capacitor];
}
