import type { Ranked } from './rank-shelf';

/** What the cheapest board comes to, with all else still to buy, where every board is over the budget; else null. */
export function overBudget(ranked: readonly Ranked[]): number | null {
  const over = ranked.every(
    ({ climb }) => climb.totalCents !== null && climb.rungs.some((r) => r.name === 'Cost' && r.state === 'breaks'),
  );
  return over && ranked.length > 0 ? Math.min(...ranked.map((r) => r.climb.totalCents!)) : null;
}
