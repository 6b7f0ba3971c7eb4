import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { readFile } from '../records/file';
import { makeBoard, makeBuild, makePart, portsAndPads, serial } from '../tests/make';
import { basketOf, orderFor } from './basket';
import { buildInCurrency, inMoneyOf } from './exchange';
import { sentenceOf } from '../words/finding/sentence-of';

const offer = { shop: 'Far Shop', cents: 5000, shippingCents: 1000, seen: '2026-11-01', currency: 'USD' };
const board = makeBoard({ ...portsAndPads(['rt']), offers: [offer] });
const build = makeBuild({}, [makePart('gps', { links: [serial('positioning')] })]);

describe('offers in another currency', () => {
  test('by hand: 50 and 10 dollars at 0.9 are 45 and 9 euros', () => {
    const [own] = inMoneyOf({ ...build, rates: { USD: 0.9 } }, board).offers;
    expect(own).toMatchObject({ cents: 4500, shippingCents: 900, currency: 'EUR' });
  });

  test('without a rate the price is unknown, and the sentence says whose worth is missing', () => {
    const climb = evaluate(build, board);
    expect(climb.totalCents).toBeNull();
    expect(climb.rungs[8]).toMatchObject({ state: 'unknown' });
    expect(sentenceOf(climb.rungs[8]!.findings[0]!)).toContain('USD');
    expect(evaluate({ ...build, rates: { USD: 0.9 } }, board).rungs[8]!.state).not.toBe('unknown');
  });

  test('the cheaper offer is that which is worth less, not that of the smaller number', () => {
    const two = makeBoard({
      ...portsAndPads(['rt']),
      offers: [
        { ...offer, cents: 5500, shippingCents: 0 },
        { ...offer, shop: 'Near Shop', currency: 'EUR', cents: 5200, shippingCents: 0 },
      ],
    });
    const dollar = { ...build, rates: { USD: 0.9 } };
    const order = orderFor(basketOf(dollar, two, evaluate(dollar, two).hookup), 'cheapest');
    expect(order.from[0]).toMatchObject({ shop: 'Far Shop', cents: 4950 });
  });

  test('a set of boards turns each of them', () => {
    const whole = { ...board, offers: [], members: [{ role: 'controller' as const, board, count: 1, pads: {} }] };
    expect(inMoneyOf({ ...build, rates: { USD: 2 } }, whole).members![0]!.board.offers[0]!.cents).toBe(10_000);
    const plain = makeBoard(portsAndPads(['rt']));
    expect(inMoneyOf(build, plain)).toBe(plain);
  });
});

describe('a build in another currency', () => {
  test('everything stays worth what it was: the verdict, and the sum at the rate', () => {
    const euros = makeBoard(portsAndPads(['rt']));
    const before = evaluate(build, euros);
    const after = evaluate(buildInCurrency(build, 'USD', 1.25), euros);
    expect(after.verdict).toBe(before.verdict);
    expect(Math.abs(after.totalCents! - before.totalCents! * 1.25)).toBeLessThan(10);
    expect(sentenceOf(after.rungs[8]!.findings[0]!)).toContain('$');
    expect(sentenceOf(after.rungs[8]!.findings[0]!)).not.toContain('€');
  });

  test('back again at the inverse rate it is the build it was', () => {
    const there = buildInCurrency({ ...build, rates: { GBP: 1.2 } }, 'USD', 1.25);
    expect(there.rates).toEqual({ EUR: 1.25, GBP: 1.5 });
    const back = buildInCurrency(there, 'EUR', 0.8);
    expect(back.limits).toEqual(build.limits);
    expect(back.rates.GBP).toBeCloseTo(1.2, 9);
  });

  test('a file in another currency that does not say what a euro is worth is refused, with what to do', () => {
    const read = readFile(JSON.stringify({ ...build, currency: 'USD', rates: {} }));
    expect(read.ok).toBe(false);
    expect(JSON.stringify(read)).toContain('one EUR is worth');
  });
});
