import type { Verdict } from '../evaluate/climb';

/** Verdicts from worst to best. */
export const verdictRank: Record<Verdict, number> = {
  'does not fit': 0,
  'cannot say yet': 1,
  'fits with work': 2,
  fits: 3,
};
