import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { makeBoard, makeBuild, makePart, portsAndPads, regulator, says, serial, supply, unknown } from '../tests/make';
import { sentenceOf } from '../words/finding/sentence-of';

/** One test for each way in which a joint used to be forgotten. Worked out by hand; values without a source are common practice, no source. */
const state = (build: Build, board: Board, rung: number) => evaluate(build, board).rungs[rung - 1]!.state;
const codes = (build: Build, board: Board) =>
  evaluate(build, board).rungs.flatMap((r) => r.findings.filter((f) => f.state === 'breaks').map((f) => f.code));
const pads = (...ids: string[]) => ids.map((id) => ({ id, label: id }));
const pack = { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' as const } };
const usb = (dropVolts = 0) => ({ id: 'usb', label: 'USB', pads: [], source: { kind: 'usb' as const, dropVolts } });
const own = (id: string, can: string[], pad = id, timer = 't') => ({ id, label: id, pad, timer, can: can as never });
const wants = (...parts: ReturnType<typeof makePart>[]) => makeBuild({}, parts);
const fed = (id: string, min: number, max: number, amps: number, change = {}) =>
  makePart(id, { supply: supply(min, max, amps) }, change);

describe('a pad has one use, whatever the uses are', () => {
  const board = (more: object) =>
    makeBoard({ pads: pads('vbat', 'x', 'y'), buzzerPad: 'x', ...more } as Parameters<typeof makeBoard>[0]);
  const both = (other: object) =>
    wants(makePart('buzz', { links: [{ kind: 'buzzer', id: 'b' }] }), makePart('other', { links: [other as never] }));
  test.each([
    [
      'a camera input',
      { video: { cameraIns: ['x'], overlayChip: { value: true, origin: 'manual' } } },
      { kind: 'video', id: 'v', role: 'camera' },
    ],
    [
      'camera control',
      { video: { cameraIns: [], overlayChip: unknown, cameraControl: 'x' } },
      { kind: 'camera control', id: 'c' },
    ],
    [
      'an analogue input',
      { analogueInputs: [{ id: 'i', label: 'I', kind: 'air speed', pad: 'x' }] },
      { kind: 'analogue', id: 'a', input: 'air speed' },
    ],
    ['an output', { outputs: [own('x', ['servo'])] }, { kind: 'output', id: 'o', use: 'servo', count: 1 }],
    [
      'a bus',
      { buses: [{ id: 'bus', label: 'I2C', kind: 'i2c', pads: ['x', 'y'] }] },
      { kind: 'i2c', id: 'i', address: 0x30 },
    ],
  ])('a buzzer and %s on one pad', (_, more, link) => {
    expect(state(both(link), board(more), 4)).toBe('breaks');
    expect(state(wants(makePart('other', { links: [link as never] })), board(more), 4)).toBe('holds');
    expect(state(both(link), board({ ...more, buzzerPad: 'y', buses: [] }), 4)).toBe(
      link.kind === 'i2c' ? 'breaks' : 'holds',
    );
  });

  test('a supply pad carries no signal', () => {
    const on = (x: string) =>
      makeBoard({
        pads: pads('vbat', 'x'),
        outputs: [own('x', ['servo'])],
        rails: [{ ...pack, pads: ['vbat', x] }],
      });
    const build = wants(makePart('flap', { links: [{ kind: 'output', id: 'o', use: 'servo', count: 1 }] }));
    expect([state(build, on('x'), 4), state(build, on('vbat'), 4)]).toEqual(['breaks', 'holds']);
  });

  test('a bus on the pads of a port, said or not said to share it', () => {
    const { ports } = portsAndPads(['rt']);
    const on = (sharesPort?: string) =>
      makeBoard({
        pads: pads('vbat', 'r1', 't1'),
        ports: ports!,
        buses: [{ id: 'bus', label: 'I2C', kind: 'i2c', pads: ['r1', 't1'], ...(sharesPort ? { sharesPort } : {}) }],
      });
    const build = wants(
      makePart('gps', { links: [serial('positioning')] }),
      makePart('mag', { links: [{ kind: 'i2c', id: 'i', address: 0x30 }] }),
    );
    expect(state(build, on(), 4)).toBe('breaks');
    expect(state(build, on('port1'), 4)).toBe('breaks');
  });

  test("a pad of a port that a module holds for good is nobody else's; one that can be freed is, at its price", () => {
    const { ports } = portsAndPads(['rt']);
    const on = (release?: object) =>
      makeBoard({
        pads: pads('vbat', 'r1', 't1'),
        ports: [
          { ...ports![0]!, taken: { by: 'the wireless module', ...(release ? { release: release as never } : {}) } },
        ],
        outputs: [own('t1', ['servo'])],
      });
    const build = wants(makePart('flap', { links: [{ kind: 'output', id: 'o', use: 'servo', count: 1 }] }));
    expect(state(build, on(), 4)).toBe('breaks');
    const freed = evaluate(build, on({ what: 'Turn it off', lost: 'no wireless', cents: 150 }));
    expect([freed.stopsAt, freed.hookup.cost.cents, freed.hookup.releases.length]).toEqual([null, 150, 1]);
  });
});

test('a bridge that both pads of a port hang on is not wanted in two positions', () => {
  const flip = { bridge: 'br', plainAt: 'p', invertedAt: 'i' };
  const board = makeBoard({
    processor: { value: 'F4', origin: 'manual' },
    pads: pads('vbat', 'r', 't'),
    ports: [
      {
        id: 'port1',
        label: 'Port 1',
        rx: [{ pad: 'r', switch: flip }],
        tx: [{ pad: 't', switch: { ...flip, plainAt: 'i', invertedAt: 'p' } }],
      },
    ],
    bridges: [
      {
        id: 'br',
        label: 'BR',
        form: 'solder bridge',
        positions: [
          { id: 'p', label: 'P' },
          { id: 'i', label: 'I' },
        ],
        factory: 'p',
      },
    ],
  });
  expect(state(wants(makePart('rc', { links: [serial('two-wire-rc')] })), board, 5)).toBe('breaks');
});

describe('USB', () => {
  const five = (isolated = true, drop = 0) => [
    { ...pack, pads: ['vbat'] },
    { id: 'reg', label: 'Reg', pads: [], source: regulator(5, 3) },
    usb(),
    {
      id: 'five',
      label: '5 V',
      pads: ['v5'],
      source: {
        kind: 'either' as const,
        of: ['reg', 'usb'],
        dropVolts: { usb: drop },
        isolated: { value: isolated, origin: 'manual' as const },
      },
    },
  ];
  const board = (rails: object[]) => makeBoard({ pads: pads('vbat', 'v5'), rails: rails as never });
  test('a rail that only USB feeds is dead in flight', () => {
    const only = board([
      { ...pack, pads: ['vbat'] },
      { ...usb(), pads: ['v5'] },
    ]);
    expect(state(wants(fed('p', 4, 6, 0.1)), only, 6)).toBe('breaks');
    expect(state(wants(fed('p', 4, 6, 0.1, { onUsb: true })), only, 6)).toBe('breaks');
  });
  // USB 2.0, 7.2.2: 4.75 to 5.25 V.
  test("whatever hangs on a rail of USB sees USB's volts, asked or not", () => {
    expect(state(wants(fed('p', 4.5, 5.2, 0.1)), board(five()), 6)).toBe('breaks');
    expect(state(wants(fed('p', 4.5, 5.2, 0.1)), board(five(true, 0.3)), 6)).toBe('holds');
    expect(state(wants(fed('p', 4.5, 5.25, 0.1)), board(five()), 6)).toBe('holds');
  });
  test('asked to live on USB: fails at its low end alone, strained; at 5 V less the diode, broken', () => {
    const asked = (min: number, drop: number) =>
      state(wants(fed('p', min, 5.5, 0.1, { onUsb: true })), board(five(true, drop)), 6);
    expect([asked(4.5, 0), asked(4.5, 0.3), asked(4.5, 0.6)]).toEqual(['holds', 'strained', 'breaks']);
  });
  test("the board's own draw counts: 0.3 A of 0.5 A leave 0.2 A", () => {
    const rails = (ownAmps: object) => five().map((r) => (r.id === 'five' ? { ...r, ownAmps } : r));
    const asked = (amps: number, ownAmps: object) =>
      state(wants(fed('p', 4.5, 5.5, 2 * amps, { onUsb: true })), board(rails(ownAmps)), 7);
    expect([asked(0.2, says(0.3)), asked(0.21, says(0.3))]).toEqual(['holds', 'breaks']);
    // Nobody says what it draws: 0.05 to 0.3 A.
    expect([asked(0.2, unknown), asked(0.21, unknown), asked(0.46, unknown)]).toEqual(['holds', 'unknown', 'breaks']);
  });
});

describe('pins of a plug', () => {
  // SH pins carry 1 A (data sheet of the series, from memory).
  const board = (pins: string[]) =>
    makeBoard({
      pads: [...pads('vbat'), { id: 'v', label: 'V', form: 'pin' }],
      rails: [
        { ...pack, pads: ['vbat'] },
        { id: 'five', label: '5 V', pads: ['v'], source: regulator(5, 6) },
      ],
      plugs: [
        {
          id: 'plug',
          label: 'Plug',
          family: 'SH',
          pins: pins.map((name) => (name === '5V' ? { name, pad: 'v' } : { name })),
        },
      ],
    });
  const two = (amps: number) => wants(fed('a', 4.5, 5.5, amps), fed('b', 4.5, 5.5, amps));
  test('carry the sum of all that hangs on them', () => {
    expect(state(two(0.5), board(['5V', 'GND']), 7)).toBe('strained');
    expect(state(two(0.51), board(['5V', 'GND']), 7)).toBe('breaks');
    expect(codes(two(0.51), board(['5V', 'GND']))).toEqual(['cannot be wired']);
  });
  test('a fed part draws through the pins of its host', () => {
    const gives = [{ id: 'out', label: 'out', volts: says(3.3), amps: says(1) }];
    const host = (amps: number) => [fed('host', 4.5, 5.5, 0.8, { gives }), fed('guest', 3, 3.6, amps)];
    // 3.3 V x 0.2 A through 85 % at 5 V are 0.155 A at the host's pin: 0.955 A; 0.3 A would be 0.233 A.
    expect(state(wants(...host(0.2)), board(['5V', 'GND']), 7)).toBe('strained');
    expect(state(wants(...host(0.3)), board(['5V', 'GND']), 7)).toBe('breaks');
  });
  test('the return goes over the ground pins of all rails of the plug together', () => {
    const rails = (grounds: string[]) =>
      makeBoard({
        pads: [...pads('vbat'), { id: 'v', label: 'V', form: 'pin' }, { id: 'w', label: 'W', form: 'pin' }],
        rails: [
          { ...pack, pads: ['vbat'] },
          { id: 'five', label: '5 V', pads: ['v'], source: regulator(5, 6) },
          { id: 'nine', label: '9 V', pads: ['w'], source: regulator(9, 6) },
        ],
        plugs: [
          {
            id: 'plug',
            label: 'Plug',
            family: 'SH',
            pins: [{ name: '5V', pad: 'v' }, { name: '9V', pad: 'w' }, ...grounds.map((name) => ({ name }))],
          },
        ],
      });
    const build = wants(fed('a', 4.5, 5.5, 0.8), fed('b', 8, 10, 0.8));
    expect(state(build, rails(['GND']), 7)).toBe('breaks');
    expect(state(build, rails(['GND', 'GND']), 7)).not.toBe('breaks');
  });
});

test('what the wire loses does not arrive: a thicker one is taken while that helps', () => {
  const board = makeBoard({
    pads: pads('vbat', 'v'),
    rails: [
      { ...pack, pads: ['vbat'] },
      { id: 'five', label: '5 V', pads: ['v'], source: regulator(5, 6) },
    ],
  });
  const along = (mm: number, min: number) => evaluate(wants(fed('p', min, 5.5, 2.2, { wireMm: mm })), board);
  // 26 AWG is 134 milliohm a metre: 2 x 2.2 A x 0.134 x 0.5 m = 0.29 V, so 4.71 V arrive (ASTM B258, IEC 60028).
  expect(along(500, 4.5).hookup.parts[0]!.supplies[0]).toMatchObject({
    gauge: 26,
    lostVolts: expect.closeTo(0.294, 2),
  });
  expect(along(500, 4.9).hookup.parts[0]!.supplies[0]!.gauge).toBeLessThan(26);
  // 3 m: even 16 AWG loses 2 x 2.2 x 0.0132 x 3 = 0.17 V.
  expect(along(3000, 4.8).rungs[6]!.state).not.toBe('breaks');
  expect(along(3000, 4.99).rungs[6]!.state).toBe('breaks');
});

test('a linear regulator is held to its heat on the way its current takes, and to what is drawn, not claimed', () => {
  const board = (factory: string) =>
    makeBoard({
      pads: pads('vbat', 'v'),
      rails: [
        { ...pack, pads: ['vbat'] },
        { id: 'five', label: '5 V', pads: [], source: regulator(5, 3) },
        {
          id: 'in',
          label: 'In',
          pads: [],
          source: { kind: 'bridge', bridge: 'br', byPosition: { low: 'five', high: 'pack' } },
        },
        {
          id: 'three',
          label: '3.3 V',
          pads: ['v'],
          source: regulator(3.3, 1, { type: 'linear', input: 'in', burnsWatts: says(1.5) }),
        },
      ],
      bridges: [
        {
          id: 'br',
          label: 'BR',
          form: 'jumper',
          positions: [
            { id: 'low', label: 'L' },
            { id: 'high', label: 'H' },
          ],
          factory,
          effort: 3,
        },
      ],
    });
  // From 5 V: 1.7 V x 0.5 A = 0.85 W. From 16.8 V: 13.5 V x 0.5 A = 6.8 W.
  const steady = (factory: string) => evaluate(wants(fed('p', 3, 3.6, 0.6)), board(factory)).hookup;
  expect(steady('low').bridges[0]!.moved).toBe(false);
  expect(steady('high').bridges[0]).toMatchObject({ moved: true, position: 'low' });
  expect(steady('low').rails.find((r) => r.rail === 'three')!.byHeat).toBe(false);
});

describe('outputs', () => {
  const servo = (count: number, id = 'servos') =>
    makePart(id, { links: [{ kind: 'output', id: 'o', use: 'servo', count }] });
  test('motors at 50 Hz share a timer with servos, fast ones do not', () => {
    const board = makeBoard({
      pads: pads('vbat', 'a', 'b'),
      outputs: [own('a', ['motor', 'servo']), own('b', ['motor', 'servo'])],
    });
    const one = (signal?: '50 Hz') =>
      makeBuild(
        {
          motors: {
            count: 1,
            cruiseAmps: 6,
            peakAmps: 30,
            peakSeconds: 5,
            esc: 'separate',
            ...(signal ? { signal } : {}),
          },
        },
        [servo(1)],
      );
    expect([state(one(), board, 4), state(one('50 Hz'), board, 4)]).toEqual(['breaks', 'holds']);
  });
  test('every split over timers is looked at: twelve timers of one output, of which only the last do both', () => {
    const ids = Array.from({ length: 12 }, (_, i) => `o${i}`);
    const board = makeBoard({
      pads: pads('vbat', ...ids),
      outputs: ids.map((id, i) => own(id, i < 4 ? ['servo', 'light'] : ['servo'], id, `t${i}`)),
    });
    const light = (id: string) => makePart(id, { links: [{ kind: 'output', id: 'l', use: 'light', count: 1 }] });
    expect(state(wants(servo(8), light('a'), light('b'), light('c'), light('d')), board, 4)).toBe('holds');
    expect(state(wants(servo(9), light('a'), light('b'), light('c'), light('d')), board, 4)).toBe('breaks');
  });
  test('a pulse train goes onto a pad that takes channels', () => {
    const board = makeBoard({ pads: pads('vbat', 'x'), outputs: [own('x', ['channel in'])] });
    expect(state(wants(makePart('rc', { links: [serial('pulse-train')] })), board, 4)).toBe('holds');
  });
});

describe('separate ESCs', () => {
  const motors = { count: 4, cruiseAmps: 6, peakAmps: 30, peakSeconds: 5, esc: 'separate' as const };
  const ownEsc = (more: object = {}) => ({
    name: 'Own',
    channels: 4,
    continuousAmps: says(50),
    burstAmps: says(60),
    burstSeconds: says(10),
    maxCells: says(4),
    ...more,
  });
  const board = makeBoard({
    pads: pads('vbat', 'a', 'b', 'c', 'd', 'r'),
    outputs: ['a', 'b', 'c', 'd'].map((id) => own(id, ['motor'])),
    ports: [{ id: 'p', label: 'P', rx: [{ pad: 'r' }] }],
    escPlug: { family: 'SH', pins: ['V', 'G', '1', '2', '3', '4'] },
  });
  const on = (esc: object, pack: object = {}, parts: ReturnType<typeof makePart>[] = []) =>
    evaluate(
      makeBuild(
        {
          motors: { ...motors, ownEsc: ownEsc(esc) },
          pack: { cells: 4, chemistry: 'lipo', massG: says(180), cellMilliohm: says(1), ...pack },
        },
        parts,
      ),
      board,
    );
  test('are compared by volts: four cells of 4.35 V are 17.4 V, more than the 16.8 that are sure of four', () => {
    expect(on({}).rungs[2]!.state).not.toBe('breaks');
    expect(on({}, { chemistry: 'high-voltage lipo' }).rungs[2]!.state).toBe('unknown');
    expect(on({ maxVolts: says(17) }, { chemistry: 'high-voltage lipo' }).rungs[2]!.state).toBe('breaks');
    expect(on({ maxVolts: says(17.4) }, { chemistry: 'high-voltage lipo' }).rungs[2]!.state).not.toBe('breaks');
  });
  test('without a name are open at Motors', () =>
    expect(evaluate(makeBuild({ motors }), board).rungs[2]!.state).toBe('unknown'));
  test('one that sends no telemetry drives no line', () => {
    const tell = makePart('tell', { links: [serial('esc-telemetry')] });
    const yes = { value: true, origin: 'manual' as const };
    expect(on({ telemetry: yes }, {}, [tell]).rungs[4]!.state).toBe('holds');
    expect(on({ telemetry: { ...yes, value: false } }, {}, [tell]).rungs[4]!.state).toBe('breaks');
    expect(on({ telemetry: unknown }, {}, [tell]).rungs[4]!.state).toBe('unknown');
  });
  test('plug families are compared', () => {
    const said = (plugFamily: string) => on({ plugFamily, pins: ['V', 'G', '1', '2', '3', '4'] }).rungs[2]!.findings;
    expect(said('GH').find((f) => f.about === 'ESC plug')).toMatchObject({ state: 'strained' });
    expect(said('JST-SH').find((f) => f.about === 'ESC plug')).toBeUndefined();
  });
});

describe('pack', () => {
  const flown = (cruiseAmps: number, peakAmps: number, pack: object) =>
    evaluate(
      makeBuild({
        motors: { count: 4, cruiseAmps, peakAmps, peakSeconds: 5, esc: 'on the board' },
        pack: { cells: 4, chemistry: 'lipo', massG: says(180), cellMilliohm: says(1), ...pack },
      }),
      makeBoard(),
    ).rungs[2]!.findings;
  const of = (findings: ReturnType<typeof flown>, about: string) => findings.find((f) => f.about === about)?.state;
  // XT30 30 A (data sheet, from memory).
  test('its plug carries what the motors cruise at', () => {
    expect(of(flown(7, 20, { connector: 'XT30' }), 'Pack plug')).toBe('holds');
    expect(of(flown(7, 25, { connector: 'XT30' }), 'Pack plug')).toBe('strained');
    expect(of(flown(8, 20, { connector: 'XT30' }), 'Pack plug')).toBe('breaks');
  });
  test('and the pack itself', () => {
    expect(of(flown(7, 10, { mostAmps: says(45) }), 'Pack amps')).toBe('holds');
    expect(of(flown(7, 20, { mostAmps: says(45) }), 'Pack amps')).toBe('strained');
    expect(of(flown(12, 20, { mostAmps: says(45) }), 'Pack amps')).toBe('breaks');
    expect(of(flown(12, 20, { mostAmps: unknown }), 'Pack amps')).toBeUndefined();
  });
  test('odd gauges are between even ones; the table strains, what the sleeve stands breaks', () => {
    const leads = (leadGauge: number, cruise: number) => of(flown(cruise, cruise, { leadGauge }), 'Pack leads');
    // 16 AWG 22 A, 14 AWG 32 A; 15 AWG about 26.5 A.
    expect([leads(15, 6.5), leads(15, 6.8)]).toEqual(['holds', 'strained']);
    // 24 AWG is 84 milliohm a metre: 20 A burn 34 W a metre on 5 mm of sleeve round: far beyond 200 C.
    expect(leads(24, 5)).toBe('breaks');
    expect(leads(18, 5)).toBe('strained');
  });
});

test('ports whose pads stand different volts are not alike, and the sentence names the pad that is used', () => {
  const made = portsAndPads(['rt', 'rt']);
  const board = makeBoard({
    ports: made.ports,
    pads: made.pads!.map((p) =>
      p.id === 'r2' ? { ...p, toleratesVolts: says(5) } : { ...p, toleratesVolts: says(3.6) },
    ),
  });
  const loud = makePart('loud', { links: [{ ...(serial('positioning') as object), sendsVolts: 5 } as never] });
  const { stopsAt, hookup } = evaluate(wants(loud), board);
  expect([stopsAt, hookup.parts[0]!.links[0]!.to]).toEqual([null, ['port2']]);
  const two = evaluate(wants(loud, { ...loud, id: 'loud2' }), board);
  expect(two.stopsAt).toBe(5);
});

describe('unknown decides only where a plausible value would', () => {
  const board = (dropOutVolts: object, amps = 2) =>
    makeBoard({
      pads: pads('vbat', 'v'),
      rails: [
        { ...pack, pads: ['vbat'] },
        {
          id: 'five',
          label: '5 V',
          pads: ['v'],
          source: { ...regulator(5, amps), dropOutVolts: dropOutVolts as never },
        },
      ],
    });
  const cells = (n: number) =>
    makeBuild({ pack: { cells: n, chemistry: 'lipo', massG: says(180), cellMilliohm: says(1) } }, [
      fed('p', 4.5, 5.5, 0.5),
    ]);
  test('a drop-out is at most 3 V: nothing on four cells, open on two', () => {
    expect(state(cells(4), board(unknown), 6)).toBe('holds');
    expect(state(cells(2), board(unknown), 6)).toBe('unknown');
  });
  test('a peak bounds what is drawn for long', () => {
    const steady = (peak: number) =>
      wants(makePart('p', { supply: { ...supply(4.5, 5.5, peak), typicalAmps: unknown } }));
    expect(state(steady(0.5), board(says(0.8)), 7)).toBe('holds');
    expect(state(steady(1.9), board(says(0.8)), 7)).toBe('unknown');
    expect(state(steady(2.1), board(says(0.8)), 7)).toBe('breaks');
  });
});

test('a regulator is not fed more than its input stands: six full cells are 25.2 V', () => {
  const board = (most: number) =>
    makeBoard({
      rails: [
        { ...pack, pads: ['vbat'] },
        {
          id: 'five',
          label: '5 V',
          pads: [],
          source: regulator(5, 1, { inputVolts: { min: says(6), max: says(most) } }),
        },
      ],
    });
  const six = makeBuild({ pack: { cells: 6, chemistry: 'lipo', massG: says(180), cellMilliohm: says(1) } });
  expect([state(six, board(25), 2), state(six, board(26), 2)]).toEqual(['breaks', 'holds']);
});

test('a regulator that steps up holds its rail while the pack is below it', () => {
  const board = makeBoard({
    pads: pads('vbat', 'v'),
    packCells: { min: says(1), max: says(2) },
    rails: [
      { ...pack, pads: ['vbat'] },
      {
        id: 'five',
        label: '5 V',
        pads: ['v'],
        source: { ...regulator(5, 1), type: 'step-up', inputVolts: { min: says(2.8), max: says(5.5) } },
      },
    ],
  });
  const on = (cells: number, min: number, max: number, amps = 0.2) =>
    makeBuild(
      {
        pack: { cells, chemistry: 'lipo', massG: says(20), cellMilliohm: says(1) },
        motors: { count: 4, cruiseAmps: 1, peakAmps: 3, peakSeconds: 5, esc: 'on the board' },
      },
      [fed('p', min, max, amps)],
    );
  expect(state(on(1, 4.5, 5.5), board, 6)).toBe('holds');
  // Two cells are 8.4 V: they pass straight through.
  expect(state(on(2, 4.5, 5.5), board, 6)).toBe('breaks');
});

test('servos go on the servo rail where there is one, and nothing else does', () => {
  const board = (servos: boolean) =>
    makeBoard({
      pads: pads('vbat', 'a', 'b'),
      rails: [
        { ...pack, pads: ['vbat'] },
        { id: 'five', label: '5 V', pads: ['a'], source: regulator(5, 3) },
        { id: 'servo', label: 'Servo', pads: ['b'], servos, source: regulator(5, 3) },
      ],
    });
  const on = (servos: boolean, kind: 'servo' | 'receiver') =>
    evaluate(wants(fed('p', 4.5, 6, 0.5, { kind })), board(servos)).hookup.parts[0]!.supplies[0]!.rail;
  expect([on(true, 'servo'), on(true, 'receiver')]).toEqual(['servo', 'five']);
});

describe('conflicts name what they are about', () => {
  const said = (build: Build, board: Board) =>
    evaluate(build, board)
      .rungs.flatMap((r) => r.findings.filter((f) => f.state === 'breaks').map((f) => sentenceOf(f)))
      .join(' ');
  test('the address, the pad, the timer', () => {
    const i2c = (id: string) => makePart(id, { links: [{ kind: 'i2c', id: 'i', address: 0x1e }] });
    const bus = makeBoard({
      pads: pads('vbat', 's', 'c'),
      buses: [{ id: 'bus', label: 'I2C', kind: 'i2c', pads: ['s', 'c'] }],
    });
    expect(said(wants(i2c('a'), i2c('b')), bus)).toContain('same address, 0x1e');
    const shared = makeBoard({ pads: pads('vbat', 'x'), buzzerPad: 'x', outputs: [own('x', ['light'])] });
    const light = makePart('l', { links: [{ kind: 'output', id: 'o', use: 'light', count: 1 }] });
    const buzz = makePart('buzz', { links: [{ kind: 'buzzer', id: 'b' }] });
    expect(said(wants(buzz, light), shared)).toContain('each wants x, which has one use at a time');
    const timed = makeBoard({
      pads: pads('vbat', 'x', 'y'),
      outputs: [own('x', ['light', 'servo']), own('y', ['light', 'servo'])],
    });
    const servo = makePart('s', { links: [{ kind: 'output', id: 'o', use: 'servo', count: 1 }] });
    expect(said(wants(servo, light), timed)).toContain('timer t, which runs at one rate');
  });
  test('a range is called a range, and a lead about volts stands over reasons about volts', () => {
    const board = makeBoard({
      pads: pads('vbat', 'v'),
      esc: {
        channels: says(4),
        continuousAmps: { low: 25, high: 35, origin: 'report' },
        burstAmps: says(50),
        burstSeconds: says(10),
      },
      rails: [
        { ...pack, pads: ['vbat'] },
        { id: 'five', label: '5 V', pads: ['v'], source: regulator(5, 0.3) },
      ],
    });
    const climb = evaluate(wants(fed('p', 4.5, 5.5, 2)), board);
    expect(climb.rungs[2]!.findings.map((f) => sentenceOf(f)).join()).toContain('20 to 28 A');
    const load = climb.rungs[6]!.findings.filter((f) => f.state === 'breaks')
      .map((f) => sentenceOf(f))
      .join();
    expect(load).not.toContain('inside its range:');
  });
});
