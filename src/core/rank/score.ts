import type { Climb, Rung } from '../climb';

/**
 * Worth of one rung in [0, 1]: what breaks is worth nothing, an unknown a quarter, a strained one half, and one
 * that holds from 0.7 upwards with its margin, concave and capped at half again what is needed.
 * Equal weights over the ten rungs: weighted additive value (Keeney & Raiffa 1976).
 */
export function rungWorth(rung: Rung): number {
  if (rung.state === 'breaks') return 0;
  if (rung.state === 'unknown') return 0.25;
  const margin = Math.max(0, Math.min(0.5, rung.margin ?? 0.5));
  const byMargin = Math.sqrt(margin / 0.5);
  return rung.state === 'strained' ? 0.4 + 0.2 * byMargin : 0.7 + 0.3 * byMargin;
}

export function scoreOf(climb: Climb): number {
  return climb.rungs.reduce((sum, r) => sum + rungWorth(r), 0) / climb.rungs.length;
}
