import type { Climb, Rung } from '../evaluate/climb';
import { rungNames, type Finding, type RungName } from '../rungs/finding';

export interface Span {
  low: number;
  high: number;
}

/**
 * Worth of one rung in [0, 1]: what breaks is worth nothing; a strained one 0.4 to 0.6 and one that holds 0.7 to 1, rising with the square root of
 * its margin (concave) up to half again what is needed (capped). An unknown may turn out either way: 0 to 1. Wishes are worth their weighted share that is met.
 */
export function rungWorth(rung: Pick<Rung, 'state' | 'margin'> & Partial<Pick<Rung, 'findings'>>): Span {
  const wishes = rung.findings?.filter((f) => f.counts !== undefined) ?? [];
  if (wishes.length > 0) return wishesWorth(wishes);
  if (rung.state === 'breaks') return { low: 0, high: 0 };
  if (rung.state === 'unknown') return { low: 0, high: 1 };
  const margin = Math.max(0, Math.min(0.5, rung.margin ?? 0.5));
  const byMargin = Math.sqrt(margin / 0.5);
  const worth = rung.state === 'strained' ? 0.4 + 0.2 * byMargin : 0.7 + 0.3 * byMargin;
  return { low: worth, high: worth };
}

/** Where no wish counts for anything, none is missed. */
function wishesWorth(wishes: readonly Finding[]): Span {
  const sum = (states: readonly string[]) => wishes.reduce((s, f) => s + (states.includes(f.state) ? f.counts! : 0), 0);
  const all = sum(['holds', 'strained', 'unknown']);
  return all === 0 ? { low: 1, high: 1 } : { low: sum(['holds']) / all, high: sum(['holds', 'unknown']) / all };
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
