import { marginCapPercent, marginSteps } from '../trade/comfort';
import { addCosts, compare, levelOrder, pack, unpack, zero, type Cost, type Packed } from './cost';
import { improve } from './improve';
import { modelOf, totalsOf, type Model } from './model';
import { costOf, picksOf, seatsOf, type Option, type Seats } from './options';
import { limitAt, rowMargin, type Problem, type Solution } from './problem';
import { copyRelaxation, drop, relaxationOf, setCap, type Bound, type Relaxation } from './relax';
import { searchLevel, type Chosen } from './search';
import { settled } from './settled';
import { onceOf, tryOut, type Trial } from './try-out';

/**
 * The best hookup, exactly: least cost on the levels above the margin, then the widest smallest margin
 * (whole per cent, capped), then fewest ports. Pure and repeatable: equal problems give equal solutions.
 */
export function solve(problem: Problem, cap = marginCapPercent): Solution {
  const seats = seatsOf(problem, cap);
  const quick = quickly(seats, cap, quickSteps / 2);
  if (quick.ended && quick.best) return solutionOf(seats, quick.best, cap, quick.steps);
  const start = improve(seats, problem.rows.map((r) => r.limit), quick.best ?? leftOut(seats), patience);
  const open = settled(seats, start);
  const again = quickly(open, cap, quickSteps, start);
  if (again.ended && again.best) return solutionOf(seats, again.best, cap, quick.steps + again.steps);
  return byRelaxation(open, cap, start);
}

/** Can one option be taken from every list at once, whatever it costs? */
export function worksAtAll(problem: Problem, lists: Option[][]): boolean {
  if (lists.some((l) => l.length === 0)) return false;
  const limits = problem.rows.map((r) => r.limit);
  const quick = tryOut(trialOf(problem, lists, limits), dearest, quickSteps);
  if (quick.best || quick.ended) return quick.best !== null;
  const model = modelOf(problem, lists);
  const caps = Float64Array.from({ length: model.rows }, (_, r) => limits[r] ?? Infinity);
  return searchLevel(relaxationOf(model, caps, model.first.slice(0, -1)), -1, 1, 1).best !== null;
}

const quickSteps = 250;
const dearest: Packed = [Infinity, 0, 0];

function trialOf(problem: Problem, lists: Option[][], left: number[]): Trial {
  return { lists, left, standing: new Int32Array(problem.tags.length).fill(-1), once: onceOf(problem), spent: zero };
}

/** Rounds without a gain after which improving stops; before a split it is given three times as many. */
const patience = 16;

/** What the relaxed hookup takes pieces of is tried out for so many steps. */
const nearbySteps = 500;

/** Every part left out: always possible. */
function leftOut({ lists }: Seats): Option[] {
  return lists.map((list) => list.find((o) => o.pick === null) ?? list.find((o) => o.uses.length === 0)!);
}

/** By trying options out; `known` is a hookup that needs no finding. Where one of its searches takes too long, the best so far, with nothing proved. */
function quickly({ problem, lists }: Seats, cap: number, most: number, known?: Option[]): { best: Option[] | null; ended: boolean; steps: number } {
  let steps = 0;
  let ended = true;
  const at = (floor: number, below: Packed) => {
    const wide = lists.map((list) => list.filter((o) => o.margin >= floor));
    const found = tryOut(trialOf(problem, wide, problem.rows.map((row) => limitAt(row, floor))), below, most);
    steps += found.steps;
    ended &&= found.ended;
    return found.best;
  };
  // One tick above what a hookup costs is the bar for those as cheap.
  const barOf = (options: Option[]): Packed => {
    const cost = costOf(problem, options);
    return [cost[0], cost[1] + 1, 0];
  };
  let best = at(-Infinity, known ? barOf(known) : dearest);
  if (best && ended) {
    const bar = barOf(best);
    const step = widestStep(marginOf(problem, best, cap), (s) => {
      const found = ended ? at(s, bar) : null;
      return found && marginOf(problem, found, cap);
    });
    if (ended) best = at(step, bar) ?? best;
  }
  return { best, ended, steps };
}

/** The widest margin step that can be had, from the one at hand upwards. `ask` answers with the step it found, or null. */
function widestStep(at: number, ask: (step: number) => number | null): number {
  let low = marginSteps.findIndex((s) => s === at);
  // The next one first: mostly it cannot be had, and that ends it.
  for (let high: number = marginSteps.length, next = low + 1; high - low > 1; next = Math.floor((low + high) / 2)) {
    const found = ask(marginSteps[next]!);
    if (found === null) high = next;
    else low = Math.max(next, marginSteps.findIndex((s) => s === found));
  }
  return marginSteps[low]!;
}

/** Level after level, each held at its least before the next is asked, on one linear relaxation that shrinks as it goes. */
function byRelaxation(seats: Seats, cap: number, start: Option[]): Solution {
  const { problem, lists } = seats;
  const model = modelOf(problem, lists);
  const limits = Float64Array.from({ length: model.rows }, (_, r) => problem.rows[r]?.limit ?? Infinity);
  const chosenOf = (options: Option[]): Chosen => Int32Array.from(options, (o, p) => model.first[p]! + lists[p]!.indexOf(o));
  const optionsIn = (chosen: Chosen) => Array.from(chosen, (o) => model.options[o]!);
  let best = chosenOf(start);
  const relaxed = relaxationOf(model, limits, best);
  const units = unitsOf(model);
  let nodes = 0;
  const openIn = ({ alive }: Relaxation): Seats => ({ ...seats, lists: lists.map((list, p) => list.filter((_, i) => alive[model.first[p]! + i])) });
  const improved = (from: Relaxation, rounds: number): Chosen => chosenOf(improve(openIn(from), limitsOf(from), optionsIn(best), rounds));
  const limitsOf = ({ caps }: Relaxation) => Array.from(problem.rows, (_, r) => caps[r]!);
  /** The best of what the relaxed hookup takes pieces of. */
  const nearby = (from: Relaxation, shares: Float64Array): Chosen => {
    const few = lists.map((list, p) => list.filter((_, i) => from.alive[model.first[p]! + i] && (shares[model.first[p]! + i]! > 1e-6 || best[p] === model.first[p]! + i)));
    const cost = costOf(problem, optionsIn(best));
    const found = tryOut(trialOf(problem, few, limitsOf(from)), cost, nearbySteps).best;
    return found ? chosenOf(found) : best;
  };
  /** Whatever hookup it is that the search finds or is helped to, `best` is it, on all levels. */
  const ask = (from: Relaxation, level: number, below: number, unit: number) => {
    let asked = 0;
    const found = searchLevel(from, level, below, unit, (found, shares) => {
      best = found ?? best;
      if (level < 0) return null;
      best = nearby(from, shares);
      // With the 1st, 2nd, 4th, 8th relaxed hookup and so on, for longer than before.
      if ((asked & (asked - 1)) === 0) best = improved(from, patience + asked);
      asked++;
      return best;
    });
    nodes += found.nodes;
    return found;
  };
  /** Decides a level, holds it at its least, and drops what cannot stand at that. */
  const least = (from: Relaxation, level: number): void => {
    const at = model.sums + level;
    const now = totalsOf(model, best)[at]!;
    let root: Bound | null = null;
    if (now > leastOf(from, at)) {
      const found = ask(from, level, now, units[level]!);
      root = found.root;
      if (found.best && totalsOf(model, found.best)[at]! < totalsOf(model, best)[at]!) {
        best = found.best;
        best = improved(from, patience);
      }
    }
    const reached = totalsOf(model, best)[at]!;
    if (root) for (let o = 0; o < root.rise.length; o++) if (from.alive[o] && root.bound + root.rise[o]! > reached + 1e-6 * Math.max(1, reached)) drop(from, o);
    setCap(from, at, reached);
  };

  const ports = levelOrder.length - 1;
  let tried = model.options.length;
  for (let level = 0; level < ports; level++) {
    least(relaxed, level);
    const open = openIn(relaxed);
    // What the decided levels leave is often little enough to be tried out.
    const left = open.lists.reduce((sum, list) => sum + list.length, 0);
    if (left > 0.8 * tried) continue;
    tried = left;
    const quick = quickly(open, cap, quickSteps / 2, optionsIn(best));
    nodes += quick.steps;
    if (quick.ended && quick.best) return solutionOf(seats, quick.best, cap, nodes);
  }

  const at = (floor: number) => {
    const cut = copyRelaxation(relaxed);
    model.options.forEach((o, i) => o.margin < floor && drop(cut, i));
    problem.rows.forEach((row, r) => row.comfort !== undefined && setCap(cut, r, Math.min(cut.caps[r]!, limitAt(row, floor))));
    return cut;
  };
  const step = widestStep(marginOf(problem, optionsIn(best), cap), (s) => {
    const found = ask(at(s), -1, 1, 1).best;
    best = found ?? best;
    return found && marginOf(problem, optionsIn(found), cap);
  });
  least(at(step), ports);
  return solutionOf(seats, optionsIn(best), cap, nodes);
}

/** What the options of a relaxation take of a row at least, each by itself. */
function leastOf({ model, alive }: Relaxation, row: number): number {
  let sum = 0;
  for (let p = 0; p < model.first.length - 1; p++) {
    let low = Infinity;
    for (let o = model.first[p]!; o < model.first[p + 1]! && low > 0; o++) {
      if (!alive[o]) continue;
      let amount = 0;
      for (let i = model.at[o]!; i < model.at[o + 1]!; i++) if (model.row[i] === row) amount = model.amount[i]!;
      low = Math.min(low, amount);
    }
    sum += low;
  }
  return sum;
}

/** For each level the greatest number that all its costs are multiples of. */
function unitsOf(model: Model): number[] {
  const units = levelOrder.map(() => 0);
  const take = (level: number, n: number) => {
    let unit = units[level]!;
    if (unit === 0 || n % unit === 0) units[level] = unit || n;
    else {
      for (let rest = n; rest > 0; ) [unit, rest] = [rest, unit % rest];
      units[level] = unit;
    }
  };
  for (let i = 0; i < model.row.length; i++) if (model.row[i]! >= model.sums) take(model.row[i]! - model.sums, model.amount[i]!);
  for (const values of model.once) for (const price of values) price?.forEach((n, level) => n > 0 && take(level, n));
  return units.map((unit) => unit || 1);
}

function marginOf(problem: Problem, options: Option[], cap: number): number {
  const used = problem.rows.map(() => 0);
  for (const o of options) for (const [row, amount] of o.uses) used[row]! += amount;
  return Math.min(cap, ...problem.rows.map((row, r) => rowMargin(row, used[r]!)), ...options.map((o) => o.margin));
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
