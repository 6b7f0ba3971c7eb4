import { brokenCovers } from './covers';
import { brokenTies } from './ties';
import type { Relaxation } from './relax';
import { roundedSums } from './rounded';

/**
 * A sum that no hookup exceeds: of its options, and of the values that tags stand at, each times its amount. Whole numbers; the simplex carries them
 * divided by `scale`.
 */
export interface Cut {
  options: number[];
  amounts: number[];
  values: { tag: number; value: number; amount: number }[];
  limit: number;
  scale: number;
}

/** Cuts that the relaxed hookup breaks. Sums rounded down cost most to find and fill most entries, so they come when there is nothing else, or when that did not help (`stuck`). */
export function brokenCuts(a: Relaxation, shares: Float64Array, stuck: boolean): Cut[] {
  const found = [...brokenTies(a, shares), ...brokenCovers(a, shares)];
  return found.length > 0 && !stuck ? found : [...found, ...roundedSums(a, shares)];
}
