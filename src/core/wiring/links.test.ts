import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import {
  claims,
  makeBoard,
  makeBuild,
  makePart,
  portsAndPads,
  regulator,
  says,
  serial,
  supply,
  unknown,
} from '../tests/make';
import { alternativesOf, bridgeAlternativesOf, priceOfLocks } from './alternatives';
import { sentenceOf } from '../words/finding/sentence-of';

/** Section 4 of the rules, what connects to what. Values without a source named beside them are common practice, no source. */
const state = (build: Build, board: Board, rung: number) => evaluate(build, board).rungs[rung - 1]!;
const F4 = { processor: { value: 'F4' as const, origin: 'manual' as const } };
const output = (id: string, timer: string, can: string[], pad = id) => ({
  id,
  label: id,
  pad,
  timer,
  can: can as never,
});
const pads = (...ids: string[]) => ids.map((id) => ({ id, label: id }));

describe('levels on a serial line (JEDEC JESD8C, values from memory)', () => {
  const board = (tolerates?: number) => {
    const made = portsAndPads(['rt']);
    return makeBoard({
      ports: made.ports,
      pads: made.pads!.map((p) => (p.id === 'r1' && tolerates ? { ...p, toleratesVolts: says(tolerates) } : p)),
    });
  };
  const part = (more: object) =>
    makeBuild({}, [makePart('part', { links: [{ ...(serial('positioning') as object), ...more } as never] })]);
  test.each([
    ['a 5 V signal on a pad that stands 5.5 V', { sendsVolts: 5 }, 5.5, 'holds'],
    ['on one that stands 3.6 V', { sendsVolts: 5 }, 3.6, 'breaks'],
    ['on one of which nobody says', { sendsVolts: 5 }, undefined, 'unknown'],
    ['a part that takes 2.0 V for high', { hearsFromVolts: 2 }, undefined, 'holds'],
    ['a 5 V CMOS input, high from 3.5 V', { hearsFromVolts: 3.5 }, undefined, 'breaks'],
  ] as const)('%s', (_, more, tolerates, expected) =>
    expect(state(part(more), board(tolerates), 5).state).toBe(expected),
  );
  test('high from 3.0 V is just reached: a compromise', () => {
    const climb = evaluate(part({ hearsFromVolts: 3 }), board());
    expect([climb.rungs[3]!.state, climb.hookup.cost.compromises]).toEqual(['strained', 1]);
  });
});

describe('pads that serve two functions', () => {
  const made = portsAndPads(['rt', 'rt']);
  const board = makeBoard({
    ...made,
    pads: [...made.pads!, ...pads('s1')],
    outputs: [output('s1', 'a', ['servo']), output('led', 'b', ['light'], 't2')],
  });
  const light = makePart('light', { links: [{ kind: 'output', id: 'led', use: 'light', count: 1 }] });
  const link = (id: string) => makePart(id, { links: [serial('overlay-link')] });
  test('an output on the talking pad of port 2 leaves port 1 to one link', () => {
    expect(evaluate(makeBuild({}, [light, link('a')]), board).hookup.parts[1]!.links[0]!.to).toEqual(['port1']);
    expect(state(makeBuild({}, [light, link('a'), link('b')]), board, 4).state).toBe('breaks');
    expect(state(makeBuild({}, [link('a'), link('b')]), board, 4).state).toBe('holds');
  });
  test('the hearing side of port 2 still carries what only sends', () => {
    expect(
      state(makeBuild({}, [light, link('a'), makePart('b', { links: [serial('esc-telemetry')] })]), board, 4).state,
    ).toBe('holds');
  });
});

describe('receivers of the older kinds', () => {
  const channels = makePart('old', { links: [{ kind: 'output', id: 'channels', use: 'channel in', count: 4 }] });
  test('one wire a channel lands on as many timer inputs', () => {
    const inputs = (n: number) =>
      makeBoard({
        pads: pads('c1', 'c2', 'c3', 'c4').slice(0, n),
        outputs: ['c1', 'c2', 'c3', 'c4'].slice(0, n).map((id) => output(id, 'a', ['channel in', 'servo'])),
      });
    expect(state(makeBuild({}, [channels]), inputs(4), 4).state).toBe('holds');
    expect(state(makeBuild({}, [channels]), inputs(3), 4).state).toBe('breaks');
  });
  test('inputs and servos cannot run from one timer', () => {
    const servo = makePart('servo', { links: [{ kind: 'output', id: 'pwm', use: 'servo', count: 1 }] });
    const board = (timer: string) =>
      makeBoard({
        pads: pads('c1', 'c2', 'c3', 'c4', 's'),
        outputs: [
          ...['c1', 'c2', 'c3', 'c4'].map((id) => output(id, 'a', ['channel in'])),
          output('s', timer, ['servo']),
        ],
      });
    expect(state(makeBuild({}, [channels, servo]), board('a'), 4).state).toBe('breaks');
    expect(state(makeBuild({}, [channels, servo]), board('b'), 4).state).toBe('holds');
  });
  test('a converter is chosen when the plain way does not go, and costs money, grams and effort', () => {
    const receiver = makePart(
      'rx',
      {},
      {
        modes: [
          { id: 'inverted', label: 'inverted', links: [serial('inverted-rc')], supply: null },
          {
            id: 'pulse',
            label: 'pulse train',
            links: [serial('pulse-train')],
            supply: null,
            cents: 900,
            grams: 1.5,
            effort: 2,
            lost: ['a delay'],
            needs: 'a converter',
          },
        ],
      },
    );
    const board = makeBoard({ ...portsAndPads(['rt']), ...F4, outputs: [output('ppm', 'a', ['soft serial'], 'r1')] });
    const climb = evaluate(makeBuild({}, [receiver]), board);
    expect(climb.hookup.parts[0]!.mode!.id).toBe('pulse');
    expect(climb.hookup.cost).toMatchObject({ cents: 900, deciGrams: 15, effort: 2, compromises: 1 });
  });
});

describe('soft serial: up to 19,200 baud, never what carries the sticks', () => {
  const board = makeBoard({
    pads: pads('s1', 's2'),
    outputs: [output('s1', 'a', ['soft serial']), output('s2', 'a', ['soft serial'])],
  });
  test.each([
    ['transmitter-control-b', 'strained'],
    ['gimbal-control', 'strained'],
    ['ground-link', 'breaks'],
    ['two-wire-rc', 'breaks'],
    ['one-wire-rc-telemetry', 'breaks'],
    ['plain-rc', 'breaks'],
  ])('%s: %s', (protocol, expected) =>
    expect(state(makeBuild({}, [makePart('p', { links: [serial(protocol)] })]), board, 4).state).toBe(expected),
  );
});

describe('over the motor wires', () => {
  const part = (carries: 'revolutions' | 'current') =>
    makeBuild({}, [makePart('p', { links: [{ kind: 'motor line', id: 'line', carries }] })]);
  const line = (value: 'analogue' | 'digital' | 'digital both ways') => ({
    motorLine: { value, origin: 'manual' as const },
  });
  test('revolutions need the wires to talk back; nobody says is unknown', () => {
    expect(state(part('revolutions'), makeBoard(line('digital both ways')), 5).state).toBe('holds');
    expect(state(part('revolutions'), makeBoard(line('digital')), 5).state).toBe('breaks');
    expect(state(part('revolutions'), makeBoard(), 5).state).toBe('unknown');
  });
  // The harness carries the sensor's signal: common practice of the trade, no source.
  test("a stack's own sensor is on the current input already: another one wants an input of its own, or another ESC", () => {
    const input = (id: string) => ({ id, label: id.toUpperCase(), kind: 'current' as const, pad: id });
    const gauge = makePart('gauge', { links: [{ kind: 'analogue', id: 'in', input: 'current' }] });
    const on = (
      inputs: string[],
      change: Parameters<typeof makeBoard>[0] = {},
      esc: 'on the board' | 'separate' = 'on the board',
    ) => {
      const outputs = ['m1', 'm2', 'm3', 'm4'].map((id) => ({
        id,
        label: id,
        pad: id,
        timer: 't',
        can: ['motor' as const],
      }));
      const board = makeBoard({
        outputs,
        pads: ['vbat', 'curr', 'curr2', 'm1', 'm2', 'm3', 'm4'].map((id) => ({ id, label: id })),
        analogueInputs: inputs.map(input),
        currentSensor: { fullScaleAmps: says(160) },
        ...change,
      });
      const { rungs, hookup } = evaluate(
        makeBuild({ motors: { count: 4, cruiseAmps: 6, peakAmps: 30, peakSeconds: 5, esc } }, [gauge]),
        board,
      );
      return {
        state: rungs[3]!.state,
        on: hookup.parts.find((p) => p.id === 'gauge')!.links[0]?.on,
        says: rungs[3]!.findings.map((f) => sentenceOf(f)).join(' '),
      };
    };
    expect(on(['curr']).state).toBe('breaks');
    expect(on(['curr']).says).toContain('the sensor of the ESC on the board is on CURR already');
    expect(on(['curr', 'curr2'])).toMatchObject({ state: 'holds', on: 'CURR2' });
    expect(on(['curr'], {}, 'separate')).toMatchObject({ state: 'holds', on: 'CURR' });
    expect(on(['curr'], { currentSensor: undefined })).toMatchObject({ state: 'holds', on: 'CURR' });
  });

  test('digital current wants its jumper moved; the analogue pad wants it the other way: not both', () => {
    const board = makeBoard({
      ...line('digital'),
      pads: pads('curr'),
      bridges: [
        {
          id: 'j',
          label: 'current jumper',
          form: 'jumper',
          positions: [
            { id: 'a', label: 'analogue' },
            { id: 'd', label: 'digital' },
          ],
          factory: 'a',
        },
      ],
      digitalCurrent: { there: { value: true, origin: 'manual' }, at: { bridge: 'j', position: 'd' } },
      analogueInputs: [{ id: 'curr', label: 'CURR', kind: 'current', pad: 'curr', at: { bridge: 'j', position: 'a' } }],
    });
    const digital = part('current').parts[0]!;
    const analogue = makePart('sensor', { links: [{ kind: 'analogue', id: 'in', input: 'current' }] });
    const climb = evaluate(makeBuild({}, [digital]), board);
    expect(climb.hookup.bridges[0]).toMatchObject({ position: 'd', moved: true });
    expect(evaluate(makeBuild({}, [digital, analogue]), board).stopsAt).toBe(4);
    expect(
      bridgeAlternativesOf(makeBuild({}, [digital]), board)[0]!.alternatives.find((a) => a.to === 'a')!.price!.cost
        .must,
    ).toBe(1);
  });
});

describe('buses', () => {
  const i2c = (address: number) => makePart(`x${address}`, { links: [{ kind: 'i2c', id: 'bus', address }] });
  const bus = (id: string, onBoard: { address: number; what: string }[] = []) => ({
    id,
    label: id,
    kind: 'i2c' as const,
    pads: [],
    onBoard,
  });
  test('two parts of one address want two buses; a chip of the board counts too (NXP UM10204)', () => {
    const two = [i2c(0x0d), { ...i2c(0x0d), id: 'second' }];
    expect(state(makeBuild({}, two), makeBoard({ buses: [bus('one')] }), 4).state).toBe('breaks');
    expect(state(makeBuild({}, two), makeBoard({ buses: [bus('one'), bus('two')] }), 4).state).toBe('holds');
    expect(
      state(
        makeBuild({}, [i2c(0x76)]),
        makeBoard({ buses: [bus('one', [{ address: 0x76, what: 'the barometer' }])] }),
        4,
      ).state,
    ).toBe('breaks');
  });
  test('one CAN bus carries positioning and compass of several parts', () => {
    const can = ['a', 'b', 'c'].map((id) => makePart(id, { links: [{ kind: 'can', id: 'can' }] }));
    expect(
      state(makeBuild({}, can), makeBoard({ buses: [{ id: 'can', label: 'CAN', kind: 'can', pads: [] }] }), 4).state,
    ).toBe('holds');
    expect(state(makeBuild({}, can), makeBoard(), 4).state).toBe('breaks');
  });
  test('a module that can go by serial or by CAN goes by CAN when the ports are short', () => {
    const module = makePart(
      'gps',
      {},
      {
        modes: [
          { id: 'serial', label: 'serial', links: [serial('positioning')], supply: null },
          { id: 'can', label: 'CAN', links: [{ kind: 'can', id: 'can' }], supply: null, effort: 1 },
        ],
      },
    );
    const link = makePart('link', { links: [serial('ground-link')] });
    const climb = evaluate(
      makeBuild({}, [link, module]),
      makeBoard({ ...portsAndPads(['rt']), buses: [{ id: 'can', label: 'CAN', kind: 'can', pads: [] }] }),
    );
    expect(climb.hookup.parts[1]!.mode!.id).toBe('can');
  });
});

describe('a part that feeds another', () => {
  const transmitter = (volts = 5, amps = 0.5) =>
    makePart(
      'tx',
      { supply: supply(7, 26, 0.4, 12, 'constant power') },
      { kind: 'video transmitter', gives: [{ id: 'five', label: '5 V out', volts: says(volts), amps: claims(amps) }] },
    );
  const camera = (min: number, peak = 0.2) => makePart('cam', { supply: supply(min, 5.5, peak) }, { kind: 'camera' });
  const board = makeBoard({ rails: [{ id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } }] });
  const on = (build: Build, b = board) => evaluate(build, b);
  test('a camera on a board without 5 V is fed by the transmitter', () => {
    const climb = on(makeBuild({}, [transmitter(), camera(4.5)]));
    expect(climb.hookup.parts[1]!.supplies[0]!.rail).toBe('part:tx');
    expect(climb.stopsAt).toBeNull();
  });
  test('4.5 V out does not feed a camera that starts at 5 V', () =>
    expect(on(makeBuild({}, [transmitter(4.5), camera(5)])).stopsAt).toBe(6));
  test('more than the output carries is too much', () =>
    expect(on(makeBuild({}, [transmitter(5, 0.3), camera(4.5, 0.35)])).stopsAt).toBe(7));
  test("what the guest draws is carried by the host's rail: 0.4 A at 5 V through 85 % is 0.052 A more at 9 V each 0.1 A", () => {
    const nine = (amps: number) =>
      makeBoard({
        rails: [
          { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
          { id: 'nine', label: '9 V', pads: ['v9'], source: regulator(9, amps) },
        ],
        pads: [...pads('v9', 'vbat')],
      });
    const build = makeBuild({}, [transmitter(5, 1), camera(4.5, 0.4)]);
    // 0.4 A x 12 V / 9 V = 0.534 A for the transmitter and 0.4 x 5 / (0.85 x 9) = 0.262 A for the camera: 0.796 A (worked by hand), and 1 mA for what the wire takes.
    expect(on(build, nine(0.8)).stopsAt).toBeNull();
    expect(on(build, nine(0.79)).stopsAt).toBe(7);
    expect(on(build, nine(1.2)).hookup.rails.find((r) => r.rail === 'nine')!.peakMa).toBe(797);
  });
  test('the camera school decides between two ways that both go', () => {
    const both = makeBoard({
      rails: [
        { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' } },
        { id: 'five', label: '5 V', pads: ['v5'], source: regulator(5, 2) },
      ],
      pads: pads('vbat', 'v5'),
    });
    const fed = (cameraSupply: 'board' | 'transmitter') =>
      on(makeBuild({ policies: { cameraSupply } }, [transmitter(), camera(4.5)]), both).hookup.parts[1]!.supplies[0]!
        .rail;
    expect([fed('board'), fed('transmitter')]).toEqual(['five', 'part:tx']);
  });
  test('no host, no feed: with the transmitter locked out the camera has nothing', () => {
    const build = makeBuild({ locks: { [board.id]: [{ kind: 'leave out', part: 'tx' }] } }, [
      { ...transmitter(), priority: 'should' },
      camera(4.5),
    ]);
    expect(on(build).stopsAt).not.toBeNull();
  });
});

describe('locks and alternatives', () => {
  const build = makeBuild({}, [
    makePart('a', { links: [serial('overlay-link')], supply: supply(4.5, 5.5, 0.2) }),
    makePart('b', { links: [serial('esc-telemetry')] }),
  ]);
  const board = makeBoard({
    ...portsAndPads(['rt', 'r']),
    rails: [
      { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
      { id: 'five', label: '5 V', pads: ['vbat'], source: regulator(5, 2) },
    ],
  });
  test('the price of a lock that drives another part out is that part', () => {
    const locked: Build = {
      ...build,
      locks: { [board.id]: [{ kind: 'link', part: 'b', link: 'serial', to: 'port1' }] },
    };
    expect(priceOfLocks(locked, board)!.cost.must).toBe(1);
    expect(priceOfLocks(build, board)!.cost.must).toBe(0);
  });
  test('a lock binds its own part: another with a link of the same name stays free', () => {
    const locked: Build = {
      ...build,
      locks: { [board.id]: [{ kind: 'link', part: 'b', link: 'serial', to: 'port2' }] },
    };
    expect(priceOfLocks(locked, board)!.cost.must).toBe(0);
  });
  test('each place a link could end on is priced: the one in use costs nothing, one that would drive the part itself out cannot be had', () => {
    const found = alternativesOf(build, board, 'b').find((n) => n.need === 'serial')!.alternatives;
    expect(found.map((a) => [a.to, a.chosen, a.price?.cost.must ?? null])).toEqual([
      ['port1', false, null],
      ['port2', true, 0],
    ]);
    expect(alternativesOf(build, board, 'a').map((n) => n.need)).toEqual(['serial', 'supply']);
  });
  test('a way to wire it can be locked, and its price is that of the converter', () => {
    const two = makePart(
      'rx',
      {},
      {
        modes: [
          { id: 'plain', label: 'plain', links: [serial('plain-rc')], supply: null },
          { id: 'pulse', label: 'pulse', links: [], supply: null, cents: 700 },
        ],
      },
    );
    const found = alternativesOf(makeBuild({}, [two]), board, 'rx').find((n) => n.need === 'mode')!.alternatives;
    expect(found.map((a) => a.price?.cost.cents)).toEqual([0, 700]);
  });
});

test('unknown on a must is never a yes, on any of these links', () => {
  const board = makeBoard({ digitalCurrent: { there: unknown }, motorLine: { value: 'digital', origin: 'manual' } });
  expect(
    state(makeBuild({}, [makePart('p', { links: [{ kind: 'motor line', id: 'l', carries: 'current' }] })]), board, 5)
      .state,
  ).toBe('unknown');
});
