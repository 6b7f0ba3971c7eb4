import type { Edge } from '../circuit/face';

export type Side = 'left' | 'right';

/** A wire to be drawn round the board: which box it belongs to and where on the board's rim its pad lies. */
export interface RimWire {
  box: string;
  edge: Exclude<Edge, 'inner'>;
  share: number;
}

/** How a wire gets from its pad to the column of boxes beside the board. */
export type Run = 'direct' | 'over the front' | 'under the rear';

export interface Arrangement {
  side: Map<string, Side>;
  /** From top to bottom. */
  columns: Record<Side, string[]>;
}

/** Wires never cross the board: from another edge they go round it, the shorter way. */
export function runOf({ edge, share }: RimWire, side: Side): Run {
  if (edge === side) return 'direct';
  if (edge === 'front') return 'over the front';
  if (edge === 'rear') return 'under the rear';
  return share < 0.5 ? 'over the front' : 'under the rear';
}

/** Places along the front seen from the left corner (0) to the right one (1), going on down the sides beyond them; null: not met on that way. */
function alongFront({ edge, share }: RimWire): number | null {
  return { left: -share, front: share, right: 1 + share, rear: null }[edge];
}
function alongRear({ edge, share }: RimWire): number | null {
  return { left: share - 1, rear: share, right: 2 - share, front: null }[edge];
}

/** How high a wire comes in at its column: boxes that stand in this order are reached without a crossing. */
export function heightOf(wire: RimWire, side: Side): number {
  const run = runOf(wire, side);
  if (run === 'direct') return 1 - wire.share;
  const along = run === 'over the front' ? alongFront(wire)! : alongRear(wire)!;
  const far = side === 'left' ? along : 1 - along;
  return run === 'over the front' ? 1 + far : -far;
}

/** Do two wires to different columns cross? They do where both go round the same end of the board and pass each other. */
function crossOver(left: RimWire, right: RimWire): boolean {
  const pass = (along: (w: RimWire) => number | null, not: Run) => {
    if (runOf(left, 'left') === not || runOf(right, 'right') === not) return false;
    const [a, b] = [along(left), along(right)];
    return a !== null && b !== null && a > b;
  };
  return pass(alongFront, 'under the rear') || pass(alongRear, 'over the front');
}

/** Above so many boxes with wires the sides are not all tried, and above so many in a column neither are the orders. */
const most = { sides: 10, column: 11 } as const;

/**
 * The sides and the order of the boxes with the fewest crossings: every choice of sides, each with the best order of both columns (the cost of an order is a sum over
 * pairs, so that it is found exactly by dynamic programming over sets). For more boxes than people have, the nearer side and the order of the mean height. Ties go to
 * short ways, columns of equal length, then the order of the list.
 */
export function arrange(boxes: readonly { id: string; rows: number }[], wires: readonly RimWire[]): Arrangement {
  const of = new Map(boxes.map((b) => [b.id, wires.filter((w) => w.box === b.id)]));
  const wired = boxes.filter((b) => of.get(b.id)!.length > 0);
  const free = wired.length <= most.sides ? wired : [];
  const nearest = (id: string): Side => {
    const lean = of.get(id)!.reduce((sum, w) => sum + leftness(w), 0);
    return lean >= 0 ? 'left' : 'right';
  };
  let best: { cost: number; side: Map<string, Side> } | null = null;
  for (let choice = 0; choice < 2 ** free.length; choice++) {
    const side = new Map(
      wired.map((b): [string, Side] => {
        const i = free.indexOf(b);
        if (i < 0) return [b.id, nearest(b.id)];
        return [b.id, choice & (1 << i) ? 'right' : 'left'];
      }),
    );
    const cost = costOf(side);
    if (!best || cost < best.cost) best = { cost, side };
  }
  const side = best!.side;
  // Boxes without a wire fill the shorter column.
  for (const b of boxes.filter((x) => !side.has(x.id)))
    side.set(b.id, rows('left', side) <= rows('right', side) ? 'left' : 'right');
  return { side, columns: { left: ordered('left', side).order, right: ordered('right', side).order } };

  function rows(at: Side, sides: Map<string, Side>): number {
    return boxes.filter((b) => sides.get(b.id) === at).reduce((sum, b) => sum + b.rows + 2, 0);
  }

  function costOf(sides: Map<string, Side>): number {
    const at = (s: Side) => wired.filter((b) => sides.get(b.id) === s).flatMap((b) => of.get(b.id)!);
    const [left, right] = [at('left'), at('right')];
    let crossings = ordered('left', sides).crossings + ordered('right', sides).crossings;
    for (const a of left) for (const b of right) if (crossOver(a, b)) crossings++;
    const way = [...left.map((w) => wayOf(w, 'left')), ...right.map((w) => wayOf(w, 'right'))].reduce(
      (a, b) => a + b,
      0,
    );
    return crossings * 1000 + way * 4 + Math.abs(rows('left', sides) - rows('right', sides));
  }

  function ordered(at: Side, sides: Map<string, Side>): { order: string[]; crossings: number } {
    const mine = boxes.filter((b) => sides.get(b.id) === at).map((b) => b.id);
    const heights = mine.map((id) => of.get(id)!.map((w) => heightOf(w, at)));
    // Crossings of two boxes of which the first stands above the second.
    const cost = heights.map((above) =>
      heights.map((below) => above.reduce((sum, a) => sum + below.filter((b) => b > a).length, 0)),
    );
    const mean = heights.map((h) => (h.length > 0 ? h.reduce((a, b) => a + b, 0) / h.length : -Infinity));
    const byHeight = mine.map((_, i) => i).sort((a, b) => mean[b]! - mean[a]! || a - b);
    const order = mine.length <= most.column ? bestOrder(cost, byHeight) : byHeight;
    let crossings = 0;
    order.forEach((i, n) => order.slice(n + 1).forEach((j) => (crossings += cost[i]![j]!)));
    return { order: order.map((i) => mine[i]!), crossings };
  }
}

/** The order in which the sum over all pairs is least; of equal ones the earliest in the given order. */
function bestOrder(cost: number[][], prefer: number[]): number[] {
  const n = prefer.length;
  const least = new Array<number>(2 ** n).fill(Infinity);
  const last = new Array<number>(2 ** n).fill(-1);
  least[0] = 0;
  for (let set = 0; set < 2 ** n; set++) {
    for (let k = 0; k < n; k++) {
      if (set & (1 << k)) continue;
      let sum = least[set]!;
      for (let m = 0; m < n; m++) if (set & (1 << m)) sum += cost[prefer[m]!]![prefer[k]!]!;
      const next = set | (1 << k);
      if (sum < least[next]!) {
        least[next] = sum;
        last[next] = k;
      }
    }
  }
  const order: number[] = [];
  for (let set = 2 ** n - 1; set > 0; set &= ~(1 << last[set]!)) order.unshift(prefer[last[set]!]!);
  return order;
}

function leftness({ edge, share }: RimWire): number {
  return { left: 1, right: -1, front: 0.5 - share, rear: 0.5 - share }[edge];
}

function wayOf(wire: RimWire, side: Side): number {
  if (runOf(wire, side) === 'direct') return 0;
  return wire.edge === 'front' || wire.edge === 'rear' ? 1 + Math.abs(heightOf(wire, side)) / 4 : 5;
}
