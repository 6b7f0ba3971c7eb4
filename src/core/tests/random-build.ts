import type { z } from 'zod';
import type { boardSchema, Board } from '../records/board';
import type { peripheralSchema } from '../records/peripheral';
import type { Build } from '../records/build';
import { protocolIds } from '../trade/protocol';
import { claims, makeBoard, makeBuild, makePart, regulator, says, serial, unknown } from './make';

type BoardInput = z.input<typeof boardSchema>;
type ModeInput = z.input<typeof peripheralSchema>['modes'][number];

export interface RandomSize {
  parts: number;
  ports: number;
  rails: number;
  bridges: number;
}

export const largest: RandomSize = { parts: 16, ports: 12, rails: 8, bridges: 4 };

/** Small seeded generator (mulberry32): the same seed gives the same problem on every machine. */
export function dice(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), a | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A build and a board of the trade's shapes, with every kind of thing that rungs 4 to 7 weigh. */
export function randomPair(seed: number, size: RandomSize = largest): { build: Build; board: Board } {
  const roll = dice(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(roll() * list.length)]!;
  const chance = (p: number) => roll() < p;
  const upTo = (n: number) => Math.floor(roll() * (n + 1));

  const pads: NonNullable<BoardInput['pads']> = [];
  const pad = (id: string) => {
    pads.push({ id, label: id });
    return id;
  };
  const bridges: NonNullable<BoardInput['bridges']> = Array.from({ length: size.bridges }, (_, i) => ({
    id: `b${i}`,
    label: `Bridge ${i}`,
    form: 'solder bridge',
    positions: [
      { id: 'x', label: 'x' },
      { id: 'y', label: 'y' },
    ],
    factory: pick(['x', 'y']),
    effort: 1 + upTo(3),
  }));
  const ports: NonNullable<BoardInput['ports']> = Array.from({ length: size.ports }, (_, i) => {
    const sense = () => pick(['plain', 'plain', 'plain', 'inverted'] as const);
    const swap = () =>
      bridges.length > 0 && chance(0.15) ? { switch: { bridge: pick(bridges).id, plainAt: 'x', invertedAt: 'y' } } : {};
    const taken = chance(0.2)
      ? {
          taken: {
            by: 'something',
            ...(chance(0.7)
              ? { release: { what: 'Free it', lost: 'something', effort: 1 + upTo(3), cents: pick([0, 0, 300]) } }
              : {}),
          },
        }
      : {};
    return {
      id: `p${i}`,
      label: `Port ${i}`,
      rx: chance(0.9) ? [{ pad: pad(`r${i}`), sense: sense(), ...swap() }] : [],
      tx: chance(0.8) ? [{ pad: pad(`t${i}`), sense: sense(), twoWayInverter: chance(0.1) }] : [],
      ...taken,
    };
  });
  const rails: NonNullable<BoardInput['rails']> = [
    { id: 'pack', label: 'Pack', pads: chance(0.7) ? [pad('vbat')] : [], source: { kind: 'pack' } },
  ];
  for (let i = 1; i < size.rails; i++) {
    const id = `rail${i}`;
    const own = [pad(`v${i}`)];
    const parents = rails.map((r) => r.id);
    if (bridges.length > 0 && rails.length > 2 && chance(0.25))
      rails.push({
        id,
        label: id,
        pads: own,
        source: { kind: 'bridge', bridge: pick(bridges).id, byPosition: { x: pick(parents), y: pick(parents) } },
      });
    else
      rails.push({
        id,
        label: id,
        pads: own,
        source: regulator(pick([3.3, 5, 5, 5, 9, 10, 12]), pick([0.3, 0.5, 1, 1.5, 2, 3]), {
          type: pick(['buck', 'buck', 'linear']),
          input: chance(0.8) ? 'pack' : pick(parents),
        }),
      });
  }
  const board = makeBoard({
    ports,
    rails,
    bridges,
    pads,
    claimedPorts: says(size.ports),
    processor: { value: pick(['F4', 'F7']), origin: 'manual' },
    // Its ESC has lines of its own, so that all outputs are there to be fought over.
    esc: {
      channels: says(4),
      continuousAmps: says(40),
      burstAmps: says(50),
      burstSeconds: says(10),
      drivenByOutputs: { value: false, origin: 'manual' },
    },
    buses: chance(0.8) ? [{ id: 'i2c', label: 'I2C', kind: 'i2c', pads: [pad('sda'), pad('scl')] }] : [],
    outputs: Array.from({ length: upTo(6) }, (_, i) => ({
      id: `o${i}`,
      label: `Output ${i}`,
      pad: pad(`o${i}`),
      timer: pick(['t1', 't2', 't3']),
      can: pick([
        ['servo', 'soft serial'],
        ['light', 'soft serial'],
        ['motor', 'servo'],
      ] as const).slice(),
    })),
  });

  const supplies = (): ModeInput['supplies'] => {
    if (chance(0.1)) return [];
    // Some parts take two, as a light driver does.
    return chance(0.1) ? [supply('chip'), supply('strips')] : [supply('supply')];
  };
  const supply = (id: string): ModeInput['supplies'][number] => {
    const [min, max] = pick([
      [4.5, 5.5],
      [4.5, 5.5],
      [4.5, 26],
      [7, 26],
      [9, 13],
      [3, 3.6],
      [4.5, 13],
      [7, 17],
    ] as const);
    const peak = pick([0.05, 0.1, 0.2, 0.3, 0.45, 0.6, 1]);
    return {
      id,
      minVolts: says(min),
      maxVolts: says(max),
      typicalAmps: says(peak / 2),
      peakAmps: chance(0.03) ? unknown : claims(peak),
      atVolts: 5,
      draw: pick(['constant current', 'constant power']),
    };
  };
  const link = (n: number): ModeInput['links'][number] => {
    const id = `link${n}`;
    if (chance(0.75)) return serial(pick(protocolIds), id);
    return pick([
      { kind: 'i2c', id, address: pick([0x0d, 0x1e, 0x28]) },
      { kind: 'output', id, use: pick(['servo', 'light'] as const), count: 1 + upTo(2) },
    ] as const);
  };
  const parts = Array.from({ length: size.parts }, (_, i) =>
    makePart(
      `part${i}`,
      {},
      {
        priority: pick(['must', 'must', 'should', 'nice']),
        kind: pick(['other', 'other', 'camera', 'video transmitter']),
        gives: chance(0.15)
          ? [{ id: 'five', label: '5 V out', volts: says(pick([4.5, 5, 5])), amps: claims(pick([0.3, 0.5, 1])) }]
          : [],
        modes: Array.from({ length: 1 + upTo(2) }, (_, m) => ({
          id: `way${m}`,
          label: `way ${m}`,
          links: Array.from({ length: pick([0, 1, 1, 1, 2]) }, (_, n) => link(n)),
          supplies: supplies(),
          cents: m === 0 ? 0 : pick([0, 0, 500, 900]),
          grams: m === 0 ? 0 : pick([0, 1.5]),
          effort: m === 0 ? 0 : upTo(4),
          lost: chance(0.2) ? ['something'] : [],
        })),
      },
    ),
  );
  return {
    build: makeBuild(
      { pack: { cells: pick([2, 3, 4, 6]), chemistry: 'lipo', massG: says(100), cellMilliohm: says(1) } },
      parts,
    ),
    board,
  };
}
