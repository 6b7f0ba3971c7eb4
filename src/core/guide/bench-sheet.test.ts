import { describe, expect, test } from 'vitest';
import { wireList } from '../bill/wire-list';
import { drawHookup } from '../drawing/draw-hookup';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { makeBoard, makeBuild, makePart, regulator, serial, supply } from '../tests/make';
import { buildSheet, harnessOf, sheetMarkdown, sheetSteps } from './build-sheet';
import { cablesOf, cableWords } from './cables';
import { mind, misleading } from './mind';
import { motorMap } from './motor-map';
import { byReason } from './step';

const sheetOf = (build: Build, board: Board) => buildSheet(build, board, evaluate(build, board));

describe('the motor map', () => {
  const flown = (count: number, esc: 'separate' | 'on the board' = 'separate') =>
    makeBuild({ motors: { count, cruiseAmps: 1, peakAmps: 3, peakSeconds: 5, esc } });
  const pads = (edges: Record<string, ['front' | 'rear', number]>) =>
    makeBoard({
      pads: [
        { id: 'vbat', label: 'VBAT', edge: 'inner' },
        ...Object.entries(edges).map(([id, [edge, order]]) => ({ id, label: id.toUpperCase(), edge, order })),
      ],
      outputs: Object.keys(edges).map((id) => ({
        id,
        label: id.toUpperCase(),
        pad: id,
        timer: 't',
        can: ['motor' as const],
      })),
    });
  const four = pads({ a: ['front', 0], b: ['front', 1], c: ['rear', 0], d: ['rear', 1] });
  const map = (build: Build, board: Board) => motorMap(build, board, evaluate(build, board).hookup)!;
  test('each output goes to the arm it lies nearest to: clockwise from the nose, front right first', () => {
    // Orders run clockwise: the front from left to right, the rear from right to left.
    expect(map(flown(4), four).arms.map((a) => [a.arm, a.output])).toEqual([
      ['front right', 'B'],
      ['rear right', 'C'],
      ['rear left', 'D'],
      ['front left', 'A'],
    ]);
  });
  test('with the board turned as it lies', () => {
    const build = { ...flown(4), frame: { ...flown(4).frame, openSides: ['front' as const] } };
    // USB comes from the left to the front: a quarter clockwise. What lay front left lies front right then.
    expect(map(build, four).arms[0]).toMatchObject({ arm: 'front right', output: 'A' });
  });
  test('an ESC on the board has its motors at its own corners, wherever the signal pads are drawn', () =>
    expect(
      new Set(map(flown(4, 'on the board'), { ...four, esc: makeBoard().esc! }).arms.map((a) => a.output)),
    ).toEqual(new Set(['the corner nearest to it'])));
  test.each([2, 4, 6, 8])('%d propellers turn against their neighbours', (n) => {
    const { arms } = map(flown(n, 'on the board'), makeBoard());
    expect(arms.map((a) => a.spin)).toEqual(arms.map((_, i) => (i % 2 === 0 ? 'counter-clockwise' : 'clockwise')));
    expect(new Set(arms.map((a) => a.at)).size).toBe(n);
  });
  test('one or three have no rule of spin; without motors there is no map; without drawn outputs the corners are meant', () => {
    expect([1, 3].map((n) => map(flown(n, 'on the board'), makeBoard()).arms.map((a) => a.spin))).toEqual([
      [null],
      [null, null, null],
    ]);
    expect(motorMap(flown(0), makeBoard(), evaluate(flown(0), makeBoard()).hookup)).toBeNull();
    expect(map(flown(4, 'on the board'), makeBoard()).arms[0]!.output).toBe('the corner nearest to it');
  });
});

describe('cables', () => {
  const board = (family: string, order: ('5v' | 'gnd' | 'r1' | 't1')[]) =>
    makeBoard({
      pads: ['vbat', '5v', 'gnd', 'r1', 't1'].map((id) => ({
        id,
        label: id.toUpperCase(),
        form: id === 'vbat' ? 'pad' : 'pin',
      })),
      grounds: ['gnd'],
      ports: [{ id: 'p1', label: 'Port 1', rx: [{ pad: 'r1' }], tx: [{ pad: 't1' }] }],
      rails: [
        { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
        { id: '5v', label: '5 V', pads: ['5v'], source: regulator(5, 2) },
      ],
      plugs: [{ id: 'plug', label: 'GPS', family, pins: order.map((pad) => ({ name: pad.toUpperCase(), pad })) }],
    });
  const gps = makePart('gps', { links: [serial('positioning')], supply: supply(4.5, 5.5, 0.1) });
  gps.peripheral.plugs = [
    {
      family: 'JST SH',
      pins: [{ name: 'VCC', colour: 'red' }, { name: 'GND', colour: 'black' }, { name: 'TX' }, { name: 'RX' }],
    },
  ];
  const cables = (b: Board) => {
    const build = makeBuild({}, [gps]);
    return cablesOf(build, b, wireList(build, b, evaluate(build, b).hookup));
  };
  test('pin by pin with both orders: what the part sends goes to what the board hears', () => {
    const [cable] = cables(board('SH 1.0', ['gnd', '5v', 't1', 'r1']));
    expect(cable!.lines).toEqual([
      { board: 1, part: 2 },
      { board: 2, part: 1 },
      { board: 3, part: 4 },
      { board: 4, part: 3 },
    ]);
    expect(cable!.straight).toBe(false);
    expect(cableWords(cable!)).toContain('pin 1 GND to pin 2 GND (black)');
  });
  test('one family and one order: a straight cable does; another family is another cable', () => {
    expect(cables(board('SH', ['5v', 'gnd', 'r1', 't1']))[0]!.straight).toBe(true);
    expect(cables(board('GH', ['5v', 'gnd', 'r1', 't1']))[0]!.straight).toBe(false);
  });
});

describe('what to mind', () => {
  const keys = (build: Build, board: Board) =>
    mind(build, board, wireList(build, board, evaluate(build, board).hookup)).map((s) => s.key.slice(5));
  const part = makePart('cam', { supply: supply(4, 30, 15, 16) });
  test('nothing on a plain board', () => expect(keys(makeBuild(), makeBoard())).toEqual([]));
  test('a wire thicker than its pad, a joint underneath, a board that folds out', () => {
    const board = makeBoard({ pads: [{ id: 'vbat', label: 'VBAT', face: 'bottom', size: 'tiny' }] });
    const shut = makeBuild({ frame: { ...makeBuild().frame, openSides: [] } }, [part]);
    expect(keys(shut, board)).toEqual(['underside', 'slack', 'stiff']);
  });
  test('audio inputs and update pads', () => {
    const heard = { ...part, peripheral: { ...part.peripheral, plugs: [{ family: 'SH', pins: [{ name: 'AUDIO' }] }] } };
    const board = makeBoard({
      receiver: { system: 'x', updatePads: ['vbat'] },
      pads: [{ id: 'vbat', label: 'VBAT', size: 'large' }],
    });
    expect(keys(makeBuild({}, [heard]), board)).toEqual(['audio', 'update pads']);
  });
  test('colours that mislead name the part and the pin', () => {
    const odd = {
      ...part,
      peripheral: {
        ...part.peripheral,
        plugs: [
          {
            family: 'SH',
            warning: 'go by the pin',
            pins: [
              { name: 'VCC', colour: 'black' },
              { name: 'GND', colour: 'red' },
              { name: 'TX', colour: 'yellow' },
            ],
          },
        ],
      },
    };
    expect(misleading(makeBuild({}, [odd])).map((m) => [m.part, m.pin, m.colour])).toEqual([
      ['cam', 'VCC', 'black'],
      ['cam', 'GND', 'red'],
    ]);
  });
});

test('the harness to the ESC is drawn wherever both ends are known, and re-pinned only where their orders differ', () => {
  const order = ['VBAT', 'GND', 'S1'];
  const of = (escPins: string[]) => makeBoard({ harness: { controllerPins: order, escPins } });
  expect(harnessOf(makeBuild(), of(order))).toEqual({ board: order, esc: order, meets: [] });
  expect(sheetOf(makeBuild(), of(order)).repin).toBeNull();
  expect(sheetOf(makeBuild(), of(['GND', 'VBAT', 'S1'])).repin!.meets).toHaveLength(2);
  expect(harnessOf(makeBuild(), makeBoard())).toBeNull();
});

describe('the sheet', () => {
  const board = makeBoard({
    pads: [
      { id: 'vbat', label: 'VBAT' },
      { id: 'g', label: 'GND', face: 'bottom' },
    ],
    grounds: ['g'],
  });
  const build = makeBuild({}, [
    makePart('a', { supply: supply(4, 30, 0.1) }),
    makePart('b', { supply: supply(4, 30, 0.1) }),
  ]);
  test('a ground underneath is soldered before the board is mounted', () => {
    const keys = sheetOf(build, board).solder.map((s) => s.key);
    expect(Math.max(...keys.flatMap((k, i) => (k.includes('ground') ? [i] : [])))).toBeLessThan(keys.indexOf('mount'));
  });
  test('no two steps share a key: ticking one ticks no other', () => {
    const sheet = sheetOf(build, board);
    const keys = sheetSteps(sheet).map((s) => s.key);
    expect(new Set(keys).size).toBe(keys.length);
    // Every list of steps that the sheet has is counted: one that is forgotten would never be done.
    const lists = Object.values(sheet).filter(
      (v) => Array.isArray(v) && v.some((x) => typeof x === 'object' && 'does' in x),
    );
    expect(keys).toHaveLength(lists.flat().length);
  });
  test('a joint on a regulator that is bought is named, and drawn on the top', () => {
    const starved = makeBoard({ pads: [{ id: 'vbat', label: 'VBAT' }] });
    const part = makePart('cam', { supply: supply(4.5, 5.5, 0.1) });
    const fixed = makeBuild({ fixes: { plank: [{ kind: 'external regulator', part: 'cam', volts: 5 }] } }, [part]);
    const { hookup } = evaluate(fixed, starved);
    const wires = wireList(fixed, starved, hookup);
    expect(wires.map((w) => w.from)).toEqual(['external 5 V regulator', 'external 5 V regulator, ground']);
    const rows = drawHookup(starved, hookup, wires, { stubs: true }).flatMap((f) => f.boxes.flatMap((b) => b.rows));
    expect(rows.map((r) => r.pad)).toEqual(wires.map((w) => w.from));
  });
  test('a reason stands once for the steps that share it', () => {
    const groups = byReason(sheetOf(build, board).solder);
    groups.slice(1).forEach((g, i) => expect(g.why).not.toBe(groups[i]!.why));
    const text = sheetMarkdown(sheetOf(build, board));
    expect(text.split('Underside before mounting').length).toBe(2);
    for (const title of ['Motor map', 'Set up', 'Solder in this order']) expect(text).toContain(`## ${title}`);
  });
  test('level first, alarms by cells: 4 cells warn at 14 V and land by 13.2 V (3.5 and 3.3 V a cell, common practice, no source)', () => {
    const { setUp } = sheetOf(build, board);
    expect(setUp[0]!.does).toContain('before it is mounted');
    expect(setUp.find((s) => s.key.endsWith('alarms'))!.does).toMatch(/4 cells: warn at 14 V .* by 13\.2 V/);
  });
  test('an overlay is laid out for 13 or 16 rows (common overlay chip, from memory)', () => {
    const video = { cameraIns: ['cam'], out: 'vtx', overlayChip: { value: true, origin: 'manual' as const } };
    const seen = makeBoard({ pads: ['vbat', 'cam', 'vtx'].map((id) => ({ id, label: id })), video });
    const link = (role: string) => ({ kind: 'video', id: 'v', role, overlay: true }) as never;
    const parts = [
      makePart('cam', { links: [link('camera')] }, { kind: 'camera' }),
      makePart('tx', { links: [link('transmitter')] }, { kind: 'video transmitter' }),
    ];
    expect(sheetOf(makeBuild({}, parts), seen).setUp.at(-1)!.does).toMatch(/13 rows of 30 .* 16/);
    expect(sheetOf(build, board).setUp.at(-1)!.key).not.toContain('picture');
  });
});
