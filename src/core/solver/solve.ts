import { budgetWith, delegate, OutOfSteps, spend, type Budget } from './budget';
import { addCosts, compare, pack, unpack, zero, type Cost } from './cost';
import { solveByGeneral, worksByGeneral } from './general';
import { improve, usualPatience } from './improve';
import { marginOf } from './margin';
import { marginCapPercent } from './margin-steps';
import { optimum } from './optimum';
import type { Problem, Solution } from './problem';
import { dearest, search, searchOf } from './search';
import { costOf, leftOut, picksOf, seatsOf, type Option, type Seats } from './seats';
import { settled } from './settled';

/**
 * The best choice, exactly: least cost on the levels above the margin, then the widest smallest margin (whole per cent, capped), then fewest ports. Pure and
 * repeatable: equal problems give equal solutions. A first search proves most; for the rest a good choice is looked for, which leaves less open and only has to be
 * beaten. What neither proves goes to the general solver. Throws OutOfSteps where that is not there or does not finish either.
 */
export function solve(problem: Problem, budget: Budget = budgetWith(), cap = marginCapPercent): Solution {
  const seats = seatsOf(problem, cap);
  const first = optimum(seats, cap, firstSteps, budget);
  if (first.proved && first.best) return solutionOf(seats, first.best, cap, first.steps);
  const start = improve(
    seats,
    problem.rows.map((r) => r.limit),
    first.best ?? leftOut(seats),
    usualPatience,
  );
  const open = settled(seats, start);
  const second = optimum(open, cap, secondSteps, budget, start);
  const steps = first.steps + second.steps;
  if (second.proved && second.best) return solutionOf(seats, second.best, cap, steps);
  const found = budget.general && solveByGeneral(open, cap, start, budget.general);
  if (!found) throw new OutOfSteps();
  delegate(budget);
  return solutionOf(seats, found, cap, steps);
}

/** Can one option be taken from every seat at once, whatever it costs? */
export function worksAtAll(seats: Seats, budget: Budget): boolean {
  const { problem, lists } = seats;
  if (lists.some((l) => l.length === 0)) return false;
  const quick = search(
    searchOf(
      problem,
      lists,
      problem.rows.map((r) => r.limit),
    ),
    dearest,
    Math.min(secondSteps, budget.steps),
  );
  spend(budget, quick.steps);
  if (quick.best || quick.ended) return quick.best !== null;
  const works = budget.general && worksByGeneral(seats, budget.general);
  if (works === null) throw new OutOfSteps();
  delegate(budget);
  return works;
}

/** The first search ends after so many steps, the second, when there is a good choice that only has to be beaten, after so many. */
const firstSteps = 125;
const secondSteps = 10_000;

function solutionOf(seats: Seats, options: Option[], cap: number, steps: number): Solution {
  const { problem } = seats;
  return {
    picks: picksOf(seats, options),
    cost: unpack(costOf(problem, options)),
    margin: marginOf(problem, options, cap),
    steps,
  };
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
