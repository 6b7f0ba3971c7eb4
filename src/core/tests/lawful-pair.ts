import type { z } from 'zod';
import type { boardSchema, Board } from '../records/board';
import type { Build, Part } from '../records/build';
import { claims, makeBoard, makeBuild, makePart, regulator, says } from './make';
import { dice } from './random-build';

type BoardInput = z.input<typeof boardSchema>;
type Mutable<T> = { -readonly [K in keyof T]: T[K] };

const serials = [
  { protocol: 'positioning', sides: 'rt', inverted: false },
  { protocol: 'two-wire-rc', sides: 'rt', inverted: false },
  { protocol: 'overlay-link', sides: 'rt', inverted: false },
  { protocol: 'inverted-rc', sides: 'r', inverted: true },
  { protocol: 'range-finder', sides: 'r', inverted: false },
  { protocol: 'recorder', sides: 't', inverted: false },
  { protocol: 'transmitter-control-b', sides: 't', inverted: false },
] as const;

const yes = { value: true, origin: 'manual' as const };

/**
 * A build, and a board made round a hookup of it that is lawful by construction: just the ports, pads, pins and amps that it takes, and some that share pads without being
 * needed. The board must carry the build.
 */
export function lawfulPair(seed: number): { build: Build; board: Board } {
  const roll = dice(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(roll() * list.length)]!;
  const chance = (p: number) => roll() < p;
  const pads: NonNullable<BoardInput['pads']> = [{ id: 'vbat', label: 'VBAT' }];
  const pad = (id: string, form: 'pad' | 'pin' = 'pad') => {
    pads.push({ id, label: id.toUpperCase(), form });
    return id;
  };
  const processor = pick(['F4', 'F7'] as const);
  const ports: NonNullable<BoardInput['ports']> = [];
  const outputs: NonNullable<BoardInput['outputs']> = [];
  const inputs: NonNullable<BoardInput['analogueInputs']> = [];
  const buses: NonNullable<BoardInput['buses']> = [];
  let video: Mutable<NonNullable<BoardInput['video']>> | undefined;
  let buzzerPad: string | undefined;
  const parts: Part[] = [];
  const draws = { '5v': { steady: 0, peak: 0, usb: 0 }, '9v': { steady: 0, peak: 0, usb: 0 } };

  const suppliesOf = () => {
    const rail = pick(['5v', '5v', '9v', 'none'] as const);
    if (rail === 'none') return { supplies: [], onUsb: false };
    const peak = Math.ceil((0.05 + 0.6 * roll()) * 100) / 100;
    const onUsb = rail === '5v' && draws['5v'].usb + peak / 2 <= 0.5 && chance(0.3);
    const [min, max] =
      rail === '5v'
        ? pick([
            [4.4, 5.5],
            [3.3, 6],
          ] as const)
        : pick([
            [7, 12],
            [8.5, 9.5],
          ] as const);
    draws[rail].steady += peak / 2;
    draws[rail].peak += peak;
    if (onUsb) draws['5v'].usb += peak / 2;
    return {
      supplies: [
        {
          minVolts: says(min),
          maxVolts: says(max),
          typicalAmps: says(peak / 2),
          peakAmps: says(peak),
          atVolts: rail === '5v' ? 5 : 9,
        },
      ],
      onUsb,
    };
  };
  const part = (link: object) => {
    const { supplies, onUsb } = suppliesOf();
    const id = `p${parts.length}`;
    // Short wires, so that what they lose is no matter.
    parts.push({ ...makePart(id, { links: [link as never], supplies }, { onUsb }), wireMm: 30 });
  };

  const count = 1 + Math.floor(roll() * 7);
  for (let i = 0; i < count; i++) {
    switch (pick(['serial', 'serial', 'serial', 'bus', 'output', 'output', 'input', 'camera', 'buzzer'] as const)) {
      case 'serial': {
        const { protocol, sides, inverted } = pick(serials);
        const native = processor === 'F7';
        const sense = inverted && !native ? ('inverted' as const) : ('plain' as const);
        ports.push({
          id: `u${i}`,
          label: `Port ${i}`,
          rx: sides.includes('r') ? [{ pad: pad(`r${i}`), sense }] : [],
          tx: sides.includes('t') ? [{ pad: pad(`t${i}`) }] : [],
          ...(chance(0.15)
            ? { taken: { by: 'a module', release: { what: 'Turn it off', lost: 'it', effort: 1 } } }
            : {}),
        });
        part({ kind: 'serial', id: 'l', protocol });
        break;
      }
      case 'bus':
        if (buses.length === 0) buses.push({ id: 'i2c', label: 'I2C', kind: 'i2c', pads: [pad('sda'), pad('scl')] });
        part({ kind: 'i2c', id: 'l', address: 0x10 + i });
        break;
      case 'output': {
        const use = pick(['servo', 'light'] as const);
        const wires = use === 'servo' ? 1 + Math.floor(roll() * 3) : 1;
        for (let k = 0; k < wires; k++)
          outputs.push({ id: `o${i}${k}`, label: `O${i}${k}`, pad: pad(`o${i}${k}`), timer: `t${i}`, can: [use] });
        part({ kind: 'output', id: 'l', use, count: wires });
        break;
      }
      case 'input':
        if (inputs.length === 0) {
          inputs.push({ id: 'air', label: 'AIR', kind: 'air speed', pad: pad('air') });
          part({ kind: 'analogue', id: 'l', input: 'air speed' });
        }
        break;
      case 'camera':
        video ??= { cameraIns: [], overlayChip: yes };
        (video.cameraIns as string[]).push(pad(`cam${i}`));
        part({ kind: 'video', id: 'l', role: 'camera' });
        break;
      case 'buzzer':
        if (buzzerPad === undefined) {
          buzzerPad = pad('bz');
          part({ kind: 'buzzer', id: 'l' });
        }
    }
  }
  // Functions that nobody needs on pads that somebody has, and some of their own.
  for (const { id } of pads.slice(1)) {
    if (chance(0.15))
      outputs.push({ id: `x-${id}`, label: `X ${id}`, pad: id, timer: `x-${id}`, can: ['soft serial'] });
    if (chance(0.05)) inputs.push({ id: `x-${id}`, label: `X ${id}`, kind: 'signal strength', pad: id });
  }

  const rated = ({ steady, peak }: { steady: number; peak: number }) =>
    Math.ceil((Math.max(steady / 0.8, peak) + 0.02) * 100) / 100;
  const rail = (id: '5v' | '9v') => {
    // By pins alone or by pads; just as many pins as it takes, out and back.
    const byPins = chance(0.4);
    const pins = Math.max(1, Math.ceil(draws[id].peak + 0.02));
    const own = Array.from({ length: byPins ? pins : 2 }, (_, k) => pad(`${id}-${k}`, byPins ? 'pin' : 'pad'));
    return {
      byPins,
      own,
      plug: {
        id: `plug-${id}`,
        label: `Plug ${id}`,
        family: 'SH',
        pins: [...own.map((p) => ({ name: id, pad: p })), ...own.map(() => ({ name: 'GND' }))],
      },
    };
  };
  const [five, nine] = [rail('5v'), rail('9v')];
  const board = makeBoard({
    processor: { value: processor, origin: 'manual' },
    claimedPorts: says(ports.length),
    pads,
    ports,
    outputs,
    analogueInputs: inputs,
    buses,
    ...(video ? { video } : {}),
    ...(buzzerPad === undefined ? {} : { buzzerPad }),
    esc: {
      channels: says(4),
      continuousAmps: says(40),
      burstAmps: says(50),
      burstSeconds: says(10),
      drivenByOutputs: { value: false, origin: 'manual' },
    },
    rails: [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
      { id: 'reg', label: 'Reg', source: regulator(5, rated(draws['5v']), { ratedAmps: claims(rated(draws['5v'])) }) },
      { id: 'usb', label: 'USB', source: { kind: 'usb', dropVolts: 0.3 } },
      { id: '5v', label: '5 V', pads: five.own, source: { kind: 'either', of: ['reg', 'usb'], isolated: yes } },
      { id: '9v', label: '9 V', pads: nine.own, source: regulator(9, rated(draws['9v'])) },
    ],
    plugs: [...(five.byPins ? [five.plug] : []), ...(nine.byPins ? [nine.plug] : [])],
  });
  return { build: makeBuild({ limits: { takeOffMassG: 5000, budgetCents: 1e7 } }, parts), board };
}

/** The same board with something taken from it or joined on it: it may still carry the build, or not. */
export function damaged(board: Board, seed: number): Board {
  const roll = dice(seed);
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(roll() * list.length)];
  const copy = structuredClone(board) as Board;
  const signalPads = copy.pads
    .filter((p) => p.form === 'pad' && p.id !== 'vbat' && !/^\dv-/.test(p.id))
    .map((p) => p.id);
  const [keep, lose] = [pick(signalPads), pick(signalPads)];
  const merge = () => {
    if (keep === undefined || lose === undefined) return copy;
    const at = (pad: string) => (pad === lose ? keep : pad);
    const end = <E extends { pad: string }>(e: E): E => ({ ...e, pad: at(e.pad) });
    return {
      ...copy,
      ports: copy.ports.map((p) => ({ ...p, rx: p.rx.map(end), tx: p.tx.map(end) })),
      outputs: copy.outputs.map(end),
      analogueInputs: copy.analogueInputs.map(end),
      buses: copy.buses.map((b) => ({ ...b, pads: b.pads.map(at) })),
      ...(copy.video ? { video: { ...copy.video, cameraIns: copy.video.cameraIns.map(at) } } : {}),
      ...(copy.buzzerPad === undefined ? {} : { buzzerPad: at(copy.buzzerPad) }),
    };
  };
  const scaled = (by: number) => ({
    ...copy,
    rails: copy.rails.map((r) =>
      r.source.kind === 'regulator' && 'value' in r.source.ratedAmps
        ? { ...r, source: { ...r.source, ratedAmps: { ...r.source.ratedAmps, value: r.source.ratedAmps.value * by } } }
        : r,
    ),
  });
  const acts: (() => Board)[] = [
    merge,
    () => scaled(0.5 + roll()),
    () => ({
      ...copy,
      plugs: copy.plugs.map((p) => ({ ...p, pins: p.pins.slice(0, Math.max(1, p.pins.length - 1)) })),
    }),
    () => ({ ...copy, outputs: copy.outputs.map((o) => ({ ...o, timer: roll() < 0.5 ? 'one' : o.timer })) }),
    () => ({ ...copy, ports: copy.ports.map((p) => (roll() < 0.3 ? { ...p, taken: { by: 'a module' } } : p)) }),
    () => ({
      ...copy,
      rails: copy.rails.map((r) =>
        r.id === '5v' ? { ...r, ownAmps: { value: roll() * 0.5, origin: 'manual' as const } } : r,
      ),
    }),
    () => ({
      ...copy,
      rails: copy.rails.map((r) =>
        r.source.kind === 'usb' ? { ...r, source: { ...r.source, dropVolts: roll() } } : r,
      ),
    }),
    () => ({ ...copy, processor: { value: 'F4' as const, origin: 'manual' as const } }),
    () => ({
      ...copy,
      rails: copy.rails.map((r) =>
        r.source.kind === 'either' ? { ...r, source: { ...r.source, of: [r.source.of[1]!, r.source.of[1]!] } } : r,
      ),
    }),
    () => ({
      ...copy,
      rails: copy.rails.map((r) =>
        r.id === '9v' ? { ...r, source: { ...(r.source as object), type: 'linear' } as never } : r,
      ),
    }),
    () => ({
      ...copy,
      buses: copy.buses.map((b) => ({ ...b, onBoard: [{ address: 0x10 + Math.floor(roll() * 7), what: 'a chip' }] })),
    }),
  ];
  return pick(acts)!();
}
