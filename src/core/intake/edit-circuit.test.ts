import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { boardSchema, type Board } from '../records/board';
import { readData } from '../records/file';
import { makeBoard, makeBuild, makePart, regulator, says, serial, supply } from '../tests/make';
import {
  addBridge,
  changeBridge,
  feedRail,
  mayFeed,
  putPlug,
  railSourceOf,
  railSources,
  removeBridge,
  removeRail,
  shareRails,
  takePort,
} from './edit-circuit';
import { addGroup, addSupplyPad, newBoard, ofKind, padGroups, removePad } from '../records/new-board';

const sound = (board: ReturnType<typeof makeBoard>) => boardSchema.parse(board);

describe('rails', () => {
  const board = makeBoard({
    rails: [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
      { id: 'five', label: '5 V', source: regulator(5, 2) },
      { id: 'usb', label: 'USB', source: { kind: 'usb' } },
    ],
  });
  test('a buck becomes linear and keeps its figures', () => {
    const [, five] = sound(feedRail(board, 'five', 'linear regulator')).rails;
    expect([railSourceOf(five!), five!.source]).toEqual([
      'linear regulator',
      { ...board.rails[1]!.source, type: 'linear' },
    ]);
  });
  test('whichever is up wants two others; a bridge wants a bridge: without them nothing changes', () => {
    expect(sound(feedRail(board, 'five', 'whichever is up')).rails[1]!.source).toMatchObject({
      kind: 'either',
      of: ['pack', 'usb'],
    });
    expect(feedRail(makeBoard(), 'pack', 'whichever is up').rails[0]!.source.kind).toBe('pack');
    expect(feedRail(board, 'five', 'bridge').rails[1]!.source.kind).toBe('regulator');
    expect(sound(feedRail(addBridge(board), 'five', 'bridge')).rails[1]!.source).toMatchObject({
      kind: 'bridge',
      byPosition: { a: 'pack', b: 'pack' },
    });
  });
  test('a rail that another leans on stays', () => {
    expect(removeRail(board, 'pack')).toBeNull();
    const shared = { ...board, sharedLimits: [{ rails: ['five', 'pack'], amps: says(3) }] };
    expect(removeRail(shared, 'five')!.sharedLimits).toBeUndefined();
    expect(removeRail(board, 'five')!.rails.map((r) => r.id)).toEqual(['pack', 'usb']);
  });
});

describe('bridges', () => {
  const bridged = makeBoard({
    bridges: [
      {
        id: 'vid',
        label: 'video bridge',
        form: 'solder bridge',
        positions: [
          { id: 'low', label: '5 V' },
          { id: 'raw', label: 'pack' },
        ],
        factory: 'low',
      },
    ],
    pads: [
      { id: 'vbat', label: 'VBAT' },
      { id: 'cam', label: 'CAM' },
      { id: 'r1', label: 'R1' },
    ],
    ports: [
      {
        id: 'one',
        label: 'Port 1',
        rx: [{ pad: 'r1', sense: 'unknown', switch: { bridge: 'vid', plainAt: 'low', invertedAt: 'raw' } }],
      },
    ],
    rails: [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
      { id: 'five', label: '5 V', source: regulator(5, 2) },
      {
        id: 'video',
        label: 'Video',
        pads: ['cam'],
        source: { kind: 'bridge', bridge: 'vid', byPosition: { low: 'five', raw: 'pack' } },
      },
      { id: 'three', label: '3.3 V', source: regulator(3.3, 1, { input: 'video' }) },
    ],
  });
  test('taken away, everything stays as delivered: its pad on 5 V, what it fed fed from 5 V, the line plain', () => {
    const after = sound(removeBridge(bridged, 'vid'));
    expect(after.bridges).toEqual([]);
    expect(after.rails.map((r) => [r.id, r.pads])).toEqual([
      ['pack', ['vbat']],
      ['five', ['cam']],
      ['three', []],
    ]);
    expect(after.rails[2]!.source).toMatchObject({ input: 'five' });
    expect(after.ports[0]!.rx[0]).toEqual({ pad: 'r1', sense: 'plain' });
  });
  test('delivered in the other position, its pad is on the pack', () => {
    const after = removeBridge(changeBridge(bridged, 'vid', { factory: 'raw' }), 'vid');
    expect(after.rails[0]!.pads).toEqual(['vbat', 'cam']);
    expect(after.ports[0]!.rx[0]!.sense).toBe('inverted');
  });
});

test('a plug is typed as its pins in order; those that are named like a pad are joined to it', () => {
  const board = makeBoard({
    pads: [
      { id: 'vbat', label: 'VBAT' },
      { id: 'm1', label: 'M1' },
    ],
  });
  const one = sound(putPlug(board, null, 'ESC plug', 'JST-SH 8', ['GND', 'vbat', 'M1']));
  expect(one.plugs).toEqual([
    {
      id: 'plug1',
      label: 'ESC plug',
      family: 'JST-SH 8',
      pins: [{ name: 'GND' }, { name: 'vbat', pad: 'vbat' }, { name: 'M1', pad: 'm1' }],
    },
  ]);
  expect(putPlug(one, 'plug1', 'ESC plug', 'JST-SH 8', []).plugs).toEqual([]);
});

test('a port that is said to be taken, with its release, changes what fits', () => {
  const build = makeBuild({}, [makePart('rx', { links: [serial('two-wire-rc')], supply: supply(3, 20, 0.1) })]);
  const board = makeBoard({
    ports: [{ id: 'one', label: 'Port 1', rx: [{ pad: 'r' }], tx: [{ pad: 't' }] }],
    pads: [
      { id: 'vbat', label: 'VBAT' },
      { id: 'r', label: 'R1' },
      { id: 't', label: 'T1' },
    ],
  });
  const stops = (b: typeof board) => evaluate(build, b).stopsAt;
  const taken = sound(takePort(board, 'one', { by: 'a wireless module' }));
  const released = sound(
    takePort(board, 'one', {
      by: 'a wireless module',
      release: { what: 'Turn it off', lost: 'no set-up over the air', cents: 0, grams: 0, effort: 1 },
    }),
  );
  expect([stops(board), stops(taken), stops(released), stops(takePort(taken, 'one', null))]).toEqual([
    null,
    4,
    null,
    null,
  ]);
});

describe('supplies of a board that is drawn by hand', () => {
  const blank = newBoard('b', 'B', 'Testwright');
  test('"5 V, also on USB" brings what it needs, once: a regulator, USB, and whichever of them is up', () => {
    const one = sound(addGroup(blank, '5 V, also on USB', 'left'));
    expect(one.rails.map(railSourceOf)).toEqual(['pack', 'buck regulator', 'usb', 'whichever is up']);
    expect(sound(addGroup(one, '5 V, also on USB', 'left')).rails.map(railSourceOf)).toEqual([
      'pack',
      'buck regulator',
      'usb',
      'whichever is up',
      'whichever is up',
    ]);
    const alive = makeBuild({}, [makePart('p', { supply: supply(4.5, 5.5, 0.1) }, { onUsb: true })]);
    const rung6 = (b: typeof blank) =>
      evaluate(alive, { ...makeBoard(), rails: b.rails, pads: b.pads }).rungs[5]!.state;
    expect([rung6(one), rung6(addGroup(blank, '5 V regulator', 'left'))]).toEqual(['strained', 'breaks']);
  });
  test("a pack pad is one of the pack's rail; any rail can have one more", () => {
    const board = sound(addSupplyPad(addGroup(blank, 'pack supply', 'rear'), 'pack', 'BAT', 'rear'));
    expect(board.rails).toEqual([{ id: 'pack', label: 'Pack', pads: ['bat', 'bat-1'], source: { kind: 'pack' } }]);
    expect(board.pads.map((p) => [p.label, p.edge])).toEqual([
      ['BAT', 'rear'],
      ['BAT', 'rear'],
    ]);
  });
  test('a rail is never offered what it feeds itself', () => {
    const board = addGroup(blank, '5 V, also on USB', 'left');
    expect(mayFeed(board, 'pack').map((r) => r.label)).toEqual(['USB']);
    expect(mayFeed(board, board.rails.at(-1)!.id).map((r) => r.label)).toEqual(['Pack', '5 V', 'USB']);
    expect(feedRail(board, 'pack', 'whichever is up')).toEqual(board);
  });
  test('another kind brings an ESC of which nothing is known, and keeps one that is', () => {
    expect(ofKind(blank, 'stack').esc).toMatchObject({ channels: { unknown: true } });
    expect(ofKind(makeBoard(), 'all-in-one').esc).toEqual(makeBoard().esc);
    expect(ofKind(blank, 'power board').esc).toBeUndefined();
  });
});

describe('any order of edits', () => {
  const build = makeBuild({}, [makePart('rx', { links: [serial('two-wire-rc')], supply: supply(3, 20, 0.1) })]);
  const some = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];
  type Edit = (board: Board, n: number) => Board;
  const edits: Record<string, Edit> = {
    'add a group': (b, n) =>
      addGroup(
        b,
        some(padGroups, n)!,
        some(['front', 'right', 'rear', 'left', 'inner'] as const, n)!,
        n % 2 ? 'bottom' : 'top',
      ),
    'add a supply pad': (b, n) => addSupplyPad(b, some(b.rails, n)!.id, `V${n}`),
    'remove a pad': (b, n) => (b.pads.length > 0 ? removePad(b, some(b.pads, n)!.id) : b),
    'add a bridge': (b) => addBridge(b),
    'turn a bridge': (b, n) =>
      b.bridges.length > 0
        ? changeBridge(b, some(b.bridges, n)!.id, { factory: some(some(b.bridges, n)!.positions, n)!.id })
        : b,
    'remove a bridge': (b, n) => (b.bridges.length > 0 ? removeBridge(b, some(b.bridges, n)!.id) : b),
    'feed a rail': (b, n) => feedRail(b, some(b.rails, n)!.id, some(railSources, n >> 2)!),
    'remove a rail': (b, n) => (b.rails.length > 1 ? (removeRail(b, some(b.rails, n)!.id) ?? b) : b),
    'share a limit': (b, n) =>
      shareRails(
        b,
        n % 3 && b.sharedLimits ? n % b.sharedLimits.length : null,
        b.rails.slice(0, n % 4).map((r) => r.id),
      ),
    'put a plug': (b, n) =>
      putPlug(
        b,
        some(b.plugs, n)?.id ?? null,
        'plug',
        'SH',
        b.pads.slice(0, n % 5).map((p) => p.label),
      ),
    'take a port': (b, n) =>
      b.ports.length > 0 ? takePort(b, some(b.ports, n)!.id, n % 3 ? { by: 'a module' } : null) : b,
  };
  test('leaves a board that can be stored, read back and judged', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...Object.keys(edits)), fc.nat(60)), { maxLength: 25 }),
        (steps) => {
          let board = newBoard('edited', 'Edited', 'Testwright');
          for (const [edit, n] of steps) {
            board = edits[edit]!(board, n);
            const read = readData(JSON.parse(JSON.stringify(board)), 'rung-board');
            expect(read.ok ? [] : read.faults, edit).toEqual([]);
          }
          expect(evaluate(build, board).rungs).toHaveLength(10);
        },
      ),
      { numRuns: 300, seed: 9 },
    );
  });
});
