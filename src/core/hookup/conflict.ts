import { marginCapPercent } from '../trade/comfort';
import type { Lock } from '../model/build';
import { compile } from './compile';
import { noCost } from './cost';
import type { LaidPart } from './lay-out';
import { optionsOf } from './options';
import type { Problem } from './problem';
import { worksAtAll } from './solve';
import type { SolvedRung, Workshop } from './way';

/**
 * A smallest set of parts that cannot all be wired at rungs 4 to `upTo`: a minimal unsatisfiable subset,
 * found by dropping one part after the other and keeping those without which it would work.
 * Empty when all the parts can be wired together.
 */
export function smallestConflict(shop: Workshop, laid: LaidPart[], upTo: SolvedRung, locks: Lock[] = []): LaidPart[] {
  const works = worker(shop, laid, upTo, locks);
  let core = laid.map((_, i) => i);
  if (works(core)) return [];
  for (const part of [...core]) {
    const without = core.filter((i) => i !== part);
    if (!works(without)) core = without;
  }
  return core.map((i) => laid[i]!);
}

/** Can every one of these parts be wired at once, whatever it costs? */
export function worksTogether(shop: Workshop, laid: LaidPart[], upTo: SolvedRung, locks: Lock[] = []): boolean {
  return worker(shop, laid, upTo, locks)(laid.map((_, i) => i));
}

/** Compiles once, without prices and margins, which merges most ways; then answers for any subset of the parts. */
function worker(shop: Workshop, laid: LaidPart[], upTo: SolvedRung, locks: Lock[]): (parts: number[]) => boolean {
  const problem = priceless(compile(shop, laid, upTo, locks).problem);
  const options = problem.parts.map((p) => optionsOf(p, marginCapPercent).filter((o) => o.pick !== null));
  return (parts) => worksAtAll(problem, parts.map((i) => options[i]!));
}

/** The same problem where nothing costs anything. */
function priceless(problem: Problem): Problem {
  return {
    rows: problem.rows.map(({ id, group, limit }) => ({ id, group, limit })),
    tags: problem.tags.map((t) => ({ id: t.id, once: t.once.map(() => noCost) })),
    parts: problem.parts.map((p) => ({
      ...p,
      // Whatever uses nothing would beat every way of a part if leaving it out were free as well.
      unmet: { ...noCost, must: 1 },
      modes: p.modes.map((m) => ({ ...m, cost: noCost, needs: m.needs.map((n) => ({ ...n, choices: n.choices.map((c) => ({ ...c, cost: noCost, margin: Infinity })) })) })),
    })),
  };
}
