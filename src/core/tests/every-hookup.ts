import type { Relaxation } from '../hookup/relax';
import { standTogether } from '../hookup/search';

/** Every hookup of the options that a node has open, by trying all combinations. */
export function everyHookup(node: Relaxation, seen: (pick: Int32Array, totals: Float64Array) => void): void {
  const { first } = node.model;
  const pick = new Int32Array(first.length - 1);
  const walk = (p: number): void => {
    if (p === pick.length) {
      const totals = standTogether(node, pick);
      if (totals) seen(pick, totals);
      return;
    }
    for (let o = first[p]!; o < first[p + 1]!; o++) {
      if (!node.alive[o]) continue;
      pick[p] = o;
      walk(p + 1);
    }
  };
  walk(0);
}

/** The least of a level over all of them; Infinity where there is none. */
export function leastOf(node: Relaxation, level: number): number {
  let least = Infinity;
  everyHookup(node, (_, totals) => (least = Math.min(least, totals[node.model.sums + level]!)));
  return least;
}
