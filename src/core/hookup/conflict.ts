import type { Lock } from '../model/build';
import { compile } from './compile';
import type { LaidPart } from './lay-out';
import { solve } from './solve';
import type { SolvedRung, Workshop } from './way';

/**
 * A smallest set of parts that cannot all be wired at rungs 4 to `upTo`: a minimal unsatisfiable subset,
 * found by dropping one part after the other and keeping those without which it would work.
 * Empty when all the parts can be wired together.
 */
export function smallestConflict(shop: Workshop, laid: LaidPart[], upTo: SolvedRung, locks: Lock[] = []): LaidPart[] {
  let core = laid;
  if (worksTogether(shop, core, upTo, locks)) return [];
  for (const part of laid) {
    const without = core.filter((l) => l !== part);
    if (!worksTogether(shop, without, upTo, locks)) core = without;
  }
  return core;
}

/** Can every one of these parts be wired at once, whatever it costs? */
export function worksTogether(shop: Workshop, laid: LaidPart[], upTo: SolvedRung, locks: Lock[] = []): boolean {
  const wanted = laid.map((l) => ({ ...l, part: { ...l.part, priority: 'must' as const } }));
  return solve(compile(shop, wanted, upTo, locks).problem).cost.must === 0;
}
