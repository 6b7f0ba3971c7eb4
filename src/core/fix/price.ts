import type { Fix } from '../records/fix';

export interface FixPrice {
  cents: number;
  grams: number;
  /** Effort points, as in the hookup's objective. */
  effort: number;
  heightMm: number;
}

/** A four-in-one ESC has channels for so many motors; beyond, single ones are bought. */
export const mostOnFourInOne = 4;

/** What a fix costs in a build of so many motors: assumed, common practice of the trade, no source. */
export function fixPrice({ kind }: Fix, motors: number): FixPrice {
  if (kind !== 'separate ESC' || motors <= mostOnFourInOne) return prices[kind];
  return { cents: 1500 * motors, grams: 7 * motors, effort: 2 * motors, heightMm: 0 };
}

const prices: Record<Fix['kind'], FixPrice> = {
  'leave out': { cents: 0, grams: 0, effort: 0, heightMm: 0 },
  'external regulator': { cents: 650, grams: 4, effort: 3, heightMm: 0 },
  'signal inverter': { cents: 350, grams: 1, effort: 3, heightMm: 0 },
  'level shifter': { cents: 290, grams: 1, effort: 3, heightMm: 0 },
  'adapter plate': { cents: 490, grams: 3.5, effort: 1, heightMm: 3 },
  // Its height stands with the ESC itself.
  'separate ESC': { cents: 4900, grams: 15, effort: 4, heightMm: 0 },
};

/** Amps that an external regulator is rated for. */
export const externalAmps = 3;
