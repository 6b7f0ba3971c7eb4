import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { readData } from '../records/file';
import type { Link } from '../records/peripheral';
import { padsInPlenty } from '../decide/pads-in-plenty';
import { questionsFor } from '../decide/questions';
import { rankClimbs } from '../decide/rank-shelf';
import { makeBoard, makeBuild, makePart, portsAndPads, regulator, says, serial, supply, unknown } from '../tests/make';

/** What is not said is neither yes nor no (the rules, section 2), also of pads: worked out by hand for each kind of link. */
const yes = { value: true, origin: 'manual' as const };
const no = { value: false, origin: 'manual' as const };
const all = { allPads: yes };
const some = { allPads: unknown };
const links: [string, Link][] = [
  ['serial', serial('positioning')],
  ['I2C', { kind: 'i2c', id: 'l', address: 30 }],
  ['CAN', { kind: 'can', id: 'l' }],
  ['servo', { kind: 'output', id: 'l', use: 'servo', count: 2 }],
  ['light', { kind: 'output', id: 'l', use: 'light', count: 1 }],
  ['current', { kind: 'analogue', id: 'l', input: 'current' }],
  ['camera', { kind: 'video', id: 'l', role: 'camera', overlay: false }],
  ['picture out', { kind: 'video', id: 'l', role: 'transmitter', overlay: true }],
  ['camera control', { kind: 'camera control', id: 'l' }],
  ['buzzer', { kind: 'buzzer', id: 'l' }],
] as [string, Link][];
const build = (link: Link) => makeBuild({}, [makePart('p', { links: [link] })]);
const bare = { claimedPorts: unknown, outputs: [], pads: [{ id: 'vbat', label: 'VBAT' }] };

describe('a board of which not all pads are drawn', () => {
  test.each(links)('%s: what is not drawn is unknown; once all is drawn, it is not there', (_, link) => {
    expect(evaluate(build(link), makeBoard({ ...bare, ...some })).verdict).toBe('cannot say yet');
    expect(evaluate(build(link), makeBoard({ ...bare, allPads: no })).verdict).toBe('cannot say yet');
    expect(evaluate(build(link), makeBoard({ ...bare, ...all }))).toMatchObject({
      verdict: 'does not fit',
      stopsAt: 4,
    });
  });
  test.each(links)('%s: with pads in plenty it is carried, and the board can be stored', (_, link) => {
    const board = padsInPlenty(makeBoard({ ...bare, ...some, video: { cameraIns: [], overlayChip: yes } }));
    expect(readData(board, 'rung-board').ok).toBe(true);
    expect(evaluate(build(link), board).verdict).toBe('fits');
  });
  test('what is drawn and goes is taken, and then nothing is unknown', () => {
    const climb = evaluate(build(serial('positioning')), makeBoard({ ...portsAndPads(['rt']), ...some }));
    expect([climb.verdict, climb.hookup.parts[0]!.links[0]!.on]).toEqual(['fits', 'Port 1']);
  });
  test('a count of ports that are all drawn is full when it is full', () => {
    const two = makeBuild({}, [
      makePart('a', { links: [serial('positioning')] }),
      makePart('b', { links: [serial('ground-link')] }),
    ]);
    expect(evaluate(two, makeBoard({ ...portsAndPads(['rt']), claimedPorts: says(1), ...some })).stopsAt).toBe(4);
    expect(evaluate(two, makeBoard({ ...portsAndPads(['rt']), claimedPorts: says(2), ...some })).verdict).toBe(
      'cannot say yet',
    );
  });
  test('a port that is drawn may have one more pad, for inverted signals; but not two links at once', () => {
    const at = (allPads: object, ...parts: ReturnType<typeof makePart>[]) =>
      evaluate(
        makeBuild({}, parts),
        makeBoard({
          processor: { value: 'F4', origin: 'manual' },
          ...portsAndPads(['rt']),
          claimedPorts: says(1),
          allPads: allPads as never,
        }),
      );
    const inverted = makePart('rc', { links: [serial('inverted-rc')] });
    expect(at(unknown, inverted).verdict).toBe('cannot say yet');
    expect(at(yes, inverted).stopsAt).toBe(5);
    expect(at(unknown, inverted, makePart('gps', { links: [serial('positioning')] })).stopsAt).toBe(4);
  });
  test('a known no stays no: no overlay chip. A rail that is not drawn may be there all the same', () => {
    expect(
      evaluate(build(links[7]![1]), makeBoard({ ...bare, ...some, video: { cameraIns: [], overlayChip: no } })).stopsAt,
    ).toBe(4);
    const fed = makeBuild({}, [makePart('p', { supply: supply(4.5, 5.5, 0.1) })]);
    const rails = (volts: number) => [
      { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' as const } },
      { id: 'reg', label: 'Regulator', pads: [], source: regulator(volts, 2) },
    ];
    for (const volts of [5, 9]) {
      expect(evaluate(fed, makeBoard({ ...some, rails: rails(volts) })).rungs[5]!.state).toBe('unknown');
      expect(evaluate(fed, makeBoard({ ...all, rails: rails(volts) })).stopsAt).toBe(6);
      expect(evaluate(fed, padsInPlenty(makeBoard({ ...some, rails: rails(volts) }))).rungs[5]!.state).toBe('holds');
    }
  });
  test('a rail of 5 V may be alive on USB until somebody says where USB comes in', () => {
    const onUsb = makeBuild({}, [makePart('p', { supply: supply(4.5, 10, 0.1) }, { onUsb: true })]);
    const rails = (volts: number) => [
      { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } },
      { id: 'reg', label: 'Regulator', pads: ['vbat'], source: regulator(volts, 2) },
    ];
    const usb = { id: 'usb', label: 'USB', pads: [], source: { kind: 'usb' as const } };
    expect(evaluate(onUsb, makeBoard({ ...some, rails: rails(5) })).rungs[5]!.state).toBe('unknown');
    expect(evaluate(onUsb, makeBoard({ ...all, rails: [...rails(5), usb] })).stopsAt).toBe(6);
    expect(evaluate(onUsb, padsInPlenty(makeBoard({ ...some, rails: rails(5) }))).rungs[5]!.state).toBe('holds');
  });
  test('too few motor outputs for separate ESCs are not yet too few', () => {
    const separate = makeBuild({ motors: { count: 4, cruiseAmps: 6, peakAmps: 30, peakSeconds: 5, esc: 'separate' } });
    const controller = (allPads: object) =>
      evaluate(
        separate,
        makeBoard({ kind: 'flight controller', esc: undefined, outputs: [], allPads: allPads as never }),
      ).rungs[2]!.state;
    expect([controller(unknown), controller(yes)]).toEqual(['unknown', 'breaks']);
  });
  test('and the seller is asked for the pads where they decide, and only there', () => {
    const asked = (link: Link, more: object) => {
      const board = makeBoard({ ...bare, ...some, ...more });
      return questionsFor(build(link), [board], rankClimbs([evaluate(build(link), board)])).map((q) => q.field);
    };
    for (const allPads of [unknown, no]) expect(asked(links[1]![1], { allPads })).toContain('allPads');
    expect(asked(serial('positioning'), portsAndPads(['rt']))).toEqual([]);
  });
});
