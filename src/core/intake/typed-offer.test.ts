import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { questionsFor } from '../decide/questions';
import { rankClimbs } from '../decide/rank-shelf';
import { makeBoard, makeBuild } from '../tests/make';
import { withOffer, withoutOffer, withPrice, withTypedOffers } from './typed-offer';
import { withTyped } from './typed-figure';

const bare = makeBoard({ offers: [] });
const seen = '2026-11-25';

describe('a price that the buyer typed in', () => {
  test('lands as an offer with its day, one a shop, and can be taken back', () => {
    const one = withOffer(bare, { shop: 'Mast & Line', cents: 5990, shippingCents: 490, deliveryDays: 4 }, seen)!;
    expect(one.offers).toEqual([
      { shop: 'Mast & Line', cents: 5990, shippingCents: 490, deliveryDays: 4, seen, typed: true },
    ]);
    const again = withOffer(one, { shop: 'Mast & Line', cents: 5490, shippingCents: 0 }, seen)!;
    expect(again.offers.map((o) => o.cents)).toEqual([5490]);
    expect(withoutOffer(again, again.offers[0]!).offers).toEqual([]);
    expect(evaluate(makeBuild(), one).totalCents).toBeGreaterThanOrEqual(6480);
  });
  test('what is no offer does not land', () => {
    expect(withOffer(bare, { shop: '', cents: 1, shippingCents: 0 }, seen)).toBeNull();
    expect(withOffer(bare, { shop: 'A', cents: -1, shippingCents: 0 }, seen)).toBeNull();
    expect(['', '?', 'cheap', 'yes', '5..9'].map((t) => withPrice(bare, t, seen))).toEqual([
      null,
      null,
      null,
      null,
      null,
    ]);
    expect(['59,90', '€59.90', '59.9'].map((t) => withPrice(bare, t, seen)!.offers[0]!.cents)).toEqual([
      5990, 5990, 5990,
    ]);
  });
  test('shops that are asked again take the place of their own offers only', () => {
    const typed = withOffer(
      withOffer(bare, { shop: 'A', cents: 100, shippingCents: 0 }, seen)!,
      { shop: 'B', cents: 200, shippingCents: 0 },
      seen,
    )!.offers;
    const stale = { shop: 'C', cents: 300, shippingCents: 0, seen };
    expect(
      withTypedOffers([{ shop: 'A', cents: 90, shippingCents: 0, seen }], [...typed, stale]).map(
        (o) => `${o.shop} ${o.cents}`,
      ),
    ).toEqual(['A 90', 'B 200']);
  });
  test('a board that nobody offers is asked for its price, where the price decides; the answer lands', () => {
    const build = makeBuild();
    const asked = questionsFor(build, [bare], rankClimbs([evaluate(build, bare)]));
    expect(asked.map((q) => q.field)).toEqual(['offers']);
    expect(asked[0]!.wouldPick).toContain('Plank');
    const answered = withTyped(bare, 'offers', '59,90', { origin: 'claim', seen, who: 'answered' })!;
    expect(evaluate(build, answered).verdict).toBe('fits');
    // Offered, but not with what sending it costs: asked where that may pass the budget, and only there.
    const unsent = { ...bare, offers: [{ shop: 'A', cents: 5000, shippingCents: null, seen }] };
    const near = makeBuild({
      limits: { takeOffMassG: 700, budgetCents: evaluate(build, unsent).totalCents! + 1000 },
    });
    const askedOn = (b: typeof build) =>
      questionsFor(b, [unsent], rankClimbs([evaluate(b, unsent)])).map((q) => [q.field, q.wouldPick]);
    expect(askedOn(near)).toEqual([['offers', expect.stringContaining('Plank')]]);
    expect(askedOn(build)).toEqual([]);
    const heavy = makeBuild({ limits: { takeOffMassG: 100, budgetCents: 30_000 } });
    expect(questionsFor(heavy, [bare], rankClimbs([evaluate(heavy, bare)]))).toEqual([]);
  });
});

test('a price may name its currency by sign or letters; else it is in that which the buyer pays in', () => {
  const of = (typed: string, payingIn?: string) =>
    withPrice(makeBoard({ offers: [] }), typed, '2026-11-28', payingIn)!.offers[0]!;
  expect(of('$59.90')).toMatchObject({ cents: 5990, currency: 'USD' });
  expect(of('59,90 CHF', 'EUR')).toMatchObject({ cents: 5990, currency: 'CHF' });
  expect(of('59.9', 'GBP')).toMatchObject({ cents: 5990, currency: 'GBP' });
  expect(of('59.9').currency).toBeUndefined();
  expect(of('129,90 zł', 'EUR')).toMatchObject({ cents: 12_990, currency: 'PLN' });
  expect(of('AU$ 80', 'EUR')).toMatchObject({ cents: 8000, currency: 'AUD' });
  expect(of('499 kr', 'SEK')).toMatchObject({ cents: 49_900, currency: 'SEK' });
});
