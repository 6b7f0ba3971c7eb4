import { byTrying } from './by-trying';
import { levelOrder } from './cost';
import { improve, usualPatience } from './improve';
import { marginOf, widestStep } from './margin';
import { amountOn, modelOf, totalsOf, type Model } from './model';
import { costOf, type Option, type Seats } from './options';
import { limitAt } from './problem';
import { copyRelaxation, drop, relaxationOf, setCap, type Bound, type Relaxation } from './relax';
import { searchLevel, usualTries, type Chosen } from './search';
import { trialOf, tryOut } from './try-out';

/** What the relaxed hookup takes pieces of is tried out for so many steps. */
const nearbySteps = 500;

/** The best hookup, proved level after level, each held at its least before the next is asked, on one linear relaxation that shrinks as it goes. `start`: any hookup. */
export function byRelaxation(seats: Seats, cap: number, start: Option[], tries = usualTries): { options: Option[]; nodes: number } {
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
    const again = (found: Chosen | null, shares: Float64Array) => {
      best = found ?? best;
      if (level < 0) return null;
      best = nearby(from, shares);
      // With the 1st, 2nd, 4th, 8th relaxed hookup and so on, for longer than before.
      if ((asked & (asked - 1)) === 0) best = improved(from, usualPatience + asked);
      asked++;
      return best;
    };
    const found = searchLevel(from, level, below, unit, again, tries);
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
        best = improved(from, usualPatience);
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
    const quick = byTrying(open, cap, tries.betweenLevels, optionsIn(best));
    nodes += quick.steps;
    if (quick.ended && quick.best) return { options: quick.best, nodes };
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
  return { options: optionsIn(best), nodes };
}

/** What the options of a relaxation take of a row at least, each by itself. */
function leastOf({ model, alive }: Relaxation, row: number): number {
  let sum = 0;
  for (let p = 0; p < model.first.length - 1; p++) {
    let low = Infinity;
    for (let o = model.first[p]!; o < model.first[p + 1]! && low > 0; o++) {
      if (alive[o]) low = Math.min(low, amountOn(model, o, row));
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
