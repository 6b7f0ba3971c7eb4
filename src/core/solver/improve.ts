import { compare, type Packed } from './cost';
import { costOf, type Option, type Seats } from './seats';
import type { Problem } from './problem';
import { onceOf, poolsIn, search, type Search } from './search';

/** Rounds without a gain after which improving usually stops. */
export const usualPatience = 16;
/** At least so many seats are freed at a time. */
const fewest = 5;
/** Freed seats are tried out again for so many steps, times the patience. */
const stepsARound = 10;
/** Of a seat's cheaper options one of the first so many is wished for. */
const wishes = 20;
/** However often it helps, it ends after so many rounds. */
const mostRounds = 400;

/** A hookup and what it leaves of every row. */
interface State {
  chosen: Option[];
  left: number[];
  /** The seats that could be had for less, and of those the ones that could save most on the levels above the margin. */
  dear: number[];
  dearest: number[];
}

/**
 * A hookup within the limits at least as good as `start` (margin aside), found by freeing a few seats at a time and trying them out again (large neighbourhood search: P. Shaw,
 * Principles and Practice of Constraint Programming, 1998). A seat that could be had for less wishes for a cheaper option, and the seats that stand in its way are
 * freed with it. Gives up after `patience` rounds without a gain. Proves nothing, and is what makes proofs short: most bounds then only have to confirm.
 * Repeatable: it rolls the same dice every time.
 */
export function improve(
  { problem, lists, part }: Seats,
  limits: number[],
  start: Option[],
  patience: number,
): Option[] {
  const once = onceOf(problem);
  const roll = dice(patience);
  let cost = costOf(problem, start);
  let now = stateOf(start, lists, limits);
  for (let idle = 0, round = 0; idle < patience && round < mostRounds && now.dear.length > 0; idle++, round++) {
    const among = now.dearest.length > 0 && roll(2) === 0 ? now.dearest : now.dear;
    const seat = among[roll(among.length)]!;
    const cheaper = lists[seat]!.findIndex((o) => compare(o.cost, now.chosen[seat]!.cost) >= 0);
    const free = freedFor(lists[seat]![roll(Math.min(wishes, cheaper))]!, seat, now, part, roll);
    // Equals are welcome: they lead away from where nothing helps.
    const seatsFree = now.chosen.flatMap((_, p) => (free[p] ? [p] : []));
    const found = search(
      held(problem, once, lists, now, free),
      [cost[0], cost[1], cost[2] + 1],
      stepsARound * patience,
    );
    if (!found.best) continue;
    if (compare(found.cost, cost) < 0) idle = -1;
    cost = found.cost;
    const next = now.chosen.slice();
    seatsFree.forEach((p, k) => (next[p] = found.best![k]!));
    now = stateOf(next, lists, limits);
  }
  return now.chosen;
}

function stateOf(chosen: Option[], lists: Option[][], limits: number[]): State {
  const left = limits.slice();
  for (const { uses } of chosen) for (let i = 0; i < uses.length; i++) left[uses[i]![0]]! -= uses[i]![1];
  const dear: number[] = [];
  let most = 0;
  chosen.forEach((o, seat) => {
    const least = lists[seat]![0]!.cost;
    if (compare(o.cost, least) > 0) dear.push(seat);
    most = Math.max(most, o.cost[0] - least[0]);
  });
  const dearest = most > 0 ? dear.filter((seat) => chosen[seat]!.cost[0] - lists[seat]![0]!.cost[0] >= most / 2) : [];
  return { chosen, left, dear, dearest };
}

/**
 * For each seat whether it is freed so that one may have its wish: those that disagree about a tag, one on each row that would be too full, and others by chance,
 * half of them on the rows that are wished for.
 */
function freedFor(
  wish: Option,
  seat: number,
  { chosen, left }: State,
  part: number[],
  roll: (below: number) => number,
): Uint8Array {
  const seats = chosen.length;
  const free = new Uint8Array(seats);
  let count = 0;
  // The seats of one part agree on its mode, so they are freed together.
  const release = (one: number) => {
    for (let p = 0; p < seats; p++) {
      if (free[p] || part[p] !== part[one]) continue;
      free[p] = 1;
      count++;
    }
  };
  /** The first one that is not free from a place rolled on. */
  const any = (fits: (o: Option) => boolean): boolean => {
    const from = roll(seats);
    for (let n = 0; n < seats; n++) {
      const p = (from + n) % seats;
      if (free[p] || !fits(chosen[p]!)) continue;
      release(p);
      return true;
    }
    return false;
  };
  release(seat);
  chosen.forEach((o, p) => {
    if (!free[p] && o.tags.some(([t, v]) => wish.tags.some(([u, w]) => t === u && v !== w))) release(p);
  });
  for (const [row, amount] of wish.uses) {
    let over = amount - left[row]!;
    for (let p = 0; p < seats && over > 0; p++) if (free[p]) over -= amountOn(chosen[p]!, row);
    if (over > 0) any((o) => amountOn(o, row) > 0);
  }
  while (count < Math.min(fewest, seats)) {
    const near = roll(2) === 0 && any((o) => wish.uses.some(([row]) => amountOn(o, row) > 0));
    if (!near) any(() => true);
  }
  return free;
}

function amountOn({ uses }: Option, row: number): number {
  for (let i = 0; i < uses.length; i++) if (uses[i]![0] === row) return uses[i]![1];
  return 0;
}

/** The free seats, with what the others leave them. */
function held(
  problem: Problem,
  once: Packed[][],
  lists: Option[][],
  { chosen, left: before }: State,
  free: Uint8Array,
): Search {
  const left = before.slice();
  const standing = new Int32Array(once.length).fill(-1);
  const others: Option[] = [];
  chosen.forEach((o, p) => {
    if (free[p]) for (let i = 0; i < o.uses.length; i++) left[o.uses[i]![0]]! += o.uses[i]![1];
    else {
      others.push(o);
      for (let i = 0; i < o.tags.length; i++) standing[o.tags[i]![0]] = o.tags[i]![1];
    }
  });
  return {
    lists: lists.filter((_, p) => free[p]),
    left,
    standing,
    once,
    spent: costOf(problem, others),
    pools: poolsIn(problem),
  };
}

/** Dice that fall the same way every time (a linear congruence: W. H. Press and others, Numerical Recipes, 1992, chapter 7). */
function dice(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
}
