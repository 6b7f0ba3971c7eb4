import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { claims, makeBoard, makeBuild, makePart, says, supply, unknown } from '../tests/make';
import { heaviestPack, leadOhm, motorAmps, packCells, packVolts, saggedVolts } from './packs';

const pack = (cells: number, more: object = {}) => ({
  cells,
  chemistry: 'lipo' as const,
  massG: says(45 * cells),
  cellMilliohm: says(1),
  ...more,
});
const flying = (...packs: ReturnType<typeof pack>[]) => makeBuild({ pack: packs[0]!, morePacks: packs.slice(1) });

describe('several packs: each must pass', () => {
  const both = flying(pack(4), pack(6));
  test('the full one of the largest, the empty one of the smallest: 4 x 3.3 to 6 x 4.2 V', () => {
    expect(packVolts(both)).toEqual({ low: 13.2, high: 25.2 });
    expect(packCells(both)).toEqual({ low: 4, high: 6 });
  });
  test('a board that takes 3 to 4 cells breaks at Pack for the larger, one from 6 cells on for the smaller', () => {
    const on = (min: number, max: number) =>
      evaluate(both, makeBoard({ packCells: { min: says(min), max: says(max) } })).stopsAt;
    expect([on(3, 6), on(3, 4), on(6, 8)]).toEqual([null, 2, 2]);
  });
  test('the heaviest counts at Weight; one that nobody weighed leaves it open', () => {
    expect(heaviestPack(both)).toEqual(says(270));
    expect(heaviestPack(flying(pack(4), pack(2, { massG: unknown })))).toEqual({ unknown: true });
    const range = { low: 100, high: 300, origin: 'report' as const };
    expect(heaviestPack(flying(pack(4), pack(2, { massG: range })))).toMatchObject({ low: 180, high: 300 });
  });
  test('the deepest sag of any: 120 A through 4 cells of 20 milliohm take it from 14 to 4.4 V', () => {
    expect(saggedVolts(flying(pack(6), pack(4, { cellMilliohm: says(20) }))).low).toBeCloseTo(
      4 * (3.5 - 0.02 * 120),
      6,
    );
  });
  test('by hand: leads, plug and what the parts draw sag it too', () => {
    // 100 mm of 14 AWG out and back: 2 x 0.1 x 8.282 mohm; two contacts of 0.5 mohm: 2.656 mohm in all. ASTM B258, IEC 60028.
    const led = { connector: 'XT60', leadGauge: 14, leadMm: 100, cellMilliohm: says(5) };
    expect(leadOhm(pack(4, led))).toBeCloseTo(2.656e-3, 5);
    const motors = saggedVolts(flying(pack(4, led)));
    expect(motors.low).toBeCloseTo(4 * (3.5 - 0.005 * 120) - 2.656e-3 * 120, 2);
    // 1 A at 12 V: all of the amps behind a linear regulator, 12 W / (0.85 x 11.28 V) = 1.25 A behind one that switches.
    const parts = [makePart('tx', { supply: supply(7, 26, 1, 12, 'constant power') })];
    const both = saggedVolts({ ...flying(pack(4, led)), parts });
    expect(motors.low - both.low).toBeCloseTo(1.25 * (4 * 0.005 + 2.656e-3), 2);
    // What may be left out need not sag anything.
    const nice = saggedVolts({ ...flying(pack(4, led)), parts: [{ ...parts[0]!, priority: 'nice' }] });
    expect([nice.low, nice.high]).toEqual([both.low, motors.high]);
  });
  test('by hand: what keeps its watts draws more the lower the pack falls, until it rests, or the pack goes down', () => {
    // 16 A of motors behind 35 mohm, and 10 W behind 85 %: V = 3.5 - 0.035 (16 + 10 / (0.85 V)), so V = (2.94 + sqrt(2.94^2 - 4 x 0.41176)) / 2.
    const cell = makeBuild({
      pack: pack(1, { cellMilliohm: says(35) }),
      motors: { count: 4, cruiseAmps: 1, peakAmps: 4, peakSeconds: 5, esc: 'on the board', signal: 'digital' },
    });
    const drawing = (amps: number) => ({
      ...cell,
      parts: [makePart('tx', { supply: supply(4.5, 5.5, amps, 5, 'constant power') })],
    });
    expect(saggedVolts(drawing(2)).low).toBeCloseTo((2.94 + Math.sqrt(2.94 ** 2 - (4 * 0.35) / 0.85)) / 2, 2);
    // The board's own 2 A at 5 V are no other.
    expect(saggedVolts(cell, [{ ownAmps: 2, volts: 5 }]).low).toBeCloseTo(saggedVolts(drawing(2)).low, 6);
    // Beyond 2.94^2 x 0.85 / (4 x 0.035) = 52.5 W it never rests.
    expect(saggedVolts(drawing(10.4)).low).toBeGreaterThan(1.4);
    expect(saggedVolts(drawing(10.6)).low).toBeLessThan(0.5);
  });
  test('by hand: the same amps at any volts take the most watts on the highest rail that the part stands', () => {
    const amps = (maxVolts: number, ...rails: number[]) => {
      const flown = {
        ...flying(pack(4, { cellMilliohm: says(5) })),
        parts: [makePart('tx', { supply: supply(4.5, maxVolts, 10, 5) })],
      };
      const { low } = saggedVolts(
        flown,
        rails.map((volts) => ({ volts, ownAmps: 0 })),
      );
      return (4 * (3.5 - 0.005 * 120) - low) / (4 * 0.005);
    };
    // Ampere for ampere of the pack or of a linear regulator; at 11 V behind 85 % of what is left; no rail above what it stands; a step-up to 24 V.
    expect(amps(26)).toBeCloseTo(10, 1);
    expect(amps(26, 5, 11)).toBeCloseTo(110 / (0.85 * 11.373), 1);
    expect(amps(5.5, 5, 12)).toBeCloseTo(10, 1);
    expect(amps(26, 24)).toBeCloseTo(240 / (0.85 * 11.089), 1);
    // A rail of which nobody says the volts may have all that the part stands.
    expect(amps(15, Infinity)).toBeCloseTo(150 / (0.85 * 11.286), 1);
  });
  test('at the good end a must takes its least: the fewest watts at the fewest volts, in the way that draws least', () => {
    const amps = (part: ReturnType<typeof makePart>) => {
      const { high } = saggedVolts({ ...flying(pack(4, { cellMilliohm: says(5) })), parts: [part] });
      return (4 * (3.5 - 0.005 * 120) - high) / (4 * 0.005);
    };
    // 1 A at 4.5 V of the 11.6 V that the motors leave.
    const steady = makePart('rx', { supply: supply(4.5, 26, 1, 12) });
    expect(amps(steady)).toBeCloseTo(4.5 / 11.6, 1);
    const [mode] = steady.peripheral.modes;
    const unfed = { ...mode!, id: 'unfed', supplies: [] };
    expect(amps({ ...steady, peripheral: { ...steady.peripheral, modes: [mode!, unfed] } })).toBeCloseTo(0, 1);
  });
  test('plug and leads of each are held against the motors', () => {
    const weak = flying(pack(4), pack(6, { connector: 'JST PH' }));
    expect(
      evaluate(weak, makeBoard()).rungs[2]!.findings.some((f) => f.code === 'pack plug' && f.state === 'breaks'),
    ).toBe(true);
  });
  test('iron phosphate: 3.65 V full, 2.5 V at the floor (data sheets of cells, from memory)', () =>
    expect(packVolts(flying(pack(4, { chemistry: 'lithium iron phosphate' })))).toEqual({ low: 10, high: 14.6 }));
});

describe('motor amps that were stated at other volts (power with the cube of speed, speed with the volts)', () => {
  const motors = (atVolts?: number) =>
    makeBuild({
      motors: {
        count: 4,
        cruiseAmps: 6,
        peakAmps: 30,
        peakSeconds: 5,
        esc: 'on the board',
        ...(atVolts ? { atVolts } : {}),
      },
    });
  test('left out they are those on this pack', () => expect(motorAmps(motors())).toEqual({ cruise: 6, peak: 30 }));
  test('by hand: 30 A at 12 V are 58.8 A on 16.8 V; 6 A of cruise at 12 V are 5.45 A on 13.2 V', () => {
    const { cruise, peak } = motorAmps(motors(12));
    expect([cruise, peak]).toEqual([expect.closeTo(72 / 13.2, 6), expect.closeTo(30 * 1.4 ** 2, 6)]);
  });
  test('so that an ESC that carries them as stated may not carry them here', () => {
    const esc = { channels: says(4), continuousAmps: claims(25), burstAmps: says(45), burstSeconds: says(10) };
    const stop = (atVolts?: number) => evaluate(motors(atVolts), makeBoard({ esc })).stopsAt;
    expect([stop(), stop(16), stop(12)]).toEqual([null, null, 3]);
  });
});
