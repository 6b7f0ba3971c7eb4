import type { Lock } from '../records/build';
import { compile } from './compile';
import { noCost } from '../solver/cost';
import type { LaidPart } from './laid';
import { seatsOf, type Seats } from '../solver/seats';
import type { Problem } from '../solver/problem';
import { marginCapPercent } from '../solver/margin-steps';
import { worksAtAll } from '../solver/solve';
import type { SolvedRung, Workshop } from './way';

/** Can every one of the wanted parts be wired at once at rungs 4 to `upTo`, whatever it costs? */
export type Jury = (wanted: readonly LaidPart[], upTo: SolvedRung) => boolean;

/**
 * Answers for any parts of a build on a board. `all` are the parts of the build: one that is not wanted may stand in or out, for others can hang on it.
 * Each rung is compiled once, without prices and margins, which merges most ways; no question is worked out twice.
 */
export function juryOf(shop: Workshop, all: LaidPart[], locks: Lock[] = []): Jury {
  const seatsAt = new Map<SolvedRung, Seats>();
  const known = new Map<string, boolean>();
  return (wanted, upTo) => {
    const key = `${upTo} ${all.map((l) => (wanted.includes(l) ? 1 : 0)).join('')}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const seats = seatsAt.get(upTo) ?? seatsOf(priceless(compile(shop, all, upTo, locks).problem), marginCapPercent);
    seatsAt.set(upTo, seats);
    const lists = seats.lists.flatMap((list, s) => {
      const laid = all[seats.part[s]!]!;
      // Only a part that others can ride on or feed from matters when it is not wanted.
      if (wanted.includes(laid)) return [list.filter((o) => o.pick !== null)];
      if (laid.unmetTags) return [list];
      return [];
    });
    const works = worksAtAll({ ...seats, lists }, shop.budget);
    known.set(key, works);
    return works;
  };
}

/**
 * A smallest set of the wanted parts that cannot all be wired at rungs 4 to `upTo`: a minimal unsatisfiable subset, found by dropping one part after the
 * other and keeping those without which it would work. Empty when all the wanted parts can be wired together.
 */
export function smallestConflict(works: Jury, wanted: LaidPart[], upTo: SolvedRung): LaidPart[] {
  if (works(wanted, upTo)) return [];
  let core = wanted;
  for (const part of wanted) {
    const without = core.filter((l) => l !== part);
    if (!works(without, upTo)) core = without;
  }
  return core;
}

/** The same problem where nothing costs anything. */
function priceless(problem: Problem): Problem {
  return {
    rows: problem.rows.map(({ id, limit }) => ({ id, limit })),
    tags: problem.tags.map((t) => ({ id: t.id, once: t.once.map(() => noCost) })),
    parts: problem.parts.map((p) => ({
      ...p,
      // Whatever uses nothing would beat every way of a part if leaving it out were free as well.
      unmet: { ...noCost, must: 1 },
      modes: p.modes.map((m) => ({
        ...m,
        cost: noCost,
        needs: m.needs.map((n) => ({
          ...n,
          choices: n.choices.map((c) => ({ ...c, cost: noCost, margin: Infinity })),
        })),
      })),
    })),
  };
}
