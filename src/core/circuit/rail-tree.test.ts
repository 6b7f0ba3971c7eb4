import { describe, expect, test } from 'vitest';
import { makeBoard, regulator, says, unknown } from '../tests/make';
import { suppliesOf } from './rail-tree';

const board = makeBoard({
  pads: ['vbat', 'p5', 'p10', 'p3', 'pv'].map((id) => ({ id, label: id })),
  rails: [
    { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
    { id: 'reg5', label: '5 V regulator', source: regulator(5, 2, { efficiency: says(0.9) }) },
    { id: 'usb', label: 'USB', source: { kind: 'usb', dropVolts: 0.5 } },
    { id: '5v', label: '5 V', pads: ['p5'], source: { kind: 'either', of: ['usb', 'reg5'] } },
    { id: '10v', label: '10 V', pads: ['p10'], source: regulator(10, 2) },
    {
      id: '3v',
      label: '3.3 V',
      pads: ['p3'],
      source: regulator(3.3, 0.5, { type: 'linear', input: 'reg5', dropOutVolts: says(1.1) }),
    },
    {
      id: 'vtx',
      label: 'VTX',
      pads: ['pv'],
      source: { kind: 'bridge', bridge: 'b', byPosition: { low: '5v', high: 'pack' } },
    },
  ],
  bridges: [
    {
      id: 'b',
      label: 'B',
      form: 'solder bridge',
      positions: [
        { id: 'low', label: '5 V' },
        { id: 'high', label: 'pack' },
      ],
      factory: 'low',
    },
  ],
});
const on = (cells: number, rail: string) =>
  suppliesOf(board, { pack: { cells, chemistry: 'lipo', massG: unknown }, motors: { count: 0, peakAmps: 0 } }).filter(
    (s) => s.rail.id === rail,
  );

test('behind its diode a rail falls to nothing and no further; what nobody says stays unknown', () => {
  const behind = (source: ReturnType<typeof regulator>) =>
    suppliesOf(
      makeBoard({
        pads: [{ id: 'p', label: '5V' }],
        rails: [
          { id: 'pack', label: 'Pack', source: { kind: 'pack' } },
          { id: 'reg', label: 'Step-up', source },
          { id: 'usb', label: 'USB', source: { kind: 'usb', dropVolts: 0.3 } },
          {
            id: 'out',
            label: '5 V',
            pads: ['p'],
            source: { kind: 'either', of: ['reg', 'usb'], dropVolts: { reg: 0.05 } },
          },
        ],
      }),
      // One cell of 45 mohm at 16 A: 3.5 - 0.72 = 2.78 V.
      {
        pack: { cells: 1, chemistry: 'lipo', massG: says(8), cellMilliohm: says(45) },
        motors: { count: 4, peakAmps: 4 },
      },
    ).find((s) => s.rail.id === 'out')!.swing;
  const stepUp = (min: number) => regulator(5, 2, { type: 'step-up', inputVolts: { min: says(min), max: says(5.2) } });
  expect(behind(stepUp(2.7)).low.low).toBeCloseTo(4.95);
  expect(behind(stepUp(2.9)).low.low).toBe(0);
  const unsaid = regulator(5, 2, { type: 'step-up', outVolts: unknown as never });
  expect(behind(unsaid).high.high).toBe(Infinity);
});

describe("rails over the pack's swing", () => {
  // Common practice, no source: a 10 V rail is nothing on two cells, fades at the end of three, holds on four.
  test('a 10 V rail: two, three and four cells', () => {
    expect(on(2, '10v')[0]!.swing).toEqual({
      low: { low: 5.8, high: 5.8 },
      high: { low: 7.6000000000000005, high: 7.6000000000000005 },
    });
    expect(on(3, '10v')[0]!.swing.low.low).toBeCloseTo(9.1, 9); // 3 x 3.3 - 0.8
    expect(on(3, '10v')[0]!.swing.high.high).toBe(10);
    expect(on(4, '10v')[0]!.swing).toEqual({ low: { low: 10, high: 10 }, high: { low: 10, high: 10 } });
  });

  // Common practice, no source: on USB only the 5 V (often marked 4.5 V) pad is alive.
  test('on USB only the 5 V pad lives, at 4.5 V', () => {
    // USB 2.0, 7.2.2: 4.75 to 5.25 V, less the diode's 0.5 V.
    expect(on(4, '5v')[0]!.onUsb).toEqual({ volts: { low: 4.25, high: 4.75 }, nominal: 4.5, perAmp: 1 });
    expect(on(4, '10v')[0]!.onUsb).toBeNull();
    expect(on(4, 'pack')[0]!.onUsb).toBeNull();
    expect(on(4, 'vtx').map((s) => [s.bridges[0]!.position, s.onUsb?.volts.low ?? null])).toEqual([
      ['low', 4.25],
      ['high', null],
    ]);
  });

  // Power balance of a buck, any electronics handbook: Vin * Iin * eta = Vout * Iout.
  test('what a child draws its parent carries: linear amp for amp, buck by power', () => {
    const chain = on(4, '3v')[0]!.regulators;
    expect(chain.map((r) => [r.rail.id, r.perAmp])).toEqual([
      ['3v', 1],
      ['reg5', 1],
    ]);
    const bucks = makeBoard({
      rails: [
        { id: 'pack', label: 'Pack', source: { kind: 'pack' } },
        { id: 'mid', label: '9 V', source: regulator(9, 3) },
        { id: 'low', label: '5 V', source: regulator(5, 2, { input: 'mid', efficiency: says(0.9) }) },
      ],
    });
    const low = suppliesOf(bucks, {
      pack: { cells: 4, chemistry: 'lipo', massG: unknown },
      motors: { count: 0, peakAmps: 0 },
    }).find((s) => s.rail.id === 'low')!;
    expect(low.regulators[1]!.perAmp).toBeCloseTo(5 / (0.9 * 9), 12); // 0.617 A at 9 V for 1 A at 5 V
  });
});

describe('on USB alone', () => {
  const supplies = (dropOut: number, usbDrop: number) =>
    suppliesOf(
      makeBoard({
        pads: ['vbat', 'p3'].map((id) => ({ id, label: id })),
        rails: [
          { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
          { id: 'reg', label: 'Reg', source: regulator(5, 2) },
          { id: 'usb', label: 'USB', source: { kind: 'usb', dropVolts: usbDrop } },
          { id: 'five', label: '5 V', source: { kind: 'either', of: ['reg', 'usb'] } },
          {
            id: '3v',
            label: '3.3 V',
            pads: ['p3'],
            source: regulator(3.3, 0.5, { type: 'linear', input: 'five', dropOutVolts: says(dropOut) }),
          },
        ],
      }),
      { pack: { cells: 4, chemistry: 'lipo', massG: unknown }, motors: { count: 0, peakAmps: 0 } },
    ).find((s) => s.rail.id === '3v')!;
  // A linear regulator needs its output plus drop-out at its input (definition of drop-out, any electronics handbook): 3.3 + 1.2 = 4.5 V.
  test('a regulator behind USB lives as long as USB stands above its output plus drop-out', () => {
    expect(supplies(1.2, 0.5).onUsb).toEqual({
      volts: { low: expect.closeTo(4.25 - 1.2, 9), high: 3.3 },
      nominal: 3.3,
      perAmp: 1,
    });
    expect(supplies(1.21, 0.5).onUsb).toBeNull();
    expect(supplies(1.21, 0.4).onUsb).not.toBeNull();
  });
});

test('of two regulators side by side a meter reads the higher, not one behind the other; a diode takes its share', () => {
  const board = makeBoard({
    rails: [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
      { id: 'a', label: 'A', source: regulator(5, 1) },
      { id: 'b', label: 'B', source: regulator(5.2, 1) },
      { id: 'both', label: 'Both', source: { kind: 'either', of: ['a', 'b'], dropVolts: { b: 0.1 } } },
    ],
  });
  const both = suppliesOf(board, {
    pack: { cells: 4, chemistry: 'lipo', massG: unknown },
    motors: { count: 0, peakAmps: 0 },
  }).find((s) => s.rail.id === 'both')!;
  expect(both.reads(16)).toBeCloseTo(5.1, 9);
  // Both could be asked for all of it where neither is surely the higher; here B always is.
  expect(both.regulators.map((r) => r.rail.id)).toEqual(['b']);
});

describe('whichever is up', () => {
  const of = (rails: object[], cells = 4) =>
    suppliesOf(
      makeBoard({
        pads: [{ id: 'p', label: 'P' }],
        rails: [{ id: 'pack', label: 'Pack', source: { kind: 'pack' } }, ...(rails as never[])],
      }),
      { pack: { cells, chemistry: 'lipo', massG: unknown }, motors: { count: 0, peakAmps: 0 } },
    );
  const rail = (id: string, source: object) => ({ id, label: id, source });
  const one = (found: ReturnType<typeof of>, id: string) => found.find((s) => s.rail.id === id)!;

  test('two that may both be highest both feed: the swing is that of the higher at either end, and each regulator is asked for all', () => {
    const wide = { ...regulator(5, 1), outVolts: { low: 4.9, high: 5.3, origin: 'claim' } };
    const both = one(
      of([rail('a', wide), rail('b', regulator(5.1, 1)), rail('both', { kind: 'either', of: ['a', 'b'] })]),
      'both',
    );
    expect(both.swing).toEqual({ low: { low: 5.1, high: 5.3 }, high: { low: 5.1, high: 5.3 } });
    expect(both.regulators.map((r) => [r.rail.id, r.perAmp])).toEqual([
      ['a', 1],
      ['b', 1],
    ]);
    expect([both.raw, both.deadInFlight, both.backFeeds]).toEqual([false, false, 'no']);
  });

  test('the pack beside a regulator is raw; what USB alone feeds is dead in flight; not kept apart, one drives the other', () => {
    const found = of([
      rail('a', regulator(5, 1)),
      rail('usb', { kind: 'usb', dropVolts: 0.2 }),
      rail('raw', { kind: 'either', of: ['pack', 'a'] }),
      rail('usb2', { kind: 'usb', dropVolts: 0.4 }),
      rail('desk', { kind: 'either', of: ['usb', 'usb2'] }),
      rail('open', { kind: 'either', of: ['usb', 'a'], isolated: { value: false, origin: 'manual' } }),
      rail('apart', { kind: 'either', of: ['usb', 'a'], isolated: { value: true, origin: 'manual' } }),
      rail('unsaid', { kind: 'either', of: ['usb', 'a'], isolated: unknown }),
    ]);
    expect([one(found, 'raw').raw, one(found, 'apart').raw]).toEqual([true, false]);
    expect([one(found, 'desk').deadInFlight, one(found, 'apart').deadInFlight]).toEqual([true, false]);
    expect(['open', 'apart', 'unsaid'].map((id) => one(found, id).backFeeds)).toEqual(['yes', 'no', 'unknown']);
    // On the desk USB's 5 V less its diode; a meter in flight reads the regulator.
    expect(one(found, 'apart').onUsb).toMatchObject({ nominal: 4.8, perAmp: 1 });
    expect(one(found, 'apart').reads(16)).toBe(5);
    expect(one(found, 'desk').reads(16)).toBe(4.8);
  });

  test('of several that USB lights the brightest counts; a side that nothing feeds is left out', () => {
    const found = of([
      rail('dim', { kind: 'usb', dropVolts: 0.6 }),
      rail('bright', { kind: 'usb', dropVolts: 0.1 }),
      rail('harness', { kind: 'esc' }),
      rail('lit', { kind: 'either', of: ['dim', 'bright', 'harness'] }),
      rail('dark', { kind: 'either', of: ['harness', 'nowhere'] }),
    ]);
    expect(one(found, 'lit').onUsb!.nominal).toBeCloseTo(4.9, 9);
    expect(found.map((s) => s.rail.id)).not.toContain('dark');
  });

  test('what steps up holds its output until the input is higher, and passes it on above; what does both holds it always', () => {
    const at = (type: string, volts: number) => one(of([rail('out', regulator(volts, 1, { type }))], 3), 'out').reads;
    expect([9, 12, 12.6].map(at('step-up', 12))).toEqual([12, 12, 12.6]);
    expect([9, 12, 12.6].map(at('step-up-down', 12))).toEqual([12, 12, 12]);
    // Down only: the input less 0.8 V of drop-out while that is below the output.
    expect([0.5, 9, 12, 13].map((v) => Number(at('buck', 12)(v).toFixed(6)))).toEqual([0, 8.2, 11.2, 12]);
  });

  test('two ways of one bridge are two ways of the rail, and none of them wants it in both positions', () => {
    const found = of([
      rail('a', regulator(5, 1)),
      rail('b', regulator(9, 1)),
      rail('sel', { kind: 'bridge', bridge: 'x', byPosition: { low: 'a', high: 'b' } }),
      rail('mix', { kind: 'either', of: ['sel', 'sel2'] }),
      rail('sel2', { kind: 'bridge', bridge: 'x', byPosition: { low: 'b', high: 'a' } }),
    ]);
    expect(found.filter((s) => s.rail.id === 'sel').map((s) => s.bridges.map((b) => b.position))).toEqual([
      ['low'],
      ['high'],
    ]);
    expect(found.filter((s) => s.rail.id === 'mix').map((s) => s.bridges.map((b) => b.position))).toEqual([
      ['low', 'low'],
      ['high', 'high'],
    ]);
  });

  test('a rail that is fed from itself is none', () => {
    const found = of([
      rail('a', regulator(5, 1, { input: 'b' })),
      rail('b', { kind: 'either', of: ['a', 'c'] }),
      rail('c', regulator(5, 1, { input: 'nowhere' })),
    ]);
    expect(found.map((s) => s.rail.id)).toEqual(['pack']);
  });
});
