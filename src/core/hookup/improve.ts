import { compare } from './cost';
import { costOf, type Option, type Seats } from './options';
import { aheadOf, ordered, tryOut, type Ordered } from './try-out';

/** At least so many seats are freed at a time. */
const fewest = 5;
/** Freed seats are tried out again for so many steps, times the patience. */
const stepsARound = 20;
/** Of a seat's cheaper options one of the first so many is wished for. */
const wishes = 6;

/**
 * A hookup at least as good as `start` (margin aside), found by freeing a few seats at a time and trying them out again (large neighbourhood search: P. Shaw,
 * Principles and Practice of Constraint Programming, 1998). A seat that could be had for less wishes for a cheaper option, and the seats that stand in its way are
 * freed with it. Gives up after `patience` rounds without a gain. Proves nothing, and is what makes proofs short: most bounds then only have to confirm.
 * Repeatable: it rolls the same dice every time.
 */
export function improve(seats: Seats, start: Option[], patience: number): Option[] {
  const { problem, lists, part } = seats;
  const limits = problem.rows.map((row) => row.limit);
  const ready = ordered(problem, lists);
  const roll = dice(patience);
  let chosen = start;
  let cost = costOf(problem, chosen);
  for (let idle = 0; idle < patience; idle++) {
    const dear = chosen.flatMap((o, seat) => (compare(o.cost, lists[seat]![0]!.cost) > 0 ? [seat] : []));
    if (dear.length === 0) break;
    const seat = dear[roll(dear.length)]!;
    const cheaper = lists[seat]!.findIndex((o) => compare(o.cost, chosen[seat]!.cost) >= 0);
    const free = freedFor(lists[seat]![roll(Math.min(wishes, cheaper))]!, seat, chosen, part, limits, roll);
    // Equals are welcome: they lead away from where nothing helps.
    const { best } = tryOut(held(ready, lists, chosen, free), limits, -Infinity, [cost[0], cost[1], cost[2] + 1], stepsARound * patience);
    if (!best) continue;
    chosen = best;
    const now = costOf(problem, chosen);
    if (compare(now, cost) < 0) idle = -1;
    cost = now;
  }
  return chosen;
}

/** For each seat whether it is freed so that one may have its wish: those that disagree about a tag, one on each row that would be too full, and some by chance. */
function freedFor(wish: Option, seat: number, chosen: Option[], part: number[], limits: number[], roll: (below: number) => number): Uint8Array {
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
  const any = (fits: (p: number) => boolean) => {
    const from = roll(seats);
    for (let n = 0; n < seats; n++) {
      const p = (from + n) % seats;
      if (!free[p] && fits(p)) return release(p);
    }
  };
  release(seat);
  chosen.forEach((o, p) => {
    if (!free[p] && o.tags.some(([t, v]) => wish.tags.some(([u, w]) => t === u && v !== w))) release(p);
  });
  for (const [row, amount] of wish.uses) {
    const used = chosen.reduce((sum, o, p) => (free[p] ? sum : sum + amountOn(o, row)), amount);
    if (used > limits[row]!) any((p) => amountOn(chosen[p]!, row) > 0);
  }
  while (count < Math.min(fewest, seats)) any(() => true);
  return free;
}

function amountOn(option: Option, row: number): number {
  for (let i = 0; i < option.uses.length; i++) if (option.uses[i]![0] === row) return option.uses[i]![1];
  return 0;
}

/** Only the free seats still have a choice; those that have none come first. */
function held({ order, once }: Ordered, lists: Option[][], chosen: Option[], free: Uint8Array): Ordered {
  const seats = [...order.filter((p) => !free[p]), ...order.filter((p) => free[p])];
  const mine = seats.map((p) => (free[p] ? lists[p]! : [chosen[p]!]));
  return { order: seats, lists: mine, ahead: aheadOf(mine), once };
}

/** Dice that fall the same way every time (a linear congruence: W. H. Press and others, Numerical Recipes, 1992, chapter 7). */
function dice(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
}
