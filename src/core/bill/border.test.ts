import { expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild } from '../tests/make';
import { orderFor, type BasketLine } from './basket';
import { atTheDoor } from './border';
import { sentenceOf } from '../words/finding/sentence-of';

const offer = (shop: string, cents: number, shippingCents: number) => ({
  shop,
  cents,
  shippingCents,
  seen: '2026-11-01',
});
const far = { shop: 'Far', dutyPercent: 3.7, taxPercent: 19, feeCents: 600 };

test('by hand: 50.00 with 3.7 % duty and 19 % tax on all of it are 61.70; the fee of the carrier comes once a parcel', () => {
  expect(atTheDoor(offer('Far', 5000, 1000), [far])).toMatchObject({ cents: 6170, shippingCents: 1234 + 600 });
  expect(atTheDoor(offer('Near', 5000, 1000), [far])).toEqual({ ...offer('Near', 5000, 1000), unsaid: false });
  expect(atTheDoor({ ...offer('Far', 5000, 0), shippingCents: null }, [far])).toMatchObject({
    shippingCents: 600,
    unsaid: true,
  });
});
test('what is cheaper before the border may be dearer at the door', () => {
  const line = (key: string): BasketLine => ({
    key,
    what: key,
    quantity: 1,
    unit: 'piece',
    cents: 5000,
    grams: 1,
    why: '',
    offers: [offer('Far', 5000, 500), offer('Near', 5900, 500)],
  });
  const order = (imports: (typeof far)[]) => orderFor([line('a'), line('b')], 'cheapest', { atHome: {}, imports });
  expect([order([]).from[0]!.shop, order([far]).from[0]!.shop]).toEqual(['Far', 'Near']);
  expect(order([{ ...far, dutyPercent: 0, taxPercent: 0 }]).totalCents).toBe(10_000 + 500 + 600);
});
test('the climb counts it, and says so', () => {
  const cost = (imports: (typeof far)[]) =>
    evaluate(makeBuild({ imports }), makeBoard({ offers: [offer('Far', 5000, 1000)] }));
  const [before, after] = [cost([]), cost([{ ...far, shop: 'FAR' }])];
  expect(after.totalCents! - before.totalCents!).toBe(1170 + 234 + 600);
  expect(sentenceOf(after.rungs[8]!.findings[0]!)).toContain('duty and tax included');
});
