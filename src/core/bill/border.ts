import type { Offer } from '../records/board';
import type { Build } from '../records/build';

type Border = Build['imports'][number];

/** What goods of so many cents come to with duty and tax: tax is taken on goods, shipping and duty together (common practice of customs, no source). */
function landed(cents: number, { dutyPercent, taxPercent }: Border): number {
  return Math.round(cents * (1 + dutyPercent / 100) * (1 + taxPercent / 100));
}

export function borderOf(shop: string, imports: readonly Border[]): Border | undefined {
  return imports.find((i) => i.shop.toLowerCase() === shop.toLowerCase());
}

/** An offer as it comes to the door. */
export interface Landed extends Offer {
  /** At least: nothing of the shop's own where it is not said. */
  shippingCents: number;
  /** Nobody says what the shop takes for sending it. */
  unsaid: boolean;
}

/** The offer as it comes to the door: what the carrier asks for a parcel is part of its shipping, since both are paid once. */
export function atTheDoor(offer: Offer, imports: readonly Border[]): Landed {
  const border = borderOf(offer.shop, imports);
  const shipping = offer.shippingCents ?? 0;
  return {
    ...offer,
    cents: border ? landed(offer.cents, border) : offer.cents,
    shippingCents: border ? landed(shipping, border) + border.feeCents : shipping,
    unsaid: offer.shippingCents === null,
  };
}
