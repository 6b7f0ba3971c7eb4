import { euro } from '../quantity/money';
import type { Board, Offer } from '../records/board';
import type { Build } from '../records/build';
import type { Peripheral } from '../records/peripheral';

type Money = Pick<Build, 'currency' | 'rates'>;

/** What one of a currency is worth in that of the build; null where the buyer has not said. */
function worthOf({ currency, rates }: Money, of: string): number | null {
  return of === currency ? 1 : (rates[of] ?? null);
}

/** What one euro is worth in the build's currency: usual prices are in euros. The schema sees to it that a build in another currency says it. */
export function euroIn(build: Money): number {
  return worthOf(build, euro) ?? 1;
}

/** A board as this buyer pays for it: offers in the build's currency. Those in a currency of which nobody says the worth are left out and named in `foreign`. The same board where nothing changes. */
export function inMoneyOf(build: Money, board: Board): Board {
  const members = board.members?.map((m) => ({ ...m, board: inMoneyOf(build, m.board) }));
  const changed = members?.some((m, i) => m.board !== board.members![i]!.board);
  if (!changed && board.offers.every((o) => currencyOf(o) === build.currency)) return board;
  const { offers, foreign } = offersIn(build, board.offers);
  return { ...board, offers, ...(foreign.length > 0 ? { foreign } : {}), ...(members ? { members } : {}) };
}

/** The same for what a part costs. */
export function offersIn(build: Money, given: readonly Offer[]): { offers: Offer[]; foreign: string[] } {
  const foreign = new Set<string>();
  const offers = given.flatMap((offer) => {
    const worth = worthOf(build, currencyOf(offer));
    if (worth === null) foreign.add(currencyOf(offer));
    return worth === null ? [] : [exchanged(offer, worth, build.currency)];
  });
  return { offers, foreign: [...foreign] };
}

function exchanged(offer: Offer, worth: number, currency: string): Offer {
  if (worth === 1 && currencyOf(offer) === currency) return offer;
  return {
    ...offer,
    cents: Math.round(offer.cents * worth),
    shippingCents: offer.shippingCents === null ? null : Math.round(offer.shippingCents * worth),
    currency,
  };
}

export function currencyOf({ currency }: Pick<Offer, 'currency'>): string {
  return currency ?? euro;
}

/** The least that a board is offered for with the shipping that is said, and in what. What several currencies are worth only a build says: then it is that of the first offer. */
export function leastOffer({ offers }: Pick<Board, 'offers'>): { cents: number | null; currency: string } {
  const currency = offers[0] ? currencyOf(offers[0]) : euro;
  const same = offers.filter((o) => currencyOf(o) === currency);
  return { currency, cents: same.length > 0 ? Math.min(...same.map((o) => o.cents + (o.shippingCents ?? 0))) : null };
}

/** A part of the library, whose price is in euros, as it stands on the list of this build. */
export function partInMoneyOf(build: Money, peripheral: Peripheral): Peripheral {
  const worth = euroIn(build);
  return worth === 1 || peripheral.cents === null
    ? peripheral
    : { ...peripheral, cents: Math.round(peripheral.cents * worth) };
}

/** The build in another currency: all its amounts are worth what they were. `worth`: what one of the old is in the new. */
export function buildInCurrency(build: Build, currency: string, worth: number): Build {
  const turned = (cents: number) => Math.round(cents * worth);
  const rates = Object.fromEntries(
    Object.entries({ ...build.rates, [build.currency]: 1 })
      .map(([of, rate]) => [of, rate * worth] as const)
      .filter(([of]) => of !== currency),
  );
  return {
    ...build,
    currency,
    rates,
    limits: { ...build.limits, budgetCents: turned(build.limits.budgetCents) },
    picks: build.picks.map((p) => (p.cents === null ? p : { ...p, cents: turned(p.cents) })),
    imports: build.imports.map((i) => ({ ...i, feeCents: turned(i.feeCents) })),
    parts: build.parts.map((p) =>
      p.peripheral.cents === null ? p : { ...p, peripheral: { ...p.peripheral, cents: turned(p.peripheral.cents) } },
    ),
  };
}
