import type { Board } from '../records/board';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { readFile } from '../records/file';
import { makeBoard, makeBuild, makePart, regulator, says, supply } from '../tests/make';
import { deskState } from './desk';
import { faultsFor, probesWith, stillPossible } from './faults';
import { chargedVolts, powerUp, steadyPackAmps } from './power-up';
import { sagOver } from './sag';

const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
const belfry = readFile(readFileSync('demo/builds/belfry-six.json', 'utf8'), 'rung-build');
const gutter = readFile(readFileSync('demo/builds/gutterling.json', 'utf8'), 'rung-build');
if (!shelf.ok || !belfry.ok || !gutter.ok) throw new Error('demo files');
const board = (id: string) => shelf.value.boards.find((b) => b.id === id)!;

const rails = [
  { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' as const } },
  { id: 'ten', label: '10 V', pads: ['vbat'], source: regulator(10, 2) },
];
const four = (milliohm: number, peak = 0.5) =>
  makeBuild(
    {
      pack: { cells: 4, chemistry: 'lipo', massG: says(1), cellMilliohm: says(milliohm) },
      capacitor: { microfarads: 470, volts: 25 },
    },
    [makePart('tx', { supply: supply(9, 12, peak, 10) })],
  );
const ten = makeBoard({ rails });

describe('charging', () => {
  test('through a resistor: one time constant is 63.2 %, five are 99.3 % (any electronics handbook)', () => {
    expect(chargedVolts(10, 100, 1e-3, 0.1)).toBeCloseTo(6.321, 3);
    expect(chargedVolts(10, 100, 1e-3, 0.5)).toBeCloseTo(9.933, 3);
  });
  test('at a constant current: t = C V / I, 517 uF to 16.8 V at 1 A is 8.7 ms', () => {
    const run = powerUp(four(5), ten, evaluate(four(5), ten), 1);
    expect(run.why).toContain('8.7 ms');
    const at = run.moments.find((m) => m.packVolts > 15)!.ms;
    expect(at).toBeGreaterThan(7);
    expect(at).toBeLessThan(9.5);
  });
  test('straight from the pack the first instant is V / R: 16.8 V over 0.08 ohm is 210 A (Ohm)', () => {
    expect(powerUp(four(5), ten, evaluate(four(5), ten), null).inrushAmps).toBeCloseTo(210, 6);
  });
});

describe('the limiter', () => {
  test('a build that draws less than 1 A does not trip it; one that draws more does, for a known reason', () => {
    const light = four(5, 0.5);
    const climb = evaluate(light, ten);
    // 0.25 A typical at 10 V through 85 % from 16.8 V is 0.175 A, by hand.
    expect(steadyPackAmps(ten, climb, 16.8)).toBeCloseTo((0.25 * 10) / (0.85 * 16.8), 6);
    expect(powerUp(light, ten, climb, 1).trips).toBe(false);
    const heavy = makeBuild(
      { pack: { cells: 4, chemistry: 'lipo', massG: says(1) } },
      ['a', 'b', 'c'].map((id) => makePart(id, { supply: supply(9, 12, 1.8, 10) })),
    );
    const strong = makeBoard({ rails: [rails[0]!, { ...rails[1]!, source: regulator(10, 8) }] });
    const run = powerUp(heavy, strong, evaluate(heavy, strong), 1);
    expect([run.trips, run.why.includes('known reason')]).toEqual([true, true]);
    expect(powerUp(heavy, strong, evaluate(heavy, strong), 2).trips).toBe(false);
  });
  test('rails rise after the pack, children after parents', () => {
    const run = powerUp(
      belfry.value,
      board('tarnfield-keel-f7'),
      evaluate(belfry.value, board('tarnfield-keel-f7')),
      2,
    );
    const at = (label: string) => run.order.find((o) => o.label.startsWith(label))?.ms ?? Infinity;
    expect(run.order[0]!.rail).toBe('pack');
    expect(at('5 V')).toBeGreaterThan(at('Pack'));
  });
});

test('no rail of any demo board ever stands above what its regulator gives, but behind a step-up on a pack above it', () => {
  const stepsUp = (b: Board) => b.rails.some((r) => r.source.kind === 'regulator' && r.source.type === 'step-up');
  for (const b of shelf.value.boards.filter((x) => !stepsUp(x))) {
    const run = powerUp(gutter.value, b, evaluate(gutter.value, b), 2);
    for (const rail of b.rails) {
      const named = /^(\d+(?:\.\d+)?) V/.exec(rail.label)?.[1];
      if (named)
        for (const m of run.moments)
          expect(m.rails[rail.id] ?? 0, `${b.name} ${rail.label}`).toBeLessThanOrEqual(Number(named) + 0.01);
    }
  }
});

describe('sag under throttle', () => {
  test('Ohm at every step: 4 x (3.5 - 0.01 x amps); the 10 V rail follows below 10.8 V', () => {
    const build = { ...four(10), motors: { ...four(10).motors, count: 4, peakAmps: 30 } };
    // Wired as if the pack did not sag, so that something can drop out.
    const points = sagOver(build, ten, evaluate(four(0), ten), 'land');
    const full = points.at(-1)!;
    expect([full.amps, full.packVolts]).toEqual([120, expect.closeTo(4 * (3.5 - 1.2), 9)]);
    expect(full.rails.ten).toBeCloseTo(9.2 - 0.8, 9);
    expect(full.out).toEqual(['tx']); // 8.4 V, and it needs 9
    expect(points[0]!.out).toEqual([]);
    points.forEach((p, i) => i > 0 && expect(p.packVolts).toBeLessThan(points[i - 1]!.packVolts));
  });
});

test('on the desk: 500 mA for what must live on USB (USB 2.0, 7.2.1); the rest is counted by itself', () => {
  const keel = board('tarnfield-keel-f7');
  const desk = deskState(belfry.value, evaluate(belfry.value, keel));
  const asked = belfry.value.parts.filter((p) => p.onUsb).map((p) => p.id);
  const sum = (which: boolean) =>
    desk.parts.filter((p) => asked.includes(p.id) === which).reduce((amps, p) => amps + p.amps!, 0);
  expect([desk.amps, desk.restAmps]).toEqual([expect.closeTo(sum(true), 9), expect.closeTo(sum(false), 9)]);
  expect(desk.parts.filter((p) => p.says.includes('need not be')).map((p) => asked.includes(p.id))).not.toContain(true);
  expect(desk.amps).toBeGreaterThan(0);
  expect([desk.limitAmps, desk.enough]).toEqual([0.5, desk.amps <= 0.5]);
});

describe('faults and what a meter reads', () => {
  const keel = board('tarnfield-keel-f7');
  const climb = evaluate(belfry.value, keel);
  test('every fault but health is told from health by at least one reading', () => {
    const healthy = JSON.stringify(probesWith(belfry.value, keel, climb, 'healthy'));
    const faults = faultsFor(belfry.value, keel, climb);
    expect(faults.length).toBeGreaterThan(5);
    for (const f of faults.slice(1))
      expect(JSON.stringify(probesWith(belfry.value, keel, climb, f.id)), f.name).not.toBe(healthy);
  });
  test('reading every pad leaves exactly the fault that is there', () => {
    for (const f of faultsFor(belfry.value, keel, climb)) {
      const readings = probesWith(belfry.value, keel, climb, f.id);
      expect(stillPossible(belfry.value, keel, climb, readings).map((x) => x.id)).toEqual([f.id]);
    }
  });
  test('swapped RX and TX: no frames and a low line, volts all as they should be', () => {
    const swap = faultsFor(belfry.value, keel, climb).find((f) => f.id.startsWith('swap'))!;
    const part = swap.id.slice(5);
    const read = new Map(probesWith(belfry.value, keel, climb, swap.id).map((p) => [p.id, p.value]));
    expect([read.get(`frames ${part}`), read.get(`idle ${part}`)! < 0.8]).toEqual([0, true]);
    expect(read.get('pack')).toBe(22.2); // six cells at 3.7 V
  });
  test('a bridge in the wrong position puts the pack on a 5 V pad', () => {
    const skiff = board('marlpit-skiff');
    const c = evaluate(gutter.value, skiff);
    const wrong = probesWith(gutter.value, skiff, c, 'bridge vid').find((p) => p.id === 'rail vid')!;
    expect(wrong.value).toBe(5); // the hookup stands on the pack; the other position is 5 V
  });
});
