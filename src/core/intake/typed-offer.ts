import { centsOf } from '../quantity/money';
import { offerSchema, type Board, type Offer } from '../records/board';
import { valueFromText } from './figure-text';

/** The board with an offer as the buyer saw it; null where it is none. It stays when shops are asked again. */
export function withOffer(
  board: Board,
  offer: Pick<Offer, 'shop' | 'cents' | 'shippingCents' | 'deliveryDays'>,
  seen: string,
): Board | null {
  const read = offerSchema.safeParse({ ...offer, seen, typed: true });
  return read.success
    ? { ...board, offers: [...board.offers.filter((o) => o.shop !== read.data.shop), read.data] }
    : null;
}

export function withoutOffer(board: Board, offer: Offer): Board {
  return { ...board, offers: board.offers.filter((o) => o !== offer) };
}

/** Offers that were just asked for, and those the buyer typed in for other shops. */
export function withTypedOffers(asked: Offer[], before: readonly Offer[]): Offer[] {
  return [...asked, ...before.filter((o) => o.typed && !asked.some((a) => a.shop === o.shop))];
}

/** A price in whole money as somebody typed it, landed; null where it is no price. */
export function withPrice(board: Board, typed: string, seen: string): Board | null {
  const price = valueFromText(typed.replace('€', ''), []);
  if (!price || !('value' in price) || typeof price.value !== 'number') return null;
  return withOffer(board, { shop: 'as answered', cents: centsOf(price.value), shippingCents: 0 }, seen);
}
