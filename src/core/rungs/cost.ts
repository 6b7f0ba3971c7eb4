import type { Board } from '../records/board';
import type { Build } from '../records/build';
import type { Hookup } from '../wiring/hookup';
import { euroIn } from '../bill/exchange';
import { borderOf } from '../bill/border';
import type { Sundry } from '../bill/dragged-in';
import { bought } from '../sets/roles';
import { basketOf, boardKey, leastToPay, orderFor, unlistedSpan, type BasketLine, type Order } from '../bill/basket';
import { money as moneyIn } from '../quantity/money';
import { comfort } from '../trade/comfort';
import { plausibleEnds } from '../figures/plausible-ends';
import { exactly } from '../quantity/figure';
import { atLeast } from '../quantity/truth';
import { marginOf, stateWithin, type Finding } from './finding';

export interface Bill {
  lines: BasketLine[];
  order: Order;
  /** The least that any order of them comes to, in cents of the build's currency. */
  leastCents: number;
}

/**
 * The cheapest order of all that is still to be bought with this board: the basket over all shops, shipping paid once a parcel, less what is at home.
 * `build` and `board` as they are bought, before their fixes; `dragged`: what the hookup drags in, where it has been worked out. null: nobody offers the board, so there is no price.
 */
export function cheapestBill(build: Build, board: Board, hookup: Hookup, dragged?: readonly Sundry[]): Bill | null {
  if (unsold(build, board).length > 0) return null;
  const lines = basketOf(build, board, hookup, dragged);
  const order = orderFor(lines, 'cheapest', build);
  return { lines, order, leastCents: leastToPay(lines, order, build) };
}

/** Boards that nobody offers, and that are not at home. */
function unsold(build: Build, board: Board): ReturnType<typeof bought> {
  return bought(board).filter((m) => m.board.offers.length === 0 && (build.atHome[boardKey(m.board)] ?? 0) < m.count);
}

function unpriced(build: Build, board: Board): Finding['says'] {
  const open = unsold(build, board).map((m) => m.board);
  return {
    code: 'no price',
    members: board.members ? open.map((b) => b.name) : null,
    foreign: [...new Set(open.flatMap((b) => b.foreign ?? []))],
    currency: build.currency,
  };
}

/** Rung 9: landed price with everything the hookup drags in, against the budget. */
export function checkCost(build: Build, board: Board, bill: Bill | null): Finding[] {
  const budget = build.limits.budgetCents;
  const money = (cents: number) => moneyIn(cents, build.currency);
  if (!bill) {
    return [
      {
        rung: 9,
        state: 'unknown',
        code: 'price',
        about: 'Price',
        says: unpriced(build, board),
        given: money(budget),
        grounds: [{ what: 'Offers', figure: 'none', origin: 'unknown' }],
      },
    ];
  }
  const { lines, order, leastCents } = bill;
  const sum = order.totalCents;
  const margin = marginOf(budget, sum);
  // What nobody prices may cost anything that such a thing plausibly does.
  const unsaid = lines.filter((l) => l.unpriced && (build.atHome[l.key] ?? 0) < l.quantity);
  const { lines: unlisted, moreCents } = unlistedSpan(build, lines);
  const most =
    sum +
    order.moreCents +
    unsaid.reduce((total, l) => total + l.quantity * plausibleEnds.partCents.ends[1] * euroIn(build), 0) +
    moreCents;
  const truth = atLeast(exactly(budget), { low: leastCents, high: most });
  const mine = bought(board).flatMap((m) => {
    const found = order.from.find((f) => f.key === boardKey(m.board));
    return found ? [{ ...found, board: m.board }] : [];
  });
  const unsent = order.parcels.filter((p) => p.unsaid);
  const shipping = order.parcels.reduce((total, p) => total + p.shippingCents, 0);
  const rest = sum - mine.reduce((total, m) => total + m.cents, 0) - shipping;
  const homely = bought(board).filter((m) => !mine.some((x) => x.board === m.board));
  const called = (b: Board) => (board.members ? b.name : null);
  const boards = [
    ...mine.map((m) => ({ name: called(m.board), bought: { cents: m.cents, shop: m.shop } })),
    ...homely.map((m) => ({ name: called(m.board), bought: null })),
  ];
  const taxed = (shop: string) => borderOf(shop, build.imports) !== undefined;
  return [
    {
      rung: 9,
      state: stateWithin(truth, margin, comfort.cost),
      code: 'price',
      about: 'Price',
      says: {
        code: 'price',
        currency: build.currency,
        budgetCents: budget,
        sumCents: sum,
        boards,
        restCents: rest,
        parcels: order.parcels.length,
        shippingCents: shipping,
        unsent: unsent.map((p) => p.shop),
        unsentCents: order.moreCents,
        dutied: order.parcels.some((p) => taxed(p.shop)),
        unsaid: unsaid.map((l) => l.what),
        unlisted: unlisted.map((l) => ({ what: l.what, cents: l.cents, mostCents: l.mostCents! })),
      },
      needed: unsaid.length + unlisted.length + unsent.length > 0 ? `at least ${money(sum)}` : money(sum),
      given: money(budget),
      ...(margin === undefined ? {} : { margin }),
      ...(truth === 'unknown' && unlisted.length > 0 ? { fix: { code: 'list what is missing' } as const } : {}),
      grounds: [
        ...mine.map((m) => {
          const seen = m.board.offers.find((o) => o.shop === m.shop)?.seen;
          return {
            what: `Offer of ${m.shop}${board.members ? ` for ${m.board.name}` : ''}${taxed(m.shop) ? ', with duty and tax' : ''}`,
            figure: money(m.cents),
            origin: 'claim' as const,
            ...(seen ? { seen } : {}),
          };
        }),
        {
          what: 'Wire and small things',
          figure: money(lines.filter((l) => l.offers.length === 0).reduce((total, l) => total + l.cents, 0)),
          origin: 'assumed',
        },
        ...unlisted.map((l) => ({
          what: `Price of ${l.what}`,
          figure: `${money(l.cents)} to ${money(l.mostCents!)}`,
          origin: 'assumed' as const,
        })),
        ...unsent.map((p) => ({ what: `Shipping of ${p.shop}`, figure: 'unknown', origin: 'unknown' as const })),
        ...unsaid.map((l) => ({ what: `Price of ${l.what}`, figure: 'unknown', origin: 'unknown' as const })),
      ],
    },
  ];
}
