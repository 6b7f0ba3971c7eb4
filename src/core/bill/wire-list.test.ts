import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import {
  claims,
  makeBoard,
  makeBuild,
  makePart,
  portsAndPads,
  regulator,
  says,
  serial,
  supply,
  unknown,
} from '../tests/make';
import { awgAreaMm2, gaugeFor } from '../trade/wire';
import { wireList } from './wire-list';

const made = portsAndPads(['rt']);
const board = makeBoard({
  ports: made.ports,
  pads: [...made.pads!, { id: 'v5', label: '5V', face: 'bottom' }],
  rails: [
    { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
    { id: 'five', label: '5 V', pads: ['v5'], source: regulator(5, 2) },
  ],
});
const wires = (part: ReturnType<typeof makePart>, more: Parameters<typeof makeBuild>[0] = {}) => {
  const build = makeBuild(more, [part]);
  return wireList(build, board, evaluate(build, board).hookup);
};

describe('the wires of one part', () => {
  test('by hand: two signals, supply and ground; what the board hears is what the part sends', () => {
    const list = wires(makePart('gps', { links: [serial('positioning')], supply: supply(4.5, 5.5, 0.2) }));
    expect(list.map((w) => [w.kind, w.from, w.to, w.colour])).toEqual([
      ['signal', 'R1', 'gps, what it sends', 'white'],
      ['signal', 'T1', 'gps, what it hears', 'yellow'],
      ['supply', '5V (underside)', 'gps, supply', 'orange'],
      ['ground', 'nearest ground pad', 'gps, ground', 'black'],
    ]);
  });

  test('nobody says what a part draws: its wire carries all that the regulator gives, of the pack 5 A; known draws as before (chassis table, from memory)', () => {
    const gauge = (min: number, max: number, draw: object) =>
      wires(makePart('p', { supply: { ...supply(min, max, 0.2), ...draw } })).find((w) => w.kind === 'supply')!.gauge;
    const open = { typicalAmps: unknown, peakAmps: unknown };
    expect([gauge(4.5, 5.5, {}), gauge(4.5, 5.5, open), gauge(7, 26, open)]).toEqual([28, gaugeFor(2), gaugeFor(5)]);
    expect(gaugeFor(2)).toBeLessThan(28);
  });

  test('a wire to the pack is red; only a regulated one is orange (colours: common practice, no source)', () => {
    expect(wires(makePart('tx', { supply: supply(7, 26, 0.4, 12) })).find((w) => w.kind === 'supply')!.colour).toBe(
      'red',
    );
  });

  test.each([
    [0.2, 28],
    [1.4, 28],
    [1.5, 26],
    [2, 26],
  ])(
    '%s A at peak takes %s AWG for supply and ground (chassis table, Handbook of Electronic Tables and Formulas, from memory; never thinner than 28)',
    (peak, gauge) => {
      const list = wires(makePart('p', { supply: supply(7, 26, peak, 12) }));
      expect(list.map((w) => w.gauge)).toEqual([gauge, gauge]);
    },
  );

  test("the part's own plug names the pins, with the colour on it, and its warning goes to every wire", () => {
    const plain = makePart('cam', { links: [serial('gimbal-control')], supply: supply(4.5, 5.5, 0.2) });
    const cam = {
      ...plain,
      peripheral: {
        ...plain.peripheral,
        plugs: [
          {
            family: 'SH',
            warning: 'red is ground here',
            pins: [{ name: 'GND', colour: 'red' }, { name: 'VCC', colour: 'black' }, { name: 'TX' }, { name: 'RX' }],
          },
        ],
      },
    };
    const list = wires(cam);
    expect(list.find((w) => w.kind === 'ground')!.to).toBe('cam, pin GND (red on its own plug)');
    expect(list.find((w) => w.kind === 'supply')!.to).toBe('cam, pin VCC (black on its own plug)');
    expect(new Set(list.map((w) => w.warning))).toEqual(new Set(['red is ground here']));
  });

  test('by hand: grams are copper and as much sleeve: 100 mm of 28 AWG weigh 2 x 8.96 x area x 0.1 m', () => {
    const [wire] = wires({ ...makePart('p', { links: [serial('esc-telemetry')] }), wireMm: 100 });
    expect(wire!.lengthMm).toBe(100);
    expect(wire!.grams).toBeCloseTo(2 * 8.96 * awgAreaMm2(28) * 0.1, 9);
    expect(wire!.grams).toBeCloseTo(0.145, 2); // 28 AWG is 0.0810 mm2 (ASTM B258)
  });

  test("a part fed by another one has its wires on that one's output, not on a pad", () => {
    const tx = makePart(
      'tx',
      { supply: supply(7, 26, 0.4, 12) },
      { kind: 'video transmitter', gives: [{ id: 'five', label: '5 V out', volts: says(5), amps: claims(0.5) }] },
    );
    const build = makeBuild({}, [tx, makePart('cam', { supply: supply(4.5, 5.5, 0.2) }, { kind: 'camera' })]);
    const bare = makeBoard();
    const fed = wireList(build, bare, evaluate(build, bare).hookup).filter((w) => w.part === 'cam');
    expect(fed.map((w) => [w.from, w.padId])).toEqual([
      ['5 V out of tx', null],
      ['5 V out of tx, ground', null],
    ]);
  });

  test('what is left out has no wires', () => {
    expect(wires(makePart('p', { supply: supply(40, 60, 0.2) }, { priority: 'nice' }))).toEqual([]);
  });
});
