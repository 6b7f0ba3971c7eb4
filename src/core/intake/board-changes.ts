import { money } from '../quantity/money';
import type { Board, Offer } from '../records/board';
import { differencesOf } from './differences';

/** What became of a board since, in plain words: its prices first, then its figures; nothing where nothing did. */
export function boardChanges(was: Board, now: Board): string[] {
  return [
    ...priceChanges(was.offers, now.offers),
    ...differencesOf(was, now).map((d) => `${d.says}: ${d.before}, now ${d.after}`),
  ];
}

function priceChanges(was: readonly Offer[], now: readonly Offer[]): string[] {
  const of = (offers: readonly Offer[]) => new Map(offers.map((o) => [o.shop, o]));
  const [before, after] = [of(was), of(now)];
  return [...new Set([...before.keys(), ...after.keys()])].flatMap((shop) => {
    const [a, b] = [before.get(shop), after.get(shop)];
    const words = (o: Offer) =>
      `${money(o.cents, o.currency)}${o.shippingCents ? ` and ${money(o.shippingCents, o.currency)} shipping` : ''}${o.stock === 0 ? ', sold out' : ''}`;
    if (!a) return [`${shop} offers it for ${words(b!)}`];
    if (!b) return [`${shop} offers it no more (was ${words(a)})`];
    return words(a) === words(b) ? [] : [`${shop}: ${words(a)}, now ${words(b)}`];
  });
}
