import { describe, expect, test } from 'vitest';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { evaluate } from '../evaluate/climb';
import { demoBuilds, demoShelf } from '../tests/demo';
import { makeBoard, makeBuild, makePart, regulator, says, supply } from '../tests/make';
import { deskState } from './desk';
import { faultsFor } from './faults';
import { firstPower, type FirstPower, type Plugging } from './first-power';
import { flightTime } from './flight-time';
import { figuresRead, meterReads, spotsOn } from './meter';
import { benchOf, type Bench } from './on-the-bench';
import { hiddenIn, roundsFor, scoreOf, shortestWay, stillPossible } from './practice';
import { burntWith, probesWith, stateWith } from './probes';
import { whatReadingSays } from './reading-says';
import { overThrottle, punchOut } from './throttle';

const shelf = demoShelf();
const build = (id: string) => demoBuilds().find((b) => b.id === id)!;
const [belfry, gutter] = [build('belfry-six'), build('gutterling')];
const board = (id: string) => shelf.boards.find((b) => b.id === id)!;
const onBench = (build: Build, b: Board): Bench => benchOf(build, b, evaluate(build, b));
const keel = onBench(belfry, board('tarnfield-keel-f7'));

const rails = [
  { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' as const } },
  { id: 'ten', label: '10 V', pads: ['vbat'], source: regulator(10, 2) },
];
const four = (milliohm: number, amps = 0.5, more: object = {}) =>
  makeBuild(
    {
      pack: { cells: 4, chemistry: 'lipo', massG: says(1), cellMilliohm: says(milliohm) },
      capacitor: { microfarads: 470, volts: 25 },
      ...more,
    },
    [makePart('tx', { supply: { ...supply(9, 12, amps, 10), typicalAmps: says(amps) } })],
  );
const ten = makeBoard({ rails });
const plugged = (bench: Bench, change: Partial<Plugging> = {}): FirstPower => {
  const run = firstPower(bench, { limitAmps: 1, capacitor: true, fault: 'healthy', ...change });
  if ('unsolved' in run) throw new Error(run.unsolved);
  return run;
};

describe('first power', () => {
  const bench = onBench(four(5, 0.2), ten);
  test('by hand: 470 uF and 47 uF of the board to 16.8 V at 1 A take at least 517e-6 x 16.8 / 1 = 8.7 ms (charge at a limited current)', () => {
    const at = plugged(bench).moments.find((m) => m.packVolts > 15)!.ms;
    expect(at).toBeGreaterThan(7.7);
    expect(at).toBeLessThan(12);
  });
  test('without the capacitor the same limiter is done in a tenth of that', () => {
    const at = plugged(bench, { capacitor: false }).moments.find((m) => m.packVolts > 15)!.ms;
    expect(at).toBeLessThan(4);
  });
  test('straight from the pack far more than the limiter flows for an instant', () => {
    const run = plugged(bench, { limitAmps: null });
    expect(run.inrushAmps).toBeGreaterThan(100);
    expect(run.why).toContain('the spark');
  });
  test('by hand: 0.2 A at 10 V through 85 % from 16.8 V is 0.14 A at the pack', () => {
    const run = plugged(bench);
    expect(run.steadyAmps).toBeCloseTo((0.2 * 10) / (0.85 * 16.8), 2);
    expect(run.trips).toBe(false);
  });
  test('a build that asks for more than 1 A trips it, for a known reason, and not 2 A', () => {
    const heavy = onBench(four(5, 1.5), makeBoard({ rails: [rails[0]!, { ...rails[1]!, source: regulator(10, 4) }] }));
    expect(plugged(heavy).trips).toBe(true);
    expect(plugged(heavy).why).toContain('known reason');
    expect(plugged(heavy, { limitAmps: 2 }).trips).toBe(false);
  });
  test('a build whose regulator asks for more the lower the pack stands hangs on the limiter though it needs less once it runs', () => {
    // By hand: 1.9 A at 9.2 V through 85 % from 10 V are 2.06 A; at 16.8 V they are 1.33 A.
    const hangs = onBench(four(5, 1.9), makeBoard({ rails: [rails[0]!, { ...rails[1]!, source: regulator(10, 4) }] }));
    expect(plugged(hangs, { limitAmps: 2 }).trips).toBe(true);
  });
  test('a solder ball trips every limiter and no rail stands', () => {
    const run = plugged(bench, { limitAmps: 2, fault: 'short' });
    expect([run.trips, run.order]).toEqual([true, []]);
  });
  test('rails rise after what feeds them: pack, then 5 V, then 3.3 V', () => {
    const run = plugged(keel, { limitAmps: 2 });
    const at = (label: string) => run.order.find((o) => o.label.startsWith(label))?.ms ?? Infinity;
    expect(at('3.3 V')).toBeGreaterThan(at('5 V'));
    expect(run.order.find((o) => o.label.startsWith('5 V'))!.volts).toBeCloseTo(5, 1);
  });
});

describe('throttle', () => {
  const motors = { ...four(10).motors, count: 4, peakAmps: 30, cruiseAmps: 5 };
  const build = four(10, 0.2, { motors });
  // Wired as if the pack did not sag, so that something can drop out.
  const bench = benchOf(build, ten, evaluate(four(0, 0.2), ten));
  test('by hand: four cells of 10 milliohm at landing charge and 120 A stand at 4 x (3.5 - 1.2) = 9.2 V; 10 V then sinks below it', () => {
    const full = overThrottle(bench, 'land').at(-1)!;
    expect(full.packVolts).toBeCloseTo(9.2, 0);
    expect(full.rails.ten!).toBeLessThan(full.packVolts - 0.7);
    expect(full.out).toEqual(['tx']);
    expect(overThrottle(bench, 'land')[0]!.out).toEqual([]);
  });
  test('more throttle never lifts the pack', () => {
    const volts = overThrottle(bench, 'full').map((p) => p.packVolts);
    volts.forEach((v, i) => i > 0 && expect(v).toBeLessThan(volts[i - 1]!));
  });
  test('a punch-out takes the part down and lets it come back', () =>
    expect(punchOut(bench, 'land')!.dips).toEqual([{ name: 'tx', back: true }]));
});

test("what draws of USB on the desk is the hookup's own sum, of what must live on it and of the rest", () => {
  const climb = evaluate(belfry, board('tarnfield-keel-f7'));
  const desk = deskState(belfry, climb);
  const asked = belfry.parts.filter((p) => p.onUsb).map((p) => p.id);
  const sum = (which: boolean) =>
    desk.parts.filter((p) => asked.includes(p.id) === which).reduce((amps, p) => amps + p.amps!, 0);
  expect([desk.amps, desk.restAmps]).toEqual([expect.closeTo(sum(true), 9), expect.closeTo(sum(false), 9)]);
  expect([desk.limitAmps, desk.enough]).toEqual([0.5, desk.amps <= 0.5]);
});

describe('faults and what a meter reads', () => {
  const read = (bench: Bench, fault: string) => new Map(probesWith(bench, fault).map((p) => [p.id, p.value]));
  test('healthy: the pack at its nominal volts, rails at theirs, every talker heard', () => {
    const healthy = read(keel, 'healthy');
    expect(healthy.get('pack')).toBeCloseTo(22.2, 1);
    expect(healthy.get('rail rail 9v')).toBeCloseTo(9, 1);
    expect(healthy.get('farad')).toBe(517);
    for (const [id, value] of healthy) if (id.startsWith('frames')) expect(value).toBe(50);
  });
  test('swapped wires: no frames, the hearing pad at nought, nothing burnt', () => {
    const swap = faultsFor(keel).find((f) => f.id.startsWith('swap'))!;
    const part = swap.id.slice(5);
    expect([read(keel, swap.id).get(`frames ${part}`), read(keel, swap.id).get(`idle ${part}`)]).toEqual([0, 0]);
    expect(burntWith(keel, swap.id)).toEqual([]);
  });
  test('a bridge at its other position puts the other supply on its pads', () => {
    const skiff = onBench(gutter, board('marlpit-skiff'));
    const moved = faultsFor(skiff).find((f) => f.id.startsWith('bridge vid'))!;
    const at = (fault: string) => read(skiff, fault).get('rail rail vid');
    expect(at('healthy')).toBeCloseTo(gutter.pack.cells * 3.7, 0);
    expect(at(moved.id)).toBeCloseTo(5, 1);
  });
  test('plus and ground swapped: volts the wrong way round at the part, which would burn', () => {
    const turned = faultsFor(keel).find((f) => f.id.startsWith('reversed'))!;
    expect(burntWith(keel, turned.id).length).toBe(1);
  });
  test('a solder ball: nought ohm before power, and the pack held down by the limiter', () => {
    expect([read(keel, 'short').get('ohm'), read(keel, 'short').get('pack')! < 0.5]).toEqual([0, true]);
    expect(read(keel, 'healthy').get('ohm')).toBeGreaterThan(1000);
  });
  test('a cold joint shows under load only at the part; its rail stands', () => {
    const cold =
      faultsFor(keel).find((f) => f.id.startsWith('cold quillon'))?.id ??
      faultsFor(keel).find((f) => f.id.startsWith('cold'))!.id;
    const part = cold.slice(5);
    const atPart = (fault: string) =>
      read(keel, fault).get([...read(keel, fault).keys()].find((k) => k.startsWith(`part ${part}`))!)!;
    expect(atPart(cold)).toBeLessThan(atPart('healthy'));
  });
});

describe('the meter on any two pads', () => {
  const state = stateWith(keel, 'healthy');
  const spots = spotsOn(keel);
  const spot = (words: string) => spots.find((s) => s.words.startsWith(words))!;
  const plus = spots.find((s) => s.node === 'rail 9v')!;
  const gnd = spots.find((s) => s.node === 'gnd')!;
  test('volts count from red to black, and turn their sign with the probes', () => {
    expect(meterReads(state, 'volts', plus, gnd).value).toBeCloseTo(9, 1);
    expect(meterReads(state, 'volts', gnd, plus).value).toBeCloseTo(-9, 1);
  });
  test('ohms of one and the same net are nought, and amps lie in the wire at red', () => {
    expect(meterReads(state, 'ohms', gnd, gnd).value ?? 0).toBe(0);
    const air = spots.find((s) => s.id.startsWith('plus') && s.words.includes('Prism Air'))!;
    expect(meterReads(state, 'amps', air, gnd).value).toBeGreaterThan(0.05);
    expect(meterReads(state, 'amps', gnd, plus).words).toContain('Amps are read in a wire');
  });
  test('says who: behind 9 V stand the figures of its regulator and of what hangs on it', () => {
    const whats = figuresRead(state, plus, gnd).map((g) => g.what);
    expect(whats).toEqual(expect.arrayContaining(['9 V volts', '9 V rating', 'Quillon Prism Air draws']));
    expect(whats).not.toContain('5 V regulator rating');
    expect(figuresRead(state, gnd, gnd)).toEqual([]);
  });
  test('a pad that nothing is joined to says so', () => {
    const idle = spots.find((s) => s.node === null)!;
    expect(meterReads(state, 'volts', idle, gnd).words).toContain('Nothing is joined');
    expect(spot(idle.words)).toBeDefined();
  });
});

describe('practice', () => {
  const small = onBench(four(5, 0.2), ten);
  const rounds = roundsFor(small);
  test('a round hides the same fault for everybody, never none, and faults that nothing tells apart are asked once', () => {
    for (let round = 1; round < 30; round++) {
      expect(hiddenIn(rounds, round)).toBe(hiddenIn(roundsFor(small), round));
      expect(rounds.faults[hiddenIn(rounds, round)]!.id).not.toBe('healthy');
    }
  });
  test('reading every place leaves exactly the hidden fault; the shortest way does so too', () => {
    const all = rounds.readings[0]!.map((p) => p.id);
    rounds.faults.forEach((_, hidden) => {
      expect(stillPossible(rounds, hidden, all)).toEqual([hidden]);
      expect(
        stillPossible(
          rounds,
          hidden,
          shortestWay(rounds, hidden).map((p) => p.id),
        ),
      ).toEqual([hidden]);
    });
  });
  test('the shortest way is worth 100 points, a wrong name none, burning something costs', () => {
    const hidden = rounds.faults.findIndex((f) => f.id === 'short');
    const way = shortestWay(rounds, hidden).map((p) => p.id);
    expect(scoreOf(rounds, hidden, way, hidden).points).toBe(100);
    expect(scoreOf(rounds, hidden, way, 0).points).toBe(0);
    const turned = rounds.faults.findIndex((f) => f.id.startsWith('reversed'));
    expect(
      scoreOf(
        rounds,
        turned,
        rounds.readings[0]!.map((p) => p.id),
        turned,
      ),
    ).toMatchObject({ burnt: ['tx'] });
  });
});

test('flight time by hand: 1500 mAh, four fifths of it, at 4 x 5 A and a little for the board is near 3.6 minutes', () => {
  const build = four(5, 0.2, {
    pack: { cells: 4, chemistry: 'lipo', massG: says(1), cellMilliohm: says(5), capacityMah: says(1500) },
    motors: { ...four(5).motors, count: 4, peakAmps: 30, cruiseAmps: 5 },
  });
  const time = flightTime(onBench(build, ten))!;
  expect(time.minutes.high).toBeGreaterThan(3.4);
  expect(time.minutes.high).toBeLessThan(3.6);
  expect(flightTime(onBench({ ...build, motors: { ...build.motors, count: 0 } }, ten))).toBeNull();
});

describe('a reading of the logbook, held against the circuit', () => {
  const bench = onBench(four(5, 1), ten);
  const entry = (about: string, value: number, field?: string) => ({
    id: 'e',
    when: '2026-11-28',
    about,
    kind: 'measured' as const,
    note: '',
    reading: { value, unit: 'V', ...(field ? { field } : {}) },
  });
  test('as predicted it says nothing, of an unknown place there is nothing to say', () => {
    expect(whatReadingSays(bench, entry('10 V', 10))).toMatchObject({ where: '10 V', explanations: [] });
    expect(whatReadingSays(bench, entry('the moon', 10))).toBeNull();
  });
  test('a rail a little low points at its volts, one far low at what its regulator gives; shares make one', () => {
    const little = whatReadingSays(bench, entry('anything', 9.8, 'rails[1].source.outVolts'))!;
    expect(little.explanations[0]!.says).toContain('is set to 9.8');
    const far = whatReadingSays(bench, entry('10 V', 7))!;
    expect(far.explanations[0]!.says).toContain('gives no more than');
    for (const { explanations } of [little, far])
      expect(explanations.reduce((sum, e) => sum + e.share, 0)).toBeCloseTo(1, 9);
  });
  test('by hand: at the part 9.5 V where 10 V stand and 1 A flows: half an ohm in wire and joints', () => {
    const said = whatReadingSays(bench, entry('tx', 9.5))!;
    expect(said.explanations.some((e) => e.says.startsWith('wire and joints of the part'))).toBe(true);
  });
});
