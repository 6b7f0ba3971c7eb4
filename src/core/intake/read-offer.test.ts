import { expect, test } from 'vitest';
import { readOffer } from './read-offer';

test.each([
  ['Price: US $41.90 (approx. EUR 38,60)\nPostage: free, delivery in 8-14 days', 4190, 0, 'USD'],
  ['38,90 €\nVersand 4,90 €', 3890, 490, 'EUR'],
  ['Free shipping over $99\nBrindle 55\n$89.99  In stock\nBrindle 65 $109.99', 8999, null, 'USD'],
  ['was $49.90, now $39.90', 3990, null, 'USD'],
  ['Price: 31.90', 3190, null, null],
  ['£28 plus shipping £3.50', 2800, 350, 'GBP'],
  ['Price: **41.90 €**', 4190, null, 'EUR'],
  ['~~$59.99~~ $44.99', 4499, null, 'USD'],
  ['<del>59,99 €</del> 44,99 €, delivery: free', 4499, 0, 'EUR'],
  ['UVP 59,90 € jetzt 44,90 €, zzgl. 4,90 € Versand', 4490, 490, 'EUR'],
  ['MSRP $60, our price $45', 4500, null, 'USD'],
  ['$60.00 $45.00 Save 25%', 4500, null, 'USD'],
  ['Price $1,045.50', 104550, null, 'USD'],
  ['1.299,00 PLN', 129900, null, 'PLN'],
  ['39,- €', 3900, null, 'EUR'],
  ['AU $49.95', 4995, null, 'AUD'],
  ['$49.95 CAD', 4995, null, 'CAD'],
  ['199 zł', 19900, null, 'PLN'],
  // Whose crowns or yen these are the sign does not say.
  ['1 299 kr', 129900, null, null],
  ['¥298', 29800, null, null],
  ['10 pcs: $39.00 each; 1 pc $42.00', 4200, null, 'USD'],
  ['Holes 30.5 EUR 42.00', 4200, null, 'EUR'],
  ['Sale 25 % off: 41,25 € statt 55,00 €', 4125, null, 'EUR'],
  ['cart: €112.40 total; this item €38.20', 3820, null, 'EUR'],
  ['58 € for the pair, 31 € each', 3100, null, 'EUR'],
  ['6S 45A 30x30 $42.00', 4200, null, 'USD'],
  ['20 $ 5.99 shipping', 2000, 599, 'USD'],
  ['42,00 EUR 5,90 EUR Versand', 4200, 590, 'EUR'],
  ['Deposit 10 € Price 45 €', 4500, null, 'EUR'],
  ['Shipping $5.00, price $45', 4500, 500, 'USD'],
  ['Price: 74.90 EUR, shipping 5.90', 7490, 590, 'EUR'],
  ['74,90 € + 4,90 Versand', 7490, 490, 'EUR'],
  ['$45.00, postage: 3.50', 4500, 350, 'USD'],
  // Days, grams and what they are for are no money.
  ['$45.00, delivery 3-5 days', 4500, null, 'USD'],
  ['$45.00, shipping weight 30.50 g', 4500, null, 'USD'],
  ['$45.00, shipping 30.50 g', 4500, null, 'USD'],
])('%s', (text, cents, shippingCents, currency) =>
  expect(readOffer(text)).toMatchObject({ cents, shippingCents, currency }),
);

test.each([
  ['of several versions', 'Price: $45.00 - $60.00'],
  ['of the cheapest version', 'from $45'],
  ['of a basket', 'Total 92.80 € (2 x 44.90 + 3.00 shipping)'],
  ['by the month', '$8 / month'],
])('what a price is %s is not taken for the price of one', (_, text) => expect(readOffer(text)).toBeNull());

test('its place is that of the page', () => {
  const page = 'Tern F7\nPrice **41.90 €**, in stock';
  const { start, end } = readOffer(page)!;
  expect(page.slice(start, end)).toBe('41.90 €');
});

test('no price, no offer; volts and grams are none', () =>
  expect(readOffer('5V 3A, 8.1 g, 3-6S, v2.50, range 1000 ft')).toBeNull());
