import type { Fix } from '../records/fix';

export interface FixPrice {
  cents: number;
  grams: number;
  /** Effort points, as in the hookup's objective. */
  effort: number;
  heightMm: number;
}

/** What a fix costs: assumed, common practice of the trade, no source. */
export const fixPrices: Record<Fix['kind'], FixPrice> = {
  'leave out': { cents: 0, grams: 0, effort: 0, heightMm: 0 },
  'external regulator': { cents: 650, grams: 4, effort: 3, heightMm: 0 },
  'signal inverter': { cents: 350, grams: 1, effort: 3, heightMm: 0 },
  'level shifter': { cents: 290, grams: 1, effort: 3, heightMm: 0 },
  'adapter plate': { cents: 490, grams: 3.5, effort: 1, heightMm: 3 },
  'separate ESC': { cents: 4900, grams: 15, effort: 4, heightMm: 6 },
};

/** Amps that an external regulator is rated for. */
export const externalAmps = 3;
