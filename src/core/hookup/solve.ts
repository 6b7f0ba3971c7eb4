import { marginCapPercent } from '../trade/comfort';
import { byRelaxation } from './by-relaxation';
import { byTrying } from './by-trying';
import { addCosts, compare, pack, unpack, zero, type Cost } from './cost';
import { improve, usualPatience } from './improve';
import { marginOf } from './margin';
import { modelOf } from './model';
import { costOf, picksOf, seatsOf, type Option, type Seats } from './options';
import type { Problem, Solution } from './problem';
import { relaxationOf } from './relax';
import { searchLevel } from './search';
import { settled } from './settled';
import { dearest, trialOf, tryOut } from './try-out';

/**
 * The best hookup, exactly: least cost on the levels above the margin, then the widest smallest margin
 * (whole per cent, capped), then fewest ports. Pure and repeatable: equal problems give equal solutions.
 */
export function solve(problem: Problem, cap = marginCapPercent): Solution {
  const seats = seatsOf(problem, cap);
  const first = byTrying(seats, cap, firstSteps);
  if (first.ended && first.best) return solutionOf(seats, first.best, cap, first.steps);
  const start = improve(seats, problem.rows.map((r) => r.limit), first.best ?? leftOut(seats), usualPatience);
  const open = settled(seats, start);
  const second = byTrying(open, cap, secondSteps, start);
  if (second.ended && second.best) return solutionOf(seats, second.best, cap, first.steps + second.steps);
  const { options, nodes } = byRelaxation(open, cap, start);
  return solutionOf(seats, options, cap, first.steps + second.steps + nodes);
}

/** Can one option be taken from every list at once, whatever it costs? */
export function worksAtAll(problem: Problem, lists: Option[][]): boolean {
  if (lists.some((l) => l.length === 0)) return false;
  const limits = problem.rows.map((r) => r.limit);
  const quick = tryOut(trialOf(problem, lists, limits), dearest, secondSteps);
  if (quick.best || quick.ended) return quick.best !== null;
  const model = modelOf(problem, lists);
  const caps = Float64Array.from({ length: model.rows }, (_, r) => limits[r] ?? Infinity);
  return searchLevel(relaxationOf(model, caps, model.first.slice(0, -1)), -1, 1, 1).best !== null;
}

/** Options are first tried out for so many steps, and for so many once there is a good hookup that only has to be beaten. */
const firstSteps = 125;
const secondSteps = 250;

/** Every part left out: always possible. */
function leftOut({ lists }: Seats): Option[] {
  return lists.map((list) => list.find((o) => o.pick === null) ?? list.find((o) => o.uses.length === 0)!);
}

function solutionOf(seats: Seats, options: Option[], cap: number, nodes: number): Solution {
  const { problem } = seats;
  return { picks: picksOf(seats, options), cost: unpack(costOf(problem, options)), margin: marginOf(problem, options, cap), nodes };
}

/** The cost of given picks, worked out afresh from the problem: for checks and for showing the sum. */
export function priceOf(problem: Problem, picks: Solution['picks']): Cost {
  let sum = unpack(zero);
  const once = new Set<string>();
  picks.forEach((pick, p) => {
    const part = problem.parts[p]!;
    const choices = pick ? part.modes[pick.mode]!.needs.map((n, i) => n.choices[pick.choices[i]!]!) : [];
    sum = addCosts(sum, pick ? part.modes[pick.mode]!.cost : part.unmet);
    for (const c of choices) sum = addCosts(sum, c.cost);
    for (const [tag, value] of pick ? choices.flatMap((c) => c.tags) : (part.unmetTags ?? [])) {
      if (once.has(`${tag}:${value}`)) continue;
      once.add(`${tag}:${value}`);
      sum = addCosts(sum, problem.tags[tag]!.once[value]!);
    }
  });
  return sum;
}

export function isBetter(a: Solution, b: Solution): boolean {
  const [x, y] = [pack(a.cost), pack(b.cost)];
  return (x[0] - y[0] || x[1] - y[1] || b.margin - a.margin || compare(x, y)) < 0;
}
