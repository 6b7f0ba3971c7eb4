import type { Board } from '../records/board';
import type { Build } from '../records/build';
import type { Hookup } from '../wiring/hookup';
import { basketOf, orderFor, type BasketLine, type Order } from '../bill/basket';
import { money } from '../quantity/money';
import { comfort } from '../trade/comfort';
import { marginOf, stateWithin, type Finding } from './finding';

export interface Bill {
  lines: BasketLine[];
  order: Order;
}

/**
 * The cheapest order of all that is still to be bought with this board: the basket over all shops, shipping paid once a parcel, less what is at home.
 * `build` and `board` as they are bought, before their fixes. null: nobody offers the board, so there is no price.
 */
export function cheapestBill(build: Build, board: Board, hookup: Hookup): Bill | null {
  if (board.offers.length === 0) return null;
  const lines = basketOf(build, board, hookup);
  return { lines, order: orderFor(lines, 'cheapest', build.atHome) };
}

/** Rung 9: landed price with everything the hookup drags in, against the budget. */
export function checkCost(build: Build, board: Board, bill: Bill | null): Finding[] {
  const budget = build.limits.budgetCents;
  if (!bill) {
    return [
      {
        rung: 9,
        state: 'unknown',
        code: 'price',
        about: 'Price',
        sentence: 'Nobody offers this board, so its price is unknown.',
        given: money(budget),
        grounds: [{ what: 'Offers', figure: 'none', origin: 'unknown' }],
      },
    ];
  }
  const { lines, order } = bill;
  const sum = order.totalCents;
  const margin = marginOf(budget, sum);
  const truth = budget >= sum ? 'yes' : 'no';
  const mine = order.from.find((f) => f.key === `board ${board.id}`);
  const shipping = order.parcels.reduce((total, p) => total + p.shippingCents, 0);
  const rest = sum - (mine?.cents ?? 0) - shipping;
  const home = mine
    ? `the board is ${money(mine.cents)} at ${mine.shop}, all else still to buy ${money(rest)}`
    : `the board is at home, all else still to buy ${money(rest)}`;
  const sent =
    order.parcels.length === 0
      ? ''
      : `, shipping ${money(shipping)} for ${order.parcels.length} parcel${order.parcels.length === 1 ? '' : 's'}`;
  const seen = board.offers.find((o) => o.shop === mine?.shop)?.seen;
  return [
    {
      rung: 9,
      state: stateWithin(truth, margin, comfort.cost),
      code: 'price',
      about: 'Price',
      sentence: `${truth === 'yes' ? `${money(budget - sum)} below` : `${money(sum - budget)} over`} the budget of ${money(budget)}: ${home}${sent}, ${money(sum)} together.`,
      needed: money(sum),
      given: money(budget),
      ...(margin === undefined ? {} : { margin }),
      grounds: [
        ...(mine
          ? [
              {
                what: `Offer of ${mine.shop}`,
                figure: money(mine.cents),
                origin: 'claim' as const,
                ...(seen ? { seen } : {}),
              },
            ]
          : []),
        {
          what: 'Wire and small things',
          figure: money(lines.filter((l) => l.offers.length === 0).reduce((total, l) => total + l.cents, 0)),
          origin: 'assumed',
        },
      ],
    },
  ];
}
