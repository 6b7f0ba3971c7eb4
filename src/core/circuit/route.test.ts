import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, says, serial, supply, unknown } from '../tests/make';
import { draggedIn } from '../bill/dragged-in';
import { routeMm } from './route';

/** A board of 36 mm in a bay of 44 mm, with one pad in the middle of each edge. */
const board = makeBoard({
  pads: [
    { id: 'vbat', label: 'VBAT', edge: 'inner' },
    ...(['front', 'right', 'rear', 'left'] as const).map((edge) => ({ id: edge, label: edge, edge })),
    { id: 'under', label: 'U', edge: 'inner' as const, face: 'bottom' as const },
  ],
});
const build = makeBuild();
const part = (sits?: 'front' | 'above', more: object = {}) =>
  makePart('p', {}, { kind: 'camera', ...(sits ? { sits } : {}), ...more });

describe('the way of a wire, by hand', () => {
  test('front pad to the front of the bay: 22 - 17 mm, and 25 mm of slack: 30 mm', () =>
    expect(routeMm(build, board, part('front'), 'front')).toBe(30));
  test('rear pad to the front: 17 + 22 + 25 = 64, in steps of 5: 65 mm', () =>
    expect(routeMm(build, board, part('front'), 'rear')).toBe(65));
  test('left pad to the front: 17 across, 22 along, 25 slack: 65 mm', () =>
    expect(routeMm(build, board, part('front'), 'left')).toBe(65));
  test('above: from the front pad 17 back, the bay 20 mm up, 25 slack: 65 mm', () =>
    expect(routeMm(build, board, part('above'), 'front')).toBe(65));
  test('an underside pad goes round the board too: 22 + 10 mm of board + 25 = 60 mm', () =>
    expect(routeMm(build, board, part('front'), 'under')).toBe(60));
  test('a camera sits in front unless the buyer says otherwise', () =>
    expect(routeMm(build, board, part(), 'front')).toBe(30));
  test('what the buyer measured counts', () =>
    expect(routeMm(build, board, part('front', { wireMm: 210 }), 'front')).toBe(210));
  test('soldered before mounting, every wire is left 20 mm longer', () => {
    const before = { ...build, policies: { ...build.policies, mounting: 'all before' as const } };
    expect(routeMm(before, board, part('front'), 'front')).toBe(50);
  });
  test('a board that goes in only turned by 90 degrees has its left pad at the front', () => {
    const long = { ...board, lengthMm: says(40), widthMm: says(30) };
    const bay = makeBuild({
      frame: {
        name: 'F',
        mounts: [{ alongMm: 30.5, screw: 'M3' }],
        bayLengthMm: 32,
        bayWidthMm: 44,
        bayHeightMm: 20,
        openSides: ['front', 'right', 'rear', 'left'],
      },
    });
    // Left pad, 15 - 1 mm from the middle of the width, lies 14 mm before the middle of the bay: 16 - 14 + 25 = 27.
    expect(routeMm(bay, long, part('front'), 'left')).toBe(30);
  });
  test('a board that must come out to be plugged in leaves 30 mm more in every wire; not where nobody says where its plug is', () => {
    const shut = { ...build, frame: { ...build.frame, openSides: [] } };
    const usb = (side: 'left' | 'unknown') => ({ ...board, usb: { plug: 'C' as const, side } });
    const mm = (b: typeof build, side: 'left' | 'unknown') => routeMm(b, usb(side), part('front'), 'front');
    expect([mm(shut, 'left') - mm(build, 'left'), mm(shut, 'unknown') - mm(build, 'unknown')]).toEqual([30, 0]);
  });
  test('a board of unknown size counts as 36 mm', () =>
    expect(routeMm(build, { ...board, lengthMm: unknown, widthMm: unknown }, part('front'), 'front')).toBe(30));
});

describe('what the hookup drags in', () => {
  const wired = makeBuild({}, [
    makePart('set', { links: [serial('two-wire-rc')], supply: supply(3, 20, 0.2) }, { wireMm: 100 }),
  ]);
  const able = makeBoard({
    ports: [{ id: 'one', label: 'Port 1', rx: [{ pad: 'r' }], tx: [{ pad: 't' }] }],
    pads: [
      { id: 'vbat', label: 'VBAT' },
      { id: 'r', label: 'R1' },
      { id: 't', label: 'T1' },
    ],
  });
  const lines = (spares: 'none' | 'usual' | 'field kit') => {
    const b = { ...wired, policies: { ...wired.policies, spares } };
    return Object.fromEntries(draggedIn(b, able, evaluate(b, able).hookup).map((s) => [s.key, s]));
  };
  test('four wires of 100 mm are bought as 0.4, 0.5 or 0.6 m, by policy; only what is used flies', () => {
    const [none, usual, kit] = [lines('none'), lines('usual'), lines('field kit')];
    expect([none, usual, kit].map((l) => l['wire 28']!.quantity)).toEqual([0.4, 0.5, 0.6]);
    expect([none, usual, kit].map((l) => l.standoffs!.quantity)).toEqual([4, 5, 8]);
    expect([none, usual, kit].map((l) => l.capacitor!.quantity)).toEqual([1, 1, 2]);
    for (const key of ['wire 28', 'standoffs', 'capacitor']) expect(kit[key]!.grams).toBe(none[key]!.grams);
  });
  test('pack leads weigh where their gauge is known: 2 x 80 mm of 14 AWG are 2 x 8.96 x 2.08 x 0.16 = 5.96 g', () => {
    const leads = (massIncludes?: string) => {
      const b = { ...wired, pack: { ...wired.pack, leadGauge: 14 } };
      return draggedIn(b, { ...able, ...(massIncludes ? { massIncludes } : {}) }, evaluate(b, able).hookup).find(
        (s) => s.key === 'pack leads',
      )?.grams;
    };
    expect(leads()).toBeCloseTo(5.96, 1);
    expect(leads('w/o cable')).toBeCloseTo(5.96, 1);
    expect(leads('with leads and capacitor')).toBeUndefined();
  });
  test('a delivered capacitor weighs unless the stated mass includes it; where nobody says, it may', () => {
    const capacitor = { microfarads: 470, volts: 35 };
    const grams = (massIncludes?: string, inMass?: boolean) =>
      evaluate(wired, {
        ...able,
        capacitor: { ...capacitor, ...(inMass === undefined ? {} : { inMass: { value: inMass, origin: 'manual' } }) },
        ...(massIncludes ? { massIncludes } : {}),
      }).massG;
    const { low, high } = grams('with capacitor');
    expect(grams('without capacitor')).toEqual({
      low: expect.closeTo(low + 3.2, 6),
      high: expect.closeTo(high! + 3.2, 6),
    });
    expect(grams(undefined, false).low).toBeCloseTo(low + 3.2, 6);
    expect(grams(undefined, true)).toEqual({ low, high });
    expect(grams()).toEqual({ low, high: expect.closeTo(high! + 3.2, 6) });
  });
});
