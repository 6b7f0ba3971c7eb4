import type { FlagFigure, NumberFigure } from '../quantity/figure';
import { boardSchema, type Board } from '../records/board';
import { type Screw } from '../records/board-lists';
import { buildSchema, type Build, type Part } from '../records/build';
import { peripheralSchema, type Peripheral } from '../records/peripheral';
import { newestVersion } from '../records/words';
import type { z } from 'zod';

/** Small sound things for tests; each test changes only what it is about. */
export const says = (value: number) => ({ value, origin: 'manual' as const });
export const claims = (value: number) => ({ value, origin: 'claim' as const });
export const unknown = { unknown: true as const };
export const yes = { value: true, origin: 'manual' as const };

type BoardInput = z.input<typeof boardSchema>;
type BuildInput = z.input<typeof buildSchema>;
type PeripheralInput = z.input<typeof peripheralSchema>;

export function makeBoard(change: Partial<BoardInput> = {}): Board {
  return boardSchema.parse({
    format: 'rung-board',
    version: newestVersion,
    id: 'plank',
    name: 'Plank',
    maker: 'Testwright',
    kind: 'stack',
    processor: { value: 'F7', origin: 'manual' },
    claimedPorts: says(0),
    rails: [{ id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } }],
    pads: [{ id: 'vbat', label: 'VBAT' }],
    packCells: { min: says(2), max: says(6) },
    esc: { channels: says(4), continuousAmps: says(40), burstAmps: says(50), burstSeconds: says(10) },
    mounting: holes(says(30.5)),
    lengthMm: says(36),
    widthMm: says(36),
    heightMm: says(10),
    massG: says(20),
    usb: { plug: 'C', side: 'left' },
    barometer: yes,
    storageMb: says(16),
    gyroNoise: { value: 'usual', origin: 'manual' },
    offers: [{ shop: 'Test Shop', cents: 5000, shippingCents: 500, seen: '2026-11-01' }],
    ...change,
  });
}

export function makeBuild(change: Partial<BuildInput> = {}, parts: Part[] = []): Build {
  return buildSchema.parse({
    format: 'rung-build',
    version: newestVersion,
    id: 'craft',
    name: 'Craft',
    frame: {
      name: 'Frame',
      mounts: [{ alongMm: 30.5, screw: 'M3' }],
      bayLengthMm: 44,
      bayWidthMm: 44,
      bayHeightMm: 20,
      openSides: ['left'],
    },
    pack: { cells: 4, chemistry: 'lipo', massG: says(180), cellMilliohm: says(1) },
    motors: { count: 4, cruiseAmps: 6, peakAmps: 30, peakSeconds: 5, esc: 'on the board' },
    bareMassG: says(300),
    limits: { takeOffMassG: 700, budgetCents: 30_000 },
    comforts: {},
    policies: {},
    parts: parts.map((p) => ({ ...p })),
    ...change,
  });
}

/** The mounting of a board with one square pattern. */
export function holes(
  alongMm: NumberFigure,
  screw: Screw | null = 'M3',
  softIsolators: FlagFigure = yes,
): Board['mounting'] {
  return { patterns: [{ alongMm, screw: screw ? { value: screw, origin: 'manual' } : unknown }], softIsolators };
}

type ModeInput = PeripheralInput['modes'][number];
/** A way to wire a part; most take one supply, which is short to say. */
type Way = Partial<Omit<ModeInput, 'supplies'>> & { supply?: Supplies[number] | null; supplies?: Supplies };
type Supplies = ModeInput['supplies'];

const modeOf = ({ supply = null, supplies, ...mode }: Way): ModeInput => ({
  id: 'way',
  label: 'way',
  links: [],
  supplies: supplies ?? (supply ? [supply] : []),
  ...mode,
});

export function makePart(
  id: string,
  mode: Way,
  change: Partial<Omit<Part, 'peripheral'>> & {
    kind?: Peripheral['kind'];
    modes?: Way[];
    massG?: PeripheralInput['massG'];
    gives?: PeripheralInput['gives'];
    cents?: number | null;
  } = {},
): Part {
  const { kind = 'other', modes, massG = says(2), gives = [], cents = 1000, ...part } = change;
  const peripheral = peripheralSchema.parse({
    format: 'rung-peripheral',
    version: newestVersion,
    id,
    name: id,
    maker: 'Testwright',
    kind,
    massG,
    gives,
    cents,
    modes: (modes ?? [mode]).map(modeOf),
  });
  return { id, priority: 'must', onUsb: false, owned: false, ...part, peripheral };
}

export const serial = (protocol: string, id = 'serial') => ({ kind: 'serial', id, protocol }) as never;

export function supply(
  min: number,
  max: number,
  peak: number,
  atVolts = 5,
  draw: 'constant current' | 'constant power' = 'constant current',
) {
  return { minVolts: says(min), maxVolts: says(max), typicalAmps: says(peak / 2), peakAmps: says(peak), atVolts, draw };
}

/** Ports with a hearing and a talking pad each, named port1, port2, ... with their pads. */
export function portsAndPads(sides: string[]): Pick<BoardInput, 'ports' | 'pads'> {
  const pads = [{ id: 'vbat', label: 'VBAT' }];
  const ports = sides.map((s, i) => {
    const n = i + 1;
    let rx: { pad: string; sense: 'plain' }[] | { pad: string; sense: 'inverted' }[];
    if (s.includes('r')) rx = [{ pad: `r${n}`, sense: 'plain' as const }];
    else if (s.includes('i')) rx = [{ pad: `r${n}`, sense: 'inverted' as const }];
    else rx = [];
    let tx: { pad: string }[] | { pad: string; sense: 'inverted'; twoWayInverter: boolean }[];
    if (s.includes('t')) tx = [{ pad: `t${n}` }];
    else if (s.includes('w')) tx = [{ pad: `t${n}`, sense: 'inverted' as const, twoWayInverter: true }];
    else tx = [];
    pads.push(...rx.map((e) => ({ id: e.pad, label: `R${n}` })), ...tx.map((e) => ({ id: e.pad, label: `T${n}` })));
    return { id: `port${n}`, label: `Port ${n}`, rx, tx };
  });
  return { ports, pads };
}

export function regulator(volts: number, amps: number, more: object = {}) {
  return {
    kind: 'regulator' as const,
    type: 'buck' as const,
    outVolts: says(volts),
    ratedAmps: claims(amps),
    dropOutVolts: says(0.8),
    input: 'pack',
    ...more,
  };
}

/** A four-in-one ESC that a buyer has at home. */
export const ownEsc = (more: object = {}) => ({
  name: 'Own',
  count: 1,
  channels: 4,
  continuousAmps: says(60),
  burstAmps: says(70),
  burstSeconds: says(10),
  maxCells: says(6),
  pins: [],
  heightMm: 6,
  ...more,
});

/** A motor output on each of these pads, on one timer. */
export const motorOutputs = (...pads: string[]) =>
  pads.map((id) => ({ id, label: id, pad: id, timer: 't1', can: ['motor' as const] }));
