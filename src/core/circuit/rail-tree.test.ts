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
