import { describe, expect, test } from 'vitest';
import { orderFor, type BasketLine } from '../bill/basket';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, portsAndPads, regulator, says, serial, supply } from '../tests/make';
import { buildSheet, portSettings } from './build-sheet';

describe('port settings', () => {
  // Inverted one-way RC serial; F7 turns it round inside the port (RM0385), an F4 board wants an inverter at the pad (RM0090).
  const build = makeBuild({}, [
    makePart('rx', { links: [serial('inverted-rc')] }),
    makePart('gps', { links: [serial('positioning')] }),
  ]);
  const setting = (family: 'F7' | 'F4', sides: string[]) =>
    portSettings(
      evaluate(build, makeBoard({ processor: { value: family, origin: 'manual' }, ...portsAndPads(sides) })),
    );
  test('say who turns the signal round: the processor, or nothing that is to be set', () => {
    expect(setting('F7', ['rt', 'rt']).map((s) => s.sense)).toEqual(['inverted, by the processor', 'plain']);
    expect(setting('F4', ['it', 'rt']).map((s) => s.sense)).toEqual(['inverted, by the pad: nothing to set', 'plain']);
  });
});

describe('solder order', () => {
  const { ports, pads } = portsAndPads(['rt', 'rt']);
  const edge: Record<string, 'front' | 'rear' | 'left'> = { r1: 'front', t1: 'front', r2: 'rear', t2: 'rear' };
  const board = makeBoard({
    ports,
    pads: pads!.map((p) => ({ ...p, edge: edge[p.id] ?? 'left' })),
    rails: [
      { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
      { id: 'five', label: '5 V', pads: ['vbat'], source: regulator(5, 2) },
    ],
  });
  const build = makeBuild({}, [
    makePart('a', { links: [serial('two-wire-rc')], supply: supply(4.5, 5.5, 0.1) }),
    makePart('b', { links: [serial('two-wire-rc')], supply: supply(4.5, 5.5, 0.1) }),
  ]);
  test('with the nose towards the builder the rear is farthest: its pads come first, whatever the order of the parts', () => {
    const steps = buildSheet(build, board, evaluate(build, board)).solder.map((s) => s.does);
    const at = (pad: string) => steps.findIndex((s) => s.startsWith(`${pad} to `));
    expect(at('R2')).toBeLessThan(at('R1'));
    expect(at('T2')).toBeLessThan(at('T1'));
  });
});

describe('the stack', () => {
  test('a separate ESC below the board wants a second row of standoffs: 5 + (6 + 5) + 10 = 26 mm', () => {
    const ownEsc = {
      name: 'Own ESC',
      channels: 4,
      continuousAmps: says(40),
      burstAmps: says(50),
      burstSeconds: says(10),
      maxCells: says(6),
      pins: [],
      heightMm: 6,
    };
    const build = makeBuild({
      frame: {
        name: 'F',
        mounts: [{ alongMm: 30.5, screw: 'M3' }],
        bayLengthMm: 60,
        bayWidthMm: 60,
        bayHeightMm: 25.9,
        standoffMm: 5,
        openSides: ['left'],
      },
      motors: { count: 4, cruiseAmps: 6, peakAmps: 30, peakSeconds: 5, esc: 'separate', ownEsc },
    });
    const height = (bay: number) =>
      evaluate({ ...build, frame: { ...build.frame, bayHeightMm: bay } }, makeBoard()).rungs[0]!.findings.find(
        (f) => f.code === 'height',
      )!;
    expect(height(25.9)).toMatchObject({ state: 'breaks', needed: '26 mm' });
    expect(height(26).state).toBe('strained');
    expect(height(27.1).state).toBe('holds');
  });
});

describe('the order', () => {
  const offer = (shop: string, cents: number, shippingCents: number, deliveryDays: number) => ({
    shop,
    cents,
    shippingCents,
    deliveryDays,
    seen: '2026-11-01',
  });
  const line = (key: string, offers: ReturnType<typeof offer>[]): BasketLine => ({
    key,
    what: key,
    quantity: 1,
    unit: '',
    cents: offers[0]!.cents,
    grams: 1,
    why: '',
    offers,
  });
  test('a parcel costs the dearest shipping of what is in it and comes with its slowest line: 10 + 20 + 7 = 37, five days', () => {
    const lines = [line('a', [offer('S', 1000, 300, 5)]), line('b', [offer('S', 2000, 700, 2)])];
    const { totalCents, parcels } = orderFor(lines, 'cheapest');
    expect([totalCents, parcels]).toEqual([3700, [{ shop: 'S', shippingCents: 700, unsaid: false, days: 5 }]]);
  });
});
