import type { Lock } from '../model/build';
import { compile } from './compile';
import { cost, noCost } from './cost';
import type { LaidPart } from './lay-out';
import type { Problem } from './problem';
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

/** Can every one of these parts be wired at once, whatever it costs? Asked without prices and margins, which merges most ways. */
export function worksTogether(shop: Workshop, laid: LaidPart[], upTo: SolvedRung, locks: Lock[] = []): boolean {
  const wanted = laid.map((l) => ({ ...l, part: { ...l.part, priority: 'must' as const } }));
  return solve(priceless(compile(shop, wanted, upTo, locks).problem)).cost.must === 0;
}

/** The same problem where nothing costs anything but leaving a part out. */
export function priceless(problem: Problem): Problem {
  return {
    rows: problem.rows.map(({ id, group, limit }) => ({ id, group, limit })),
    tags: problem.tags.map((t) => ({ id: t.id, once: t.once.map(() => noCost) })),
    parts: problem.parts.map((p) => ({
      ...p,
      unmet: cost({ must: p.unmet.must }),
      modes: p.modes.map((m) => ({ ...m, cost: noCost, needs: m.needs.map((n) => ({ ...n, choices: n.choices.map((c) => ({ ...c, cost: noCost, margin: Infinity })) })) })),
    })),
  };
}
