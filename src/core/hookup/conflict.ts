import { marginCapPercent } from '../trade/comfort';
import type { Lock } from '../model/build';
import { compile } from './compile';
import { noCost } from './cost';
import type { LaidPart } from './lay-out';
import { seatsOf } from './options';
import type { Problem } from './problem';
import { worksAtAll } from './solve';
import type { SolvedRung, Workshop } from './way';

/**
 * A smallest set of the wanted parts that cannot all be wired at rungs 4 to `upTo`: a minimal unsatisfiable subset,
 * found by dropping one part after the other and keeping those without which it would work. `all` are the parts of the build: one that is not wanted
 * may stand in or out, for others can hang on it. Empty when all the wanted parts can be wired together.
 */
export function smallestConflict(shop: Workshop, all: LaidPart[], wanted: LaidPart[], upTo: SolvedRung, locks: Lock[] = []): LaidPart[] {
  const works = worker(shop, all, upTo, locks);
  let core = wanted;
  if (works(core)) return [];
  for (const part of wanted) {
    const without = core.filter((l) => l !== part);
    if (!works(without)) core = without;
  }
  return core;
}

/** Can every one of the wanted parts be wired at once, whatever it costs? */
export function worksTogether(shop: Workshop, all: LaidPart[], wanted: LaidPart[], upTo: SolvedRung, locks: Lock[] = []): boolean {
  return worker(shop, all, upTo, locks)(wanted);
}

/** Compiles once, without prices and margins, which merges most ways; then answers for any subset of the parts. */
function worker(shop: Workshop, all: LaidPart[], upTo: SolvedRung, locks: Lock[]): (wanted: LaidPart[]) => boolean {
  const problem = priceless(compile(shop, all, upTo, locks).problem);
  const seats = seatsOf(problem, marginCapPercent);
  return (wanted) =>
    worksAtAll(
      seats.problem,
      // Only a part that others can ride on or feed from matters when it is not wanted.
      seats.lists.flatMap((list, s) => {
        const laid = all[seats.part[s]!]!;
        return wanted.includes(laid) ? [list.filter((o) => o.pick !== null)] : laid.unmetTags ? [list] : [];
      }),
    );
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
