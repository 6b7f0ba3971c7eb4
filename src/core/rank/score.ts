import type { Climb, Rung } from '../climb';
import { rungNames, type RungName } from '../check/finding';

export interface Span {
  low: number;
  high: number;
}

/**
 * Worth of one rung in [0, 1]: what breaks is worth nothing; a strained one 0.4 to 0.6 and one that holds 0.7 to 1, rising with the square root of
 * its margin (concave) up to half again what is needed (capped). An unknown may turn out either way: 0 to 1.
 */
export function rungWorth(rung: Pick<Rung, 'state' | 'margin'>): Span {
  if (rung.state === 'breaks') return { low: 0, high: 0 };
  if (rung.state === 'unknown') return { low: 0, high: 1 };
  const margin = Math.max(0, Math.min(0.5, rung.margin ?? 0.5));
  const byMargin = Math.sqrt(margin / 0.5);
  const worth = rung.state === 'strained' ? 0.4 + 0.2 * byMargin : 0.7 + 0.3 * byMargin;
  return { low: worth, high: worth };
}

/** One weight for each rung, adding up to 1. */
export type Weights = Readonly<Record<RungName, number>>;

export const equalWeights: Weights = Object.fromEntries(rungNames.map((n) => [n, 1 / rungNames.length])) as Weights;

/** Weighted additive value (Keeney & Raiffa 1976) of the rungs, as an interval where figures are unknown. */
export function scoreOf(climb: Pick<Climb, 'rungs'>, weights: Weights = equalWeights): Span {
  const sum = { low: 0, high: 0 };
  for (const r of climb.rungs) {
    const worth = rungWorth(r);
    sum.low += weights[r.name] * worth.low;
    sum.high += weights[r.name] * worth.high;
  }
  return sum;
}
