import type { Build, Part, Priority } from '../records/build';
import type { Peripheral } from '../records/peripheral';
import { dice } from './random-build';

/** A build with so many parts drawn from a library: the frame, pack and motors of one of the given builds, other limits, and its parts in a shuffled order. Repeatable by seed. */
export function drawnBuild(
  seed: number,
  count: number,
  builds: readonly Build[],
  library: readonly Peripheral[],
): Build {
  const roll = dice(seed * 2654435761);
  const below = (n: number) => Math.floor(roll() * n);
  const base = builds[below(builds.length)]!;
  const rest = library.slice();
  const parts = Array.from({ length: Math.min(count, rest.length) }, (_, i): Part => {
    const [peripheral] = rest.splice(below(rest.length), 1);
    const priority: Priority = i < count / 3 ? 'must' : (['must', 'should', 'nice'] as const)[below(3)]!;
    return { id: `part-${i}`, priority, onUsb: roll() < 0.15, owned: false, peripheral: peripheral! };
  });
  return {
    ...base,
    id: `drawn-${seed}`,
    name: `Drawn ${seed}`,
    parts,
    locks: {},
    fixes: {},
    limits: { takeOffMassG: 400 + below(1800), budgetCents: 20_000 + below(60_000) },
  };
}
