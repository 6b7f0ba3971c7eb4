import { centsOf } from '../quantity/money';
import { offerSchema, type Board, type Offer } from '../records/board';
import { valueFromText } from './figure-text';
import { withoutSign } from './read-offer';

/** The board with an offer as the buyer saw it; null where it is none. It stays when shops are asked again. */
export function withOffer(
  board: Board,
  offer: Pick<Offer, 'shop' | 'currency' | 'cents' | 'shippingCents' | 'deliveryDays'>,
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

/** A price in whole money as somebody typed it, landed, in the currency that it names or else in that which is paid in; null where it is no price. */
export function withPrice(board: Board, typed: string, seen: string, payingIn?: string): Board | null {
  const [letters] = /\b[A-Z]{3}\b/.exec(typed) ?? [];
  const named = letters ? { currency: letters, rest: typed.replace(letters, '') } : withoutSign(typed);
  const price = valueFromText(named?.rest ?? typed, []);
  if (!price || !('value' in price) || typeof price.value !== 'number') return null;
  const currency = named?.currency ?? payingIn;
  return withOffer(
    board,
    { shop: 'as answered', cents: centsOf(price.value), shippingCents: 0, ...(currency ? { currency } : {}) },
    seen,
  );
}
