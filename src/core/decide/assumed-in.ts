import type { Build } from '../records/build';

/** How many figures of a build nobody has said: they are what is usual, until the buyer says otherwise. */
export function assumedIn({ parts, said, pack, morePacks, motors, bareMassG }: Build): {
  craft: number;
  parts: number;
} {
  return { craft: assumed([said, pack, morePacks, motors, bareMassG]), parts: assumed(parts) };
}

function assumed(node: unknown): number {
  if (typeof node !== 'object' || node === null) return 0;
  if ('origin' in node && node.origin === 'assumed') return 1;
  return Object.values(node).reduce<number>((sum, inside) => sum + assumed(inside), 0);
}
