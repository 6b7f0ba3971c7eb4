import { withReceiverLeft } from '../fix/on-board';
import type { Build } from '../records/build';
import { briefOf } from './brief';
import type { Bound } from './brief-line';
import type { GoodEnds } from './good-ends';

/** The bounds that the lines of a build's brief put on the columns: a board beyond one of them fails its line, whatever else it has, a receiver of its own too. */
export function sieveOf(build: Build): Bound[] {
  return briefOf(withReceiverLeft(build)).flatMap((line) => line.bounds ?? []);
}

/** Is a board beyond one of the bounds? */
export function siftedOut(bounds: readonly Bound[], ends: GoodEnds): boolean {
  return bounds.some(({ figure, ...bound }) => {
    const end = ends[figure];
    if (end === null) return false;
    return 'most' in bound ? end > bound.most : end < bound.least;
  });
}
