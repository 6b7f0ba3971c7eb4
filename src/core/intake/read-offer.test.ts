import { expect, test } from 'vitest';
import { readOffer } from './read-offer';

test.each([
  ['Price: US $41.90 (approx. EUR 38,60)\nPostage: free, delivery in 8-14 days', 4190, 0, 'USD'],
  ['38,90 €\nVersand 4,90 €', 3890, 490, 'EUR'],
  ['Free shipping over $99\nBrindle 55\n$89.99  In stock\nBrindle 65 $109.99', 8999, null, 'USD'],
  ['was $49.90, now $39.90', 3990, null, 'USD'],
  ['Price: 31.90', 3190, null, null],
  ['£28 plus shipping £3.50', 2800, 350, 'GBP'],
])('%s', (text, cents, shippingCents, currency) =>
  expect(readOffer(text)).toMatchObject({ cents, shippingCents, currency }),
);

test('no price, no offer; volts and grams are none', () => expect(readOffer('5V 3A, 8.1 g, 3-6S, v2.50')).toBeNull());
