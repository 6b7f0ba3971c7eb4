import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Build, Part } from '../records/build';
import { makeBoard, makeBuild, makePart, portsAndPads, says, serial, supply } from '../tests/make';
import { basketOf, leastToPay, orderFor, priceOf, shippingOf, unlistedSpan, type BasketLine } from './basket';

type Sold = [shop: string, cents: number, shippingCents?: number | null, deliveryDays?: number, stock?: number];
const line = (key: string, sold: Sold[], more: Partial<BasketLine> = {}): BasketLine => ({
  key,
  what: key,
  quantity: 1,
  unit: 'piece',
  cents: 700,
  grams: null,
  why: '',
  offers: sold.map(([shop, cents, shippingCents = 0, deliveryDays, stock]) => ({
    shop,
    cents,
    shippingCents,
    seen: '2026-11-20',
    ...(deliveryDays === undefined ? {} : { deliveryDays }),
    ...(stock === undefined ? {} : { stock }),
  })),
  ...more,
});
const shops = (o: ReturnType<typeof orderFor>) => o.parcels.map((p) => p.shop);

/** Sums worked by hand. */
describe('the order', () => {
  test('nothing to buy costs nothing; without any offer the usual price counts, and no parcel comes', () => {
    expect(orderFor([], 'cheapest')).toEqual({ from: [], parcels: [], totalCents: 0, moreCents: 0, days: null });
    expect(orderFor([line('a', [])], 'cheapest')).toEqual({
      from: [],
      parcels: [],
      totalCents: 700,
      moreCents: 0,
      days: null,
    });
  });

  test('the dearest shipping of a shop is paid once, and its last delivery is that of the order', () => {
    const order = orderFor([line('a', [['X', 100, 300, 2]]), line('b', [['X', 200, 500, 6]])], 'cheapest');
    expect(order).toEqual({
      from: [
        { key: 'a', shop: 'X', cents: 100 },
        { key: 'b', shop: 'X', cents: 200 },
      ],
      parcels: [{ shop: 'X', shippingCents: 500, unsaid: false, days: 6 }],
      totalCents: 800,
      moreCents: 0,
      days: 6,
    });
  });

  test('shipping that nobody says counts as what it may come to where shops are chosen, and as nothing in the least to pay', () => {
    const free = [
      line('a', [
        ['X', 5000, null],
        ['Y', 7000, 500],
      ]),
    ];
    const dear = [
      line('a', [
        ['X', 5000, null],
        ['Y', 9500, 0],
      ]),
    ];
    const known = orderFor(free, 'cheapest');
    expect([shops(known), known.totalCents, known.moreCents]).toEqual([['Y'], 7500, 0]);
    expect(leastToPay(free, known, {})).toBe(5000);
    // Up to 40 for sending it: dearer than 90, never than 95.
    const unsaid = orderFor(dear, 'cheapest');
    expect(unsaid).toMatchObject({ totalCents: 5000, moreCents: 4000, parcels: [{ shop: 'X', unsaid: true }] });
    expect(unsaid.parcels.map((p) => shippingOf(p, 'EUR'))).toEqual(['shipping not said']);
    expect(orderFor(dear, 'cheapest', { currency: 'USD', rates: { EUR: 1.1 } }).moreCents).toBe(4400);
    // What the carrier asks at the border is known all the same.
    const fee = { shop: 'X', dutyPercent: 0, taxPercent: 0, feeCents: 600 };
    const [parcel] = orderFor([line('a', [['X', 5000, null]])], 'cheapest', { imports: [fee] }).parcels;
    expect(shippingOf(parcel!, 'EUR')).toBe('shipping at least €6.00');
    // One that says it does not speak for the other thing of that parcel.
    const two = orderFor([line('a', [['X', 100, 300]]), line('b', [['X', 100, null]])], 'cheapest');
    expect(two).toMatchObject({ totalCents: 500, moreCents: 4000 });
  });

  test('a shop that does not say when makes the day of the order unknown', () => {
    expect(orderFor([line('a', [['X', 100, 0]]), line('b', [['Y', 100, 0, 2]])], 'cheapest').days).toBeNull();
    expect(
      orderFor(
        [
          line('a', [
            ['X', 100, 0],
            ['Y', 300, 0, 9],
          ]),
        ],
        'fastest',
      ),
    ).toMatchObject({ days: 9 });
  });

  test('of equal sums the one with fewer parcels, then the quicker; of equal prices the shop by name', () => {
    const both = [
      line('a', [
        ['X', 100, 200, 5],
        ['Y', 300, 0, 1],
      ]),
    ];
    expect(orderFor(both, 'cheapest')).toMatchObject({ totalCents: 300, days: 1 });
    const split = [
      line('a', [
        ['X', 100, 100],
        ['Y', 200, 0],
      ]),
      line('b', [['Y', 200, 0]]),
    ];
    expect(shops(orderFor(split, 'cheapest'))).toEqual(['Y']);
    expect(
      orderFor(
        [
          line('a', [
            ['Z', 100, 50],
            ['B', 100, 50],
          ]),
        ],
        'cheapest',
      ).from[0]!.shop,
    ).toBe('B');
  });

  test('each aim has its own order', () => {
    const lines = [
      line('a', [
        ['Near', 900, 0, 1],
        ['Far', 100, 50, 9],
        ['All', 400, 100, 4],
      ]),
      line('b', [
        ['Near', 900, 0, 1],
        ['Slow', 100, 50, 20],
        ['All', 400, 100, 4],
      ]),
    ];
    expect(orderFor(lines, 'cheapest')).toMatchObject({ totalCents: 300, days: 20 });
    expect(orderFor(lines, 'fastest')).toMatchObject({ totalCents: 1800, days: 1 });
    expect(orderFor(lines, 'fewest parcels')).toMatchObject({ totalCents: 900, days: 4 });
  });

  test('of two at home and three wanted one is bought, at a third of the usual price where nobody offers it', () => {
    const three = line('a', [['X', 100]], { quantity: 3, cents: 900 });
    const home = { atHome: { a: 2 }, imports: [] };
    expect(orderFor([three], 'cheapest', home).totalCents).toBe(100);
    expect(orderFor([{ ...three, offers: [] }], 'cheapest', home).totalCents).toBe(300);
    expect(orderFor([three], 'cheapest', { atHome: { a: 3 }, imports: [] }).totalCents).toBe(0);
  });

  test('an offer with too few in stock counts only where there is no other', () => {
    const of = (stock: number) =>
      line(
        'a',
        [
          ['X', 100, 0, 1, stock],
          ['Y', 400, 0, 1],
        ],
        { quantity: 2 },
      );
    expect([of(1), of(2)].map((l) => orderFor([l], 'cheapest').totalCents)).toEqual([800, 200]);
  });

  test('beyond ten shops those that sell most lines are tried together, and what only others sell comes from the least with shipping', () => {
    const big = Array.from({ length: 10 }, (_, i) => `S${i}`);
    const common = ['c1', 'c2'].map((key) =>
      line(
        key,
        big.map((shop) => [shop, 500, 100]),
      ),
    );
    const rare = line('rare', [
      ['A dear', 300, 900],
      ['A fair', 700, 100],
      ['A third', 900, 50],
    ]);
    const order = orderFor([...common, rare], 'cheapest');
    expect(order.totalCents).toBe(500 + 500 + 100 + 700 + 100);
    expect(order.from.find((f) => f.key === 'rare')!.shop).toBe('A fair');
  });
});

describe('the lines of a basket', () => {
  const hear = (id: string, more: Parameters<typeof makePart>[2] = {}) =>
    makePart(id, { links: [serial('two-wire-rc')], supply: supply(4.5, 5.5, 0.1) }, more);
  const board = makeBoard({
    ...portsAndPads(['rt', 'rt']),
    rails: [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
      {
        id: 'five',
        label: '5 V',
        pads: ['vbat'],
        source: {
          kind: 'regulator',
          type: 'buck',
          outVolts: says(5),
          ratedAmps: says(2),
          dropOutVolts: says(0.5),
          input: 'pack',
        },
      },
    ],
  });
  const linesOf = (parts: Part[], change: Partial<Build> = {}) => {
    const build = { ...makeBuild({}, parts), ...change };
    return basketOf(build, board, evaluate(build, board).hookup);
  };

  test('the board by its maker, name and revision, at its least price', () => {
    const two = makeBoard({
      offers: [
        { shop: 'A', cents: 5200, shippingCents: 0, seen: '2026-11-01' },
        { shop: 'B', cents: 4900, shippingCents: 900, seen: '2026-11-01' },
      ],
    });
    const build = makeBuild();
    const [first] = basketOf(build, two, evaluate(build, two).hookup);
    expect(first).toMatchObject({ key: 'board plank', cents: 4900, grams: 20, quantity: 1, why: 'the board' });
    expect(first!.what).toContain('Testwright Plank, revision');
  });

  test('what is the buyer’s own, and what costs nothing and is offered nowhere, is not bought', () => {
    const keys = (parts: Part[]) => linesOf(parts).map((l) => l.key);
    expect(keys([hear('rx')])).toContain('part rx');
    expect(keys([hear('rx', { owned: true })])).not.toContain('part rx');
    expect(keys([hear('rx', { cents: 0 })])).not.toContain('part rx');
  });

  test('a part whose price nobody says is unpriced, and its mass is the heavier end, times how many', () => {
    const part = hear('rx', { cents: null, massG: { low: 2, high: 3.5, origin: 'claim' } });
    expect(linesOf([part]).find((l) => l.key === 'part rx')).toMatchObject({ unpriced: true, grams: 3.5, cents: 0 });
    expect(linesOf([hear('rx')]).find((l) => l.key === 'part rx')).not.toHaveProperty('unpriced');
  });

  test('usual prices are in the money of the build: half a euro a franc makes twice as many', () => {
    const swiss = { currency: 'CHF', rates: { EUR: 2 } };
    const wires = (lines: BasketLine[]) => lines.filter((l) => l.key.includes('wire'));
    const [euro, francs] = [wires(linesOf([hear('rx')])), wires(linesOf([hear('rx')], swiss))];
    expect(euro.length).toBeGreaterThan(0);
    for (const [i, l] of euro.entries()) expect(Math.abs(francs[i]!.cents - 2 * l.cents)).toBeLessThanOrEqual(1);
  });

  test('a way of wiring that wants something brings it, under the name of what it needs or of the way', () => {
    const way = (needs?: string) =>
      makePart('rx', {
        label: 'by hand',
        links: [serial('two-wire-rc')],
        supply: supply(4.5, 5.5, 0.1),
        cents: 350,
        grams: 1.5,
        ...(needs ? { needs } : {}),
      } as never);
    const extra = (part: Part) => linesOf([part]).find((l) => l.key === 'extra rx')!;
    expect(extra(way('A level shifter'))).toMatchObject({ what: 'A level shifter', cents: 350, grams: 1.5 });
    expect(extra(way())).toMatchObject({ what: 'Extras of "by hand"', why: 'rx is wired by "by hand"' });
    expect(linesOf([way()]).filter((l) => l.key === 'extras')).toEqual([]);
  });

  test('a fix that costs something stands on its own line, and is not counted again among what the hookup asks', () => {
    const build = makeBuild(
      { fixes: { plank: [{ kind: 'signal inverter', part: 'rx' }, { kind: 'adapter plate' }] } },
      [hear('rx')],
    );
    const { hookup } = evaluate(build, board);
    const lines = basketOf(build, board, hookup);
    expect(lines.filter((l) => l.why === 'a fix you accepted').map((l) => l.what)).toEqual([
      'signal inverter',
      'adapter plate',
    ]);
    expect(lines.filter((l) => l.why === 'a fix you accepted').every((l) => l.cents > 0)).toBe(true);
    expect(lines.filter((l) => l.key === 'extras')).toEqual([]);
    // Of a part that is not wired nothing is bought.
    const without = { ...hookup, parts: hookup.parts.map((p) => ({ ...p, mode: null })) };
    expect(
      basketOf(build, board, without)
        .filter((l) => l.why === 'a fix you accepted')
        .map((l) => l.what),
    ).toEqual(['adapter plate']);
  });
});

test('what nobody listed costs between its ends, less what is at home', () => {
  const span = line('u', [], { quantity: 2, cents: 100, mostCents: 900 });
  const of = (atHome: Record<string, number>) => unlistedSpan({ atHome }, [span, line('a', [])]);
  expect(of({})).toEqual({ lines: [span], moreCents: 800 });
  expect(of({ u: 1 })).toMatchObject({ moreCents: 400 });
  expect(of({ u: 2 })).toEqual({ lines: [], moreCents: 0 });
  expect([span, line('a', []), line('b', [], { unpriced: true })].map(priceOf)).toEqual([
    '1.00 to 9.00',
    '7.00',
    'unknown',
  ]);
});
