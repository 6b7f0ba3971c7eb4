import { marginCapPercent } from '../trade/comfort';
import { addCosts, compare, pack, plus, unpack, zero, type Packed } from './cost';
import { onceCosts, optionsOf, type Option } from './options';
import { rowMargin, type Problem, type Solution } from './problem';
import { prepare, search } from './search';

/**
 * The best hookup, exactly: least cost on the levels above the margin, then the widest smallest margin
 * (whole per cent, capped), then fewest ports; what is then still equal falls to the way listed first.
 * Pure and repeatable: equal problems give equal solutions.
 */
export function solve(problem: Problem, cap = marginCapPercent): Solution {
  const options = problem.parts.map((p) => optionsOf(p, cap));
  const prepared = prepare(problem, options);
  let nodes = 0;
  const at = (floor: number, below?: Packed) => {
    const found = search(prepared, limitsAt(problem, floor), floor, below);
    nodes += found.nodes;
    return found.best;
  };

  // Most builds reach the capped margin at no extra cost: ask that first, then whether anything is cheaper without it.
  let best = at(cap);
  const cheaper = at(-Infinity, best ? aboveMargin(costOf(problem, best)) : undefined);
  if (cheaper) {
    const least = aboveMargin(costOf(problem, cheaper));
    best = cheaper;
    let low = marginOf(problem, cheaper, cap);
    let high = cap;
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      // Only a hookup as cheap as the cheapest counts; one tick above it is the bar.
      const found = at(middle, [least[0], least[1] + 1, 0]);
      if (found) {
        best = found;
        low = Math.max(middle, marginOf(problem, found, cap));
      } else high = middle;
    }
    best = at(low, [least[0], least[1] + 1, 0]) ?? best;
  }
  return solutionOf(problem, best!, cap, nodes);
}

/** Only the levels above the margin, as a strict bar for the next search. */
function aboveMargin(cost: Packed): Packed {
  return [cost[0], cost[1], 0];
}

function limitsAt(problem: Problem, floor: number): number[] {
  return problem.rows.map((row) => {
    if (row.comfort === undefined || floor === -Infinity) return row.limit;
    return Math.min(row.limit, Math.floor((row.comfort * (100 - floor)) / 100));
  });
}

function costOf(problem: Problem, options: Option[]): Packed {
  return options.reduce((sum, o) => plus(sum, o.cost), onceCosts(problem, options) ?? zero);
}

function marginOf(problem: Problem, options: Option[], cap: number): number {
  const used = problem.rows.map(() => 0);
  for (const o of options) for (const [row, amount] of o.uses) used[row]! += amount;
  const rows = problem.rows.map((row, i) => rowMargin(row, used[i]!));
  return Math.min(cap, ...rows, ...options.map((o) => o.margin));
}

function solutionOf(problem: Problem, options: Option[], cap: number, nodes: number): Solution {
  return { picks: options.map((o) => o.pick), cost: unpack(costOf(problem, options)), margin: marginOf(problem, options, cap), nodes };
}

/** The cost of given picks, worked out afresh from the problem: for checks and for showing the sum. */
export function priceOf(problem: Problem, picks: Solution['picks']): ReturnType<typeof unpack> {
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
