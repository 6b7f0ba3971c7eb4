import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, portsAndPads, says, serial } from '../tests/make';
import { sideBySide } from './side-by-side';

describe('boards side by side', () => {
  const build = makeBuild({}, [
    makePart('gps', { links: [serial('positioning')] }),
    makePart('extra', { links: [serial('recorder')] }, { priority: 'nice' }),
  ]);
  const climbs = [
    makeBoard({ ...portsAndPads(['rt', 'rt']), id: 'two' }),
    makeBoard({ ...portsAndPads(['rt']), id: 'one', offers: [], massG: says(30) }),
  ].map((b) => evaluate(build, b));
  const row = (what: string) => sideBySide(climbs, build).find((r) => r.what === what)!;

  test('ten rungs, then figures, then one row a part', () => {
    const rows = sideBySide(climbs, build);
    expect(rows.filter((r) => r.group === 'rungs').map((r) => r.what)).toEqual([
      'Frame',
      'Pack',
      'Motors',
      'Ports',
      'Signals',
      'Rails',
      'Load',
      'Weight',
      'Cost',
      'Comforts',
    ]);
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
    expect(sideBySide([], build).filter((r) => r.group !== 'figures')).toEqual([]);
    expect(sideBySide([climbs[0]!], build).some((r) => r.differs)).toBe(false);
  });
});
