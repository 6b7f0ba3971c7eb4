import { describe, expect, test } from 'vitest';
import { evaluate } from '../climb';
import { makeBoard, makeBuild, makePart, portsAndPads, says, serial, supply, unknown } from '../tests/make';
import { sideBySide } from './side-by-side';
import { tally } from './tally';

describe('what a parts list asks for', () => {
  test('by hand: a receiver that is heard inverted, a positioning module that hears and talks, a light', () => {
    const list = makeBuild({}, [
      makePart('rx', { links: [serial('inverted-rc')], supply: supply(4.5, 5.5, 0.1) }, { massG: says(1.5) }),
      makePart('gps', { links: [serial('positioning')], supply: supply(4.5, 5.5, 0.2) }, { massG: says(8) }),
      makePart('led', { links: [{ kind: 'output', id: 'chain', use: 'light', count: 1 }], supply: null }, { massG: says(2), owned: true }),
    ]);
    // Typical amps are half the peak: 0.05 A x 5 V + 0.1 A x 5 V = 0.75 W. Two parts of 10.00 are still to buy.
    expect(tally(list)).toEqual({ parts: 3, ports: 2, hear: 2, talk: 1, inverted: 1, supplied: 2, grams: 11.5, watts: 0.75, toBuyCents: 2000, unknownFigures: 0 });
  });
  test('what nobody says counts as unknown, never as nought grams or watts known', () => {
    const list = makeBuild({}, [makePart('p', { supply: { ...supply(4.5, 5.5, 0.1), typicalAmps: unknown } }, { massG: unknown })]);
    expect(tally(list)).toMatchObject({ grams: 0, watts: 0, unknownFigures: 2 });
  });
  test('of a range the larger end counts', () => {
    const list = makeBuild({}, [makePart('p', {}, { massG: { low: 3, high: 5, origin: 'manual' } })]);
    expect(tally(list).grams).toBe(5);
  });
  test('only the first way of a part counts', () => {
    const two = makePart('p', {}, { modes: [{ id: 'a', label: 'a', links: [serial('positioning')], supply: null }, { id: 'b', label: 'b', links: [serial('positioning', 'x'), serial('positioning', 'y')], supply: null }] });
    expect(tally(makeBuild({}, [two])).ports).toBe(1);
  });
  test('nothing asks for nothing', () => expect(Object.values(tally(makeBuild())).every((n) => n === 0)).toBe(true));
});

describe('boards side by side', () => {
  const build = makeBuild({}, [makePart('gps', { links: [serial('positioning')] }), makePart('extra', { links: [serial('recorder')] }, { priority: 'nice' })]);
  const climbs = [makeBoard({ ...portsAndPads(['rt', 'rt']), id: 'two' }), makeBoard({ ...portsAndPads(['rt']), id: 'one', offers: [], massG: says(30) })].map((b) => evaluate(build, b));
  const row = (what: string) => sideBySide(climbs).find((r) => r.what === what)!;

  test('ten rungs, then figures, then one row a part', () => {
    const rows = sideBySide(climbs);
    expect(rows.filter((r) => r.group === 'rungs').map((r) => r.what)).toEqual(['Frame', 'Pack', 'Motors', 'Ports', 'Signals', 'Rails', 'Load', 'Weight', 'Cost', 'Comforts']);
    expect(rows.filter((r) => r.group === 'hookup').map((r) => r.what)).toEqual(['gps', 'extra']);
    for (const r of rows) expect(r.cells).toHaveLength(2);
  });
  test('by hand: the board with one port leaves the nice part out, and says so in its own row and in the sum', () => {
    expect(row('extra').cells).toEqual(['Port 2', 'left out']);
    expect(row('Left out').cells).toEqual(['nothing', 'extra']);
    expect(row('Free ports').cells).toEqual(['0', '0']);
  });
  test('a row differs only where its cells do; an offer that is not there is said', () => {
    expect([row('gps').differs, row('extra').differs]).toEqual([false, true]);
    expect(row('To pay').cells[1]).toBe('no offer');
    const [light, heavy] = row('Take-off mass').cells.map((c) => Number(c.replace(' g', '')));
    // 30 g against 20 g, less 2 g of the part that is left out and its wires, which weigh less than a gram.
    expect([7, 8]).toContain(heavy! - light!);
  });
  test('no boards, no rows but the headings of sums; one board differs from nothing', () => {
    expect(sideBySide([]).filter((r) => r.group !== 'figures')).toEqual([]);
    expect(sideBySide([climbs[0]!]).some((r) => r.differs)).toBe(false);
  });
});
