import type { GeneralSolver } from './budget';
import { levelOrder, levelsOf } from './cost';
import { marginOf, widestStep } from './margin';
import { limitAt } from './problem';
import { costOf, type Option, type Seats } from './seats';

/**
 * The same choice as a programme in whole numbers: a variable for each option, one option a seat, sums within their limits, one value a tag; the objective is
 * taken level by level, each held at its least before the next is asked (preemptive goal programming), the widest margin by bisection between the last two. Every
 * answer is counted again here, in whole numbers; null where the solver does not finish or its answer does not stand. `start` is any choice that stands.
 */
export function solveByGeneral(seats: Seats, cap: number, start: Option[], solver: GeneralSolver): Option[] | null {
  const { problem } = seats;
  const held: Held[] = [];
  let best = start;
  let failed = false;
  const ask = (floor: number, level: number | null): Option[] | null => {
    if (failed) return null;
    const answer = solver(programmeOf(seats, floor, level, held));
    if (answer.status === 'infeasible') return null;
    const found = answer.status === 'optimal' ? chosenBy(seats, answer.valueOf) : null;
    const stood =
      found !== null &&
      stands(seats, found) &&
      held.every((h) => levelOf(seats, found, h.level) <= h.most) &&
      (level === null || levelOf(seats, found, level) === Math.round(answer.objective));
    failed = !stood;
    return stood ? found : null;
  };
  /** Decides a level and holds it. Nothing beats nought. */
  const decide = (floor: number, level: number) => {
    if (levelOf(seats, best, level) > 0) {
      const found = ask(floor, level);
      // The best at hand stands, so that "infeasible" is no answer.
      failed ||= found === null;
      best = found ?? best;
    }
    held.push({ level, most: levelOf(seats, best, level) });
  };

  const ports = levelOrder.length - 1;
  for (let level = 0; level < ports; level++) decide(-Infinity, level);
  const step = widestStep(marginOf(problem, best, cap), (s) => {
    const found = ask(s, null);
    best = found ?? best;
    return found && marginOf(problem, found, cap);
  });
  decide(step, ports);
  return failed ? null : best;
}

/** Is there any choice at all? null where the solver does not finish. */
export function worksByGeneral(seats: Seats, solver: GeneralSolver): boolean | null {
  const answer = solver(programmeOf(seats, -Infinity, null, []));
  if (answer.status === 'infeasible') return false;
  const found = answer.status === 'optimal' ? chosenBy(seats, answer.valueOf) : null;
  return found && stands(seats, found) ? true : null;
}

/** A level of the objective and the most that it may come to. */
interface Held {
  level: number;
  most: number;
}

const nameOf = (seat: number, option: number) => `o_${seat}_${option}`;

/** The programme as text: the least of one level, or with null any choice, with margins of at least `floor`. */
function programmeOf({ problem, lists }: Seats, floor: number, level: number | null, held: readonly Held[]): string {
  const rules: string[] = [];
  const costs: string[][] = levelOrder.map(() => []);
  const rowTerms: string[][] = problem.rows.map(() => []);
  const stood = new Set<string>();
  const price = (variable: string, levels: readonly number[]) =>
    levels.forEach((amount, l) => amount !== 0 && costs[l]!.push(`${amount} ${variable}`));
  const open = lists.map((list) => list.flatMap((o, i) => (o.margin >= floor ? [{ o, i }] : [])));
  open.forEach((list, s) => {
    rules.push(`${list.map(({ i }) => nameOf(s, i)).join(' + ') || '0 none'} = 1`);
    const byValue = new Map<string, string[]>();
    for (const { o, i } of list) {
      price(nameOf(s, i), levelsOf(o.cost));
      for (const [r, amount] of o.uses) rowTerms[r]!.push(`${amount} ${nameOf(s, i)}`);
      for (const [t, v] of o.tags) byValue.set(`z_${t}_${v}`, [...(byValue.get(`z_${t}_${v}`) ?? []), nameOf(s, i)]);
    }
    for (const [z, who] of byValue) {
      rules.push(`${who.join(' + ')} - ${z} <= 0`);
      stood.add(z);
    }
  });
  problem.rows.forEach(
    (row, r) => rowTerms[r]!.length > 0 && rules.push(`${rowTerms[r]!.join(' + ')} <= ${limitAt(row, floor)}`),
  );
  problem.tags.forEach((tag, t) => {
    const values = tag.once.map((_, v) => `z_${t}_${v}`).filter((z) => stood.has(z));
    if (values.length > 0) rules.push(`${values.join(' + ')} <= 1`);
    tag.once.forEach(
      (once, v) =>
        stood.has(`z_${t}_${v}`) &&
        price(
          `z_${t}_${v}`,
          levelOrder.map((key) => once[key]),
        ),
    );
  });
  for (const h of held) if (costs[h.level]!.length > 0) rules.push(`${costs[h.level]!.join(' + ')} <= ${h.most}`);
  const names = open.flatMap((list, s) => list.map(({ i }) => nameOf(s, i)));
  const aim = level === null ? '' : costs[level]!.join(' + ');
  return [
    'Minimize',
    ` obj: ${aim || `0 ${names[0] ?? 'none'}`}`,
    'Subject To',
    ...rules.map((rule, i) => ` c${i}: ${rule}`),
    'Binary',
    ` ${[...names, ...stood].join(' ')}`,
    'End',
  ].join('\n');
}

function chosenBy({ lists }: Seats, valueOf: (variable: string) => number): Option[] | null {
  const found = lists.map((list, s) => list.find((_, i) => valueOf(nameOf(s, i)) > 0.5));
  return found.every((o): o is Option => o !== undefined) ? found : null;
}

function levelOf({ problem }: Seats, options: Option[], level: number): number {
  return levelsOf(costOf(problem, options))[level]!;
}

/** Within every limit, and no tag two ways: counted from the problem alone. */
function stands({ problem }: Seats, options: Option[]): boolean {
  const used = problem.rows.map(() => 0);
  const tags = new Map<number, number>();
  for (const o of options) {
    for (const [r, amount] of o.uses) used[r]! += amount;
    for (const [t, v] of o.tags) {
      if ((tags.get(t) ?? v) !== v) return false;
      tags.set(t, v);
    }
  }
  return problem.rows.every((row, r) => used[r]! <= row.limit);
}
