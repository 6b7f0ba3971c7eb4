import type { Board, Offer } from '../model/board';
import type { Build } from '../model/build';
import { draggedIn } from '../hookup/dragged-in';
import type { Hookup } from '../hookup/hookup';
import { comfort } from '../trade/comfort';
import { marginOf, stateWithin, type Finding } from './finding';

export function landedCents(offer: Offer): number {
  return offer.cents + offer.shippingCents;
}

/** The cheapest offer with shipping, or null where nobody offers the board. */
export function cheapestOffer(board: Board): Offer | null {
  return [...board.offers].sort((a, b) => landedCents(a) - landedCents(b) || a.shop.localeCompare(b.shop))[0] ?? null;
}

/** What is still to be paid with this board: board landed, parts not yet owned (musts even where unmet), extras of the hookup, wire and small things. null: no offer known. */
export function totalCents(build: Build, board: Board, hookup: Hookup): number | null {
  const offer = cheapestOffer(board);
  if (!offer) return null;
  const flown = new Set(hookup.parts.filter((p) => p.mode || p.priority === 'must').map((p) => p.id));
  const parts = build.parts.filter((p) => flown.has(p.id) && !p.owned).reduce((sum, p) => sum + p.peripheral.cents, 0);
  return landedCents(offer) + parts + hookup.cost.cents + smallCents(build, board, hookup);
}

function smallCents(build: Build, board: Board, hookup: Hookup): number {
  return draggedIn(build, board, hookup).reduce((sum, s) => sum + s.cents, 0);
}

/** Rung 9: landed price with everything the hookup drags in, against the budget. */
export function checkCost(build: Build, board: Board, hookup: Hookup): Finding[] {
  const sum = totalCents(build, board, hookup);
  const budget = build.limits.budgetCents;
  const offer = cheapestOffer(board);
  if (sum === null || !offer) {
    return [{ rung: 9, state: 'unknown', about: 'Price', sentence: 'Nobody offers this board, so its price is unknown.', given: money(budget), grounds: [{ what: 'Offers', figure: 'none', origin: 'unknown' }] }];
  }
  const margin = marginOf(budget, sum);
  const truth = budget >= sum ? 'yes' : 'no';
  const extras = hookup.cost.cents > 0 ? ` and ${money(hookup.cost.cents)} of extras` : '';
  const small = smallCents(build, board, hookup);
  const rest = sum - landedCents(offer) - hookup.cost.cents - small;
  return [
    {
      rung: 9,
      state: stateWithin(truth, margin, comfort.cost),
      about: 'Price',
      sentence: `${truth === 'yes' ? `${money(budget - sum)} below` : `${money(sum - budget)} over`} the budget of ${money(budget)}: the board lands at ${money(landedCents(offer))} from ${offer.shop}, parts still to buy are ${money(rest)}${extras}, wire and small things about ${money(small)}, ${money(sum)} together.`,
      needed: money(sum),
      given: money(budget),
      ...(margin === undefined ? {} : { margin }),
      grounds: [{ what: `Offer of ${offer.shop}`, figure: money(landedCents(offer)), origin: 'claim', seen: offer.seen }, { what: 'Wire and small things', figure: money(small), origin: 'assumed' }],
    },
  ];
}

export function money(cents: number): string {
  return `€${(cents / 100).toFixed(2)}`;
}
