import { describe, expect, test } from 'vitest';
import { comfort } from '../trade/comfort';
import { demoShelf } from '../tests/demo';
import { makeBoard, makeBuild, makePart, says, unknown } from '../tests/make';
import { buildBound, memberBound, setBound, type BuildBound, type MemberBound } from './set-bounds';
import { rungWorth } from './score';

const { boards } = demoShelf();
const named = (id: string) => boards.find((b) => b.id === id)!;
const beside = (grams: number, cents: number, shipping = 0) => ({ grams, cents, shipping });
/** Without limits that anything comes near to. */
const wide: BuildBound = { limitG: 1e6, budgetCents: 1e8, musts: beside(0, 0), all: beside(0, 0) };
const member = (more: Partial<MemberBound> = {}): MemberBound => ({
  board: makeBoard(),
  count: 1,
  worth: new Float64Array(10).fill(1),
  open: false,
  grams: 10,
  cents: 1000,
  shipping: 300,
  out: null,
  ...more,
});
const worth = (at: Record<number, number>) => Float64Array.from({ length: 10 }, (_, i) => at[i + 1] ?? 1);

/** By hand: ten rungs of a tenth each, and ten more for a set that nothing leaves open. */
describe('the bound of a set', () => {
  test('all of it where every rung holds with room; a rung is worth the least that any member allows', () => {
    expect(setBound(wide, [member(), member()])).toBeCloseTo(11, 9);
    expect(
      setBound(wide, [member({ worth: worth({ 1: 0.4 }) }), member({ worth: worth({ 1: 0.7, 2: 0.5 }) })]),
    ).toBeCloseTo(11 - 0.06 - 0.05, 9);
    expect(setBound(wide, [])).toBeCloseTo(11, 9);
  });

  test('one open member takes it out of the class of those that surely fit', () => {
    expect(setBound(wide, [member(), member({ open: true })])).toBeCloseTo(1, 9);
    expect(setBound(wide, [member({ open: true }), member()])).toBeCloseTo(1, 9);
  });

  test('what rungs 4 to 7 are worth at most, and what is known of sets that are wired alike, caps it', () => {
    const most = worth({ 4: 0.6, 7: 0 });
    expect(setBound(wide, [member()], most)).toBeCloseTo(11 - 0.04 - 0.1, 9);
    const alike = { worth: worth({ 5: 0.4 }), beside: beside(0, 0) };
    expect(setBound(wide, [member()], most, alike)).toBeCloseTo(11 - 0.06, 9);
  });

  test('grams and cents add up, shipping is the dearest once; over a limit every set of them breaks', () => {
    const two = [member({ grams: 30, cents: 2000, shipping: 500 }), member({ grams: 20, cents: 1000, shipping: 900 })];
    const at = (limitG: number, budgetCents: number) =>
      setBound({ limitG, budgetCents, musts: beside(50, 100, 700), all: beside(50, 100, 700) }, two);
    // 50 + 50 g; 3,000 + 100 + 900 cents.
    expect(at(99.9, 1e8)).toBe(-Infinity);
    expect(at(100, 1e8)).toBeGreaterThan(-Infinity);
    expect(at(1e6, 3999)).toBe(-Infinity);
    expect(at(1e6, 4000)).toBeGreaterThan(-Infinity);
    // At the very limit it is strained, and worth 0.4: no margin, less than is comfortable.
    expect(comfort.weight).toBeGreaterThan(0);
    expect(at(100, 1e8)).toBeCloseTo(11 - 0.1 + 0.1 * rungWorth({ state: 'strained', margin: 0 }).low, 9);
  });

  test('with all parts, or with the musts and one rung strained by what stays behind, whichever is more', () => {
    const of: BuildBound = { limitG: 100, budgetCents: 1e8, musts: beside(10, 0), all: beside(95, 0) };
    // All: 105 g break; musts: 20 g hold, less the 0.4 of a rung that is strained.
    expect(setBound(of, [member()])).toBeCloseTo(11 - 0.04, 9);
    expect(setBound({ ...of, all: beside(10, 0) }, [member()])).toBeCloseTo(11, 9);
    expect(setBound({ ...of, all: beside(10, 1) }, [member()])).toBeCloseTo(11, 9);
    expect(setBound({ ...of, musts: beside(99, 0), all: beside(99, 0) }, [member()])).toBe(-Infinity);
  });

  test('a mass or a price that nobody says is worth nothing on its rung, and breaks nothing', () => {
    const dear = member({ worth: worth({ 8: 0, 9: 0 }), grams: 0, cents: 0, open: true });
    expect(setBound(wide, [dear])).toBeCloseTo(0.8, 9);
    // The sums of the others still may.
    expect(setBound({ ...wide, limitG: 5 }, [member({ worth: worth({ 9: 0 }) })])).toBe(-Infinity);
  });
});

describe('the bound of a member', () => {
  const build = makeBuild();

  test('single ESCs come one a motor, anything else once; what is at home is not paid for', () => {
    const peg = named('tarnfield-peg-45');
    const four = memberBound(build, peg);
    const [cheapest, shipping] = [
      Math.min(...peg.offers.map((o) => o.cents)),
      Math.min(...peg.offers.map((o) => o.shippingCents!)),
    ];
    expect([four.count, four.cents, four.shipping]).toEqual([4, 4 * cheapest, shipping]);
    const home = (n: number) => memberBound(makeBuild({ atHome: { 'board tarnfield-peg-45': n } }), peg);
    expect([home(1).cents, home(4).cents, home(9).cents]).toEqual([3 * cheapest, 0, 0]);
    expect(home(4).shipping).toBe(0);
    expect(memberBound(build, named('marlpit-weir-12')).count).toBe(1);
  });

  test('what nobody offers or has weighed is open, and counts nothing', () => {
    const weir = named('marlpit-weir-12');
    expect(memberBound(build, weir).open).toBe(false);
    expect(memberBound(build, { ...weir, offers: [] })).toMatchObject({ open: true, cents: 0, shipping: 0 });
    expect(memberBound(build, { ...weir, massG: unknown })).toMatchObject({ open: true, grams: 0 });
    expect(memberBound(build, { ...weir, massG: { low: 3, high: 5, origin: 'claim' } }).grams).toBe(5);
  });

  test('one that takes too few cells is out with its reason', () => {
    const cells = makeBuild({ pack: { cells: 8, chemistry: 'lipo', massG: says(300), cellMilliohm: says(1) } });
    const weir = { ...named('marlpit-weir-12'), packCells: { min: says(2), max: says(6) }, packMaxVolts: undefined };
    expect(memberBound(cells, weir).out).toMatchObject({ state: 'breaks', rung: 2 });
    expect(memberBound(build, weir).out).toBeNull();
  });
});

test('what flies and is paid for beside the boards: the musts at least, all at most; what is owned flies and costs nothing, a receiver may stay at the shop', () => {
  const parts = [
    makePart('cam', {}, { massG: says(5), cents: 900 }),
    makePart('own', {}, { massG: says(7), cents: 800, owned: true }),
    makePart('nice', {}, { massG: says(11), cents: 300, priority: 'nice' }),
    makePart('rx', {}, { massG: says(13), cents: 700, kind: 'receiver' }),
    makePart('unsaid', {}, { massG: unknown, cents: null }),
  ];
  // 300 g bare and 180 g of pack.
  const { musts, all, limitG, budgetCents } = buildBound(makeBuild({}, parts));
  expect([limitG, budgetCents]).toEqual([700, 30_000]);
  expect(musts).toEqual(beside(300 + 180 + 5 + 7, 900));
  expect(all).toEqual(beside(300 + 180 + 5 + 7 + 11, 1200));
});
