import type { Climb } from '../evaluate/climb';
import type { Weighing } from '../records/build';
import { rungNames, type RungName } from '../trade/rungs';
import { rungWorth } from './score';
import { reasonableWeightings, type Weighting } from './weightings';

export interface Acceptability {
  boardId: string;
  name: string;
  /** Share of reasonable weightings for which the board comes first, second, ... */
  byRank: number[];
  /** The mean of the weightings for which it comes first; null when there is none. */
  central: Record<RungName, number> | null;
  /** The central weighting in words: what must count more than usual for this board to win. */
  says: string;
}

export interface Robustness {
  boards: Acceptability[];
  samples: number;
  /** Half the width of a 95 % interval around any share, at its widest (binomial). */
  error: number;
  /** Share of all weightings that agree with what the buyer says; 0 when the statements rule each other out. */
  agreeing: number;
}

/**
 * Stochastic acceptability analysis (Lahdelma, Hokkanen & Salminen 1998, EJOR 106): over all weightings that agree with what the buyer says, the share for
 * which each board takes each rank. Unknown rungs count at their worst: an unknown is never a reason to win. Ties share the rank by the order given.
 */
export function robustnessOf(climbs: readonly Climb[], weighing: Weighing): Robustness {
  const { weightings, agreeing } = reasonableWeightings(weighing);
  const worths = climbs.map((c) => Float64Array.from(c.rungs, (r) => rungWorth(r).low));
  const counts = climbs.map(() => new Array<number>(climbs.length).fill(0));
  const sums = climbs.map(() => new Float64Array(rungNames.length));
  const order = climbs.map((_, i) => i);
  for (const w of weightings) {
    const scores = worths.map((x) => dot(x, w));
    order.sort((a, b) => scores[b]! - scores[a]! || a - b);
    order.forEach((i, rank) => (counts[i]![rank]! += 1));
    const first = sums[order[0] ?? 0];
    if (first) for (let j = 0; j < first.length; j++) first[j]! += w[j]!;
  }
  const total = Math.max(1, weightings.length);
  return {
    boards: climbs.map((c, i) => {
      const wins = counts[i]![0]!;
      const central =
        wins === 0
          ? null
          : (Object.fromEntries(rungNames.map((name, j) => [name, sums[i]![j]! / wins])) as Record<RungName, number>);
      return {
        boardId: c.boardId,
        name: c.boardName,
        byRank: counts[i]!.map((k) => k / total),
        central,
        says: centralWords(central),
      };
    }),
    samples: weightings.length,
    error: weightings.length === 0 ? 1 : 1.96 * Math.sqrt(0.25 / weightings.length),
    agreeing,
  };
}

function dot(a: Float64Array, b: Weighting): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

function centralWords(central: Record<RungName, number> | null): string {
  if (!central) return 'wins for no reasonable weighting';
  const even = 1 / rungNames.length;
  const more = rungNames.filter((r) => central[r] > 1.15 * even).sort((a, b) => central[b] - central[a]);
  const less = rungNames.filter((r) => central[r] < 0.85 * even).sort((a, b) => central[a] - central[b]);
  if (more.length === 0 && less.length === 0) return 'wins when all rungs count about alike';
  return `wins when ${[more.length > 0 ? `${list(more)} count${more.length === 1 ? 's' : ''} more` : '', less.length > 0 ? `${list(less)} count${less.length === 1 ? 's' : ''} less` : ''].filter(Boolean).join(' and ')}`;
}

function list(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/**
 * The exact share of all weightings (no statements) for which `a` beats `b`: with weights as normalised exponentials, the chance that a weighted sum of
 * exponentials is above nought, the sum over d_i > 0 of the product of d_i / (d_i - d_j), for differences d of worth that are all distinct; null otherwise.
 */
export function shareOfTwo(a: readonly number[], b: readonly number[]): number | null {
  const d = a.map((x, i) => x - b[i]!);
  if (new Set(d).size !== d.length) return null;
  return d.reduce(
    (sum, di, i) =>
      di <= 0 ? sum : sum + d.reduce((product, dj, j) => (j === i ? product : (product * di) / (di - dj)), 1),
    0,
  );
}
