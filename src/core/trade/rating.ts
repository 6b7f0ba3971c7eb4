import { type NumberFigure, isUnknown } from '../quantity/figure';
import type { Policies } from './policies';

/** Share of a rated current that the policy lets one use. Common practice of the trade, no source. */
const share: Record<Policies['ratedAmps'], number> = { cautious: 0.7, usual: 0.8, 'as printed': 1 };

/** 1 for a measured figure: what was measured is taken as it is. */
export function ratingShare(figure: NumberFigure, policy: Policies['ratedAmps']): number {
  if (!isUnknown(figure) && figure.origin === 'measured') return 1;
  return share[policy];
}

/** Efficiency taken for a switching regulator whose own is not stated. Common practice, no source. */
export const assumedEfficiency = 0.85;

/** What a small linear regulator on a board turns into heat without help, in watts, where its page does not say. Common practice, no source. */
export const assumedLinearWatts = 1.5;
