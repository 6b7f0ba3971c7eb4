import { describe, expect, test } from 'vitest';
import {
  claims,
  holes,
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
import { evaluate, type Climb } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { sentenceOf } from '../words/finding/sentence-of';

const rung = (climb: Climb, n: number) => climb.rungs[n - 1]!;
const states = (build: Build, board: Board, n: number) => rung(evaluate(build, board), n).state;

describe('1 Frame', () => {
  const frame = (alongMm: number, screw: 'M2' | 'M3') =>
    makeBuild({
      frame: {
        name: 'F',
        mounts: [{ alongMm, screw }],
        bayLengthMm: 44,
        bayWidthMm: 38,
        bayHeightMm: 12,
        openSides: ['left'],
      },
    });
  const drilled = (mm: number, screw: 'M2' | 'M3', soft = true) =>
    makeBoard({ mounting: holes(says(mm), screw, { value: soft, origin: 'print' }) });
  // Patterns and what mates: common practice, no source. Clearance: an M2 screw passes an M3 hole (ISO 273: 3.2 mm), not the other way.
  test.each([
    [30.5, 'M3', 30.5, 'M3', 'holds'],
    [20, 'M3', 20, 'M3', 'holds'],
    [25.5, 'M2', 25, 'M2', 'strained'],
    [25.5, 'M2', 20, 'M2', 'breaks'],
    [20, 'M3', 20, 'M2', 'breaks'],
    [20, 'M2', 20, 'M3', 'strained'],
  ] as const)('a frame of %d mm %s and a board of %d mm %s: %s', (a, b, c, d, state) => {
    expect(states(frame(a, b), drilled(c, d), 1)).toBe(state);
  });
  test('25 on 25.5 needs the soft isolators', () =>
    expect(states(frame(25.5, 'M2'), drilled(25, 'M2', false), 1)).toBe('breaks'));
  test('outline: turned by 90 degrees is a compromise, too large a break, tight is strained', () => {
    const bay = (l: number, w: number) =>
      makeBuild({
        frame: {
          name: 'F',
          mounts: [{ alongMm: 30.5, screw: 'M3' }],
          bayLengthMm: l,
          bayWidthMm: w,
          bayHeightMm: 20,
          openSides: ['left'],
        },
      });
    const long = makeBoard({ lengthMm: says(50), widthMm: says(34) });
    expect(states(bay(52, 36), long, 1)).toBe('holds');
    expect(states(bay(36, 52), long, 1)).toBe('strained');
    expect(states(bay(50.5, 36), long, 1)).toBe('strained');
    expect(states(bay(49, 40), long, 1)).toBe('breaks');
  });
  test('unknown height is unknown, not yes', () =>
    expect(states(makeBuild(), makeBoard({ heightMm: unknown }), 1)).toBe('unknown'));
  test('a USB plug behind a closed side strains', () =>
    expect(states(makeBuild(), makeBoard({ usb: { plug: 'C', side: 'rear' } }), 1)).toBe('strained'));
});

describe('2 Pack', () => {
  const pack = (cells: number, chemistry: 'lipo' | 'high-voltage lipo' = 'lipo') =>
    makeBuild({ pack: { cells, chemistry, massG: says(100) } });
  const board = (min: number, max: number, volts?: number) =>
    makeBoard({ packCells: { min: says(min), max: says(max) }, ...(volts ? { packMaxVolts: says(volts) } : {}) });
  // Full cell 4.20 V, high-voltage 4.35 V: common practice, no source.
  test.each([
    [4, 'lipo', 2, 4, 'holds'],
    [6, 'lipo', 3, 4, 'breaks'],
    [2, 'lipo', 3, 6, 'breaks'],
    // Of which cells it stands four, nobody says.
    [4, 'high-voltage lipo', 2, 4, 'unknown'],
    [4, 'high-voltage lipo', 2, 3, 'breaks'],
  ] as const)('%i cells %s on a board for %i to %i: %s', (cells, chemistry, min, max, state) => {
    expect(states(pack(cells, chemistry), board(min, max), 2)).toBe(state);
  });
  test('a stated limit in volts decides, and 17.0 V over 16.8 V is tight', () => {
    expect(states(pack(4), board(2, 4, 17), 2)).toBe('strained');
    expect(states(pack(4), board(2, 4, 18), 2)).toBe('holds');
    expect(states(pack(4), board(2, 6, 16.5), 2)).toBe('breaks');
  });
  test('unknown cells are unknown', () =>
    expect(states(pack(4), makeBoard({ packCells: { min: unknown, max: says(6) } }), 2)).toBe('unknown'));
});

describe('3 Motors', () => {
  const motors = (peakAmps: number, peakSeconds: number, cruiseAmps = 6) =>
    makeBuild({ motors: { count: 4, cruiseAmps, peakAmps, peakSeconds, esc: 'on the board' } });
  const esc = (continuous: number, burst: number, seconds: number, channels = 4) =>
    makeBoard({
      esc: {
        channels: says(channels),
        continuousAmps: claims(continuous),
        burstAmps: claims(burst),
        burstSeconds: claims(seconds),
      },
    });
  // Common practice, no source: a four-in-one rated 35 A may carry 45 A for 5 s; corner pads for 25 A and 30 A for seconds are at their limit with 30 A.
  test.each([
    [40, 5, 35, 45, 5, 'holds'],
    [45, 5, 35, 45, 5, 'strained'],
    [45, 8, 35, 45, 5, 'breaks'],
    [30, 5, 25, 30, 10, 'strained'],
    [50, 2, 35, 45, 5, 'breaks'],
  ] as const)('%i A for %i s on %i A, %i A for %i s: %s', (amps, seconds, cont, burst, burstSeconds, state) => {
    expect(states(motors(amps, seconds), esc(cont, burst, burstSeconds), 3)).toBe(state);
  });
  test('policy "burst ignored" asks the continuous rating', () => {
    const build = makeBuild({
      motors: { count: 4, cruiseAmps: 6, peakAmps: 40, peakSeconds: 5, esc: 'on the board' },
      policies: { burst: 'ignored' },
    });
    expect(states(build, esc(35, 45, 5), 3)).toBe('breaks');
  });
  test('cruise is held against the derated claim: 30 A x 80 % = 24 A', () => {
    expect(states(motors(20, 5, 24.5), esc(30, 60, 10), 3)).toBe('breaks');
    expect(states(motors(20, 5, 21), esc(30, 60, 10), 3)).toBe('holds');
  });
  test('three channels do not fly four motors; a board without ESC breaks; unknown seconds are unknown', () => {
    expect(states(motors(30, 5), esc(40, 50, 10, 3), 3)).toBe('breaks');
    expect(states(motors(30, 5), makeBoard({ esc: undefined }), 3)).toBe('breaks');
    expect(
      states(
        motors(45, 5),
        makeBoard({ esc: { channels: says(4), continuousAmps: says(40), burstAmps: says(60), burstSeconds: unknown } }),
        3,
      ),
    ).toBe('unknown');
  });
});

describe('4 Ports and 5 Signals', () => {
  const on = (sides: string[], processor: 'F4' | 'F7', protocols: string[]) => {
    const board = makeBoard({
      ...portsAndPads(sides),
      processor: { value: processor, origin: 'manual' },
      claimedPorts: says(sides.length),
    });
    const climb = evaluate(
      makeBuild(
        {},
        protocols.map((p, i) => makePart(`part${i}`, { links: [serial(p)] })),
      ),
      board,
    );
    return [rung(climb, 4).state, rung(climb, 5).state];
  };
  test('one link a port: five parts on four ports stop at Ports', () => {
    expect(on(['rt', 'rt', 'rt', 'rt'], 'F7', Array<string>(5).fill('ground-link'))[0]).toBe('breaks');
    expect(on(['rt', 'rt', 'rt', 'rt'], 'F7', Array<string>(4).fill('ground-link'))).toEqual(['holds', 'holds']);
  });
  test('a port that only talks hears nothing; one that only hears carries ESC telemetry', () => {
    expect(on(['t'], 'F7', ['two-wire-rc'])[0]).toBe('breaks');
    expect(on(['t'], 'F7', ['transmitter-control-a'])[0]).toBe('holds');
    expect(on(['r'], 'F7', ['esc-telemetry'])[0]).toBe('holds');
    expect(on(['r'], 'F7', ['overlay-link'])[0]).toBe('breaks');
  });
  test('a positioning module that is only heard is a compromise', () =>
    expect(on(['r'], 'F7', ['positioning'])[0]).toBe('strained'));
  // RXINV/TXINV: RM0090 (F4) has none, RM0385 (F7) has; from memory.
  test('inverted RC: F7 turns it round, F4 needs the inverter on the pad', () => {
    expect(on(['rt'], 'F7', ['inverted-rc'])).toEqual(['holds', 'holds']);
    expect(on(['rt'], 'F4', ['inverted-rc'])).toEqual(['holds', 'breaks']);
    expect(on(['it'], 'F4', ['inverted-rc'])).toEqual(['holds', 'holds']);
    expect(on(['it'], 'F4', ['plain-rc'])).toEqual(['holds', 'breaks']);
  });
  test('control and telemetry on one inverted wire: any talking pad on F7, a two-way inverter on F4', () => {
    expect(on(['rt'], 'F7', ['one-wire-rc-telemetry'])).toEqual(['holds', 'holds']);
    expect(on(['rt'], 'F4', ['one-wire-rc-telemetry'])).toEqual(['holds', 'breaks']);
    expect(on(['rw'], 'F4', ['one-wire-rc-telemetry'])).toEqual(['holds', 'holds']);
  });
  test('an inverted and a plain line fight over the one port that suits both', () => {
    expect(on(['it', 't'], 'F4', ['inverted-rc', 'plain-rc'])).toEqual(['breaks', 'breaks']);
    expect(on(['it', 'rt'], 'F4', ['inverted-rc', 'plain-rc'])).toEqual(['holds', 'holds']);
    expect(on(['it', 'it'], 'F4', ['inverted-rc', 'plain-rc'])).toEqual(['holds', 'breaks']);
  });
  test('an unknown processor leaves the sense unknown, and says so', () => {
    const board = makeBoard({ ...portsAndPads(['rt']), processor: unknown });
    const climb = evaluate(makeBuild({}, [makePart('rx', { links: [serial('inverted-rc')] })]), board);
    expect([rung(climb, 4).state, rung(climb, 5).state, climb.verdict]).toEqual(['holds', 'unknown', 'cannot say yet']);
  });
  test('a taken port counts once its release is paid for; taken for good never', () => {
    const { ports, pads } = portsAndPads(['rt']);
    const taken = (release?: object) =>
      makeBoard({
        pads,
        ports: [
          { ...ports![0]!, taken: { by: 'the wireless module', ...(release ? { release: release as never } : {}) } },
        ],
      });
    const build = makeBuild({}, [makePart('link', { links: [serial('ground-link')] })]);
    expect(states(build, taken(), 4)).toBe('breaks');
    const climb = evaluate(build, taken({ what: 'Turn it off', lost: 'no set-up over the air', effort: 1 }));
    expect(rung(climb, 4).state).toBe('strained');
    expect(climb.hookup.releases).toEqual([{ port: 'Port 1', what: 'Turn it off', lost: 'no set-up over the air' }]);
  });
  test('ESC telemetry and a recorder share the two sides of one port; two talkers do not', () => {
    expect(on(['rt'], 'F7', ['esc-telemetry', 'recorder'])[0]).toBe('holds');
    expect(on(['rt'], 'F7', ['recorder', 'recorder'])[0]).toBe('breaks');
    expect(on(['rt'], 'F7', ['esc-telemetry', 'recorder', 'recorder'])[0]).toBe('breaks');
    expect(on(['r'], 'F7', ['esc-telemetry', 'recorder'])[0]).toBe('breaks');
    expect(on(['rt'], 'F7', ['positioning', 'ground-link'])[0]).toBe('breaks');
    const board = makeBoard({ ...portsAndPads(['rt', 'rt']), claimedPorts: says(2) });
    const { hookup } = evaluate(
      makeBuild({}, [
        makePart('tlm', { links: [serial('esc-telemetry')] }),
        makePart('log', { links: [serial('recorder')] }),
      ]),
      board,
    );
    expect(hookup.ports.map((p) => p.usedBy)).toEqual([['tlm', 'log'], []]);
    expect(hookup.parts.map((p) => p.links[0]!.pads[0]!.pad)).toEqual(['r1', 't1']);
  });
  test('two compasses of one address need two buses (NXP UM10204)', () => {
    const i2c = { kind: 'i2c', id: 'compass', address: 0x1e } as never;
    const build = makeBuild({}, [makePart('a', { links: [i2c] }), makePart('b', { links: [i2c] })]);
    const bus = (id: string) => ({ id, label: id, kind: 'i2c' as const });
    expect(states(build, makeBoard({ buses: [bus('one')] }), 4)).toBe('breaks');
    expect(states(build, makeBoard({ buses: [bus('one'), bus('two')] }), 4)).toBe('holds');
  });
  test('the claim is set against what is free', () => {
    const { ports, pads } = portsAndPads(['rt', 'rt']);
    const board = makeBoard({
      pads,
      ports: ports!.map((p, i) => (i === 1 ? { ...p, taken: { by: 'the built-in receiver' } } : p)),
      claimedPorts: says(2),
    });
    const climb = evaluate(
      makeBuild({}, [
        makePart('a', { links: [serial('ground-link')] }),
        makePart('b', { links: [serial('positioning')] }),
      ]),
      board,
    );
    expect(sentenceOf(rung(climb, 4).findings[0]!)).toBe(
      'A and b need 2 serial ports between them; 1 is there. The board claims 2 ports; 1 is free (Port 2: the built-in receiver).',
    );
  });
});

describe('6 Rails', () => {
  const pads = ['vbat', 'p5', 'a', 'b'].map((id) => ({ id, label: id }));
  const rails = [
    { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } },
    { id: 'usb', label: 'USB', source: { kind: 'usb' as const, dropVolts: 0.5 } },
    { id: 'reg', label: '5 V regulator', source: regulator(5, 2) },
    { id: '5v', label: '5 V', pads: ['p5'], source: { kind: 'either' as const, of: ['usb', 'reg'] } },
  ];
  const fits = (min: number, max: number, onUsb = false) =>
    evaluate(
      makeBuild({}, [makePart('part', { supply: supply(min, max, 0.2) }, { onUsb })]),
      makeBoard({ pads, rails }),
    );
  // Common practice, no source: behind a raw-pack pad 4 cells need more than 16.8 V; 5 V out at 4.5 V does not run a camera that starts at 5 V.
  test('a part that stands 16 V is not put on four full cells', () => {
    expect(rung(fits(7, 16), 6).state).toBe('breaks');
    expect(rung(fits(7, 16.8), 6).state).toBe('strained');
    expect(rung(fits(7, 18), 6).state).toBe('holds');
  });
  test('a camera that starts at 5 V runs from the pack, not from 4.5 V on the desk', () => {
    expect(rung(fits(5, 5.5), 6).state).toBe('holds');
    expect(rung(fits(5, 5.5, true), 6).state).toBe('breaks');
    // USB may be at 4.75 V, 4.25 V behind this diode (USB 2.0, 7.2.2): it goes at 5 V, and a reading tells.
    expect(rung(fits(4.5, 5.5, true), 6).state).toBe('strained');
    expect(rung(fits(4.25, 5.5, true), 6).state).toBe('holds');
  });
  test('one bridge, many pads: 5 V and pack cannot both be behind it', () => {
    const bridged = makeBoard({
      pads,
      rails: [
        { ...rails[0]!, pads: [] },
        rails[1]!,
        rails[2]!,
        { ...rails[3]!, pads: [] },
        {
          id: 'vid',
          label: 'Video',
          pads: ['a', 'b'],
          source: { kind: 'bridge', bridge: 'br', byPosition: { low: '5v', high: 'pack' } },
        },
      ],
      bridges: [
        {
          id: 'br',
          label: 'the video bridge',
          form: 'solder bridge',
          positions: [
            { id: 'low', label: '5 V' },
            { id: 'high', label: 'pack' },
          ],
          factory: 'low',
        },
      ],
    });
    const camera = makePart('camera', { supply: supply(4.5, 5.5, 0.1) });
    const transmitter = makePart('transmitter', { supply: supply(7, 26, 0.3) });
    expect(evaluate(makeBuild({}, [camera]), bridged).hookup.bridges[0]).toMatchObject({
      position: 'low',
      moved: false,
    });
    expect(evaluate(makeBuild({}, [transmitter]), bridged).hookup.bridges[0]).toMatchObject({
      position: 'high',
      moved: true,
    });
    const climb = evaluate(makeBuild({}, [camera, transmitter]), bridged);
    expect(rung(climb, 6).state).toBe('breaks');
    expect(sentenceOf(rung(climb, 6).findings[0]!)).toBe(
      'camera and transmitter sit behind one bridge: no position of the video bridge suits them all.',
    );
  });
});

describe('7 Load', () => {
  const pads = ['p5'].map((id) => ({ id, label: id }));
  const board = (amps: object, own?: number) =>
    makeBoard({
      pads,
      rails: [
        { id: 'pack', label: 'Pack', source: { kind: 'pack' } },
        {
          id: '5v',
          label: '5 V',
          pads: ['p5'],
          source: { ...regulator(5, 1), ratedAmps: amps as never },
          ...(own ? { ownAmps: says(own) } : {}),
        },
      ],
    });
  const draws = (...peaks: number[]) =>
    makeBuild(
      {},
      peaks.map((p, i) => makePart(`part${i}`, { supply: supply(4.5, 5.5, p) })),
    );
  // Common practice, no source: a 5 V 1.5 A regulator feeds receiver, camera and a small transmitter, little more. 1.5 A x 80 % = 1.2 A.
  test('the sum is held against the derated claim, peaks against the printed one', () => {
    expect(states(draws(0.1, 0.15, 0.45), board(claims(1.5)), 7)).toBe('holds');
    expect(states(draws(0.1, 0.15, 0.45, 0.5), board(claims(1.5)), 7)).toBe('strained');
    expect(states(draws(0.6, 0.6, 0.6), board(claims(1.5)), 7)).toBe('breaks');
  });
  test("a measured rating is taken as it is; the board's own draw comes first", () => {
    expect(states(draws(0.7, 0.6), board({ value: 1.5, origin: 'measured' }), 7)).toBe('holds');
    expect(states(draws(0.7, 0.6), board({ value: 1.5, origin: 'measured' }, 0.3), 7)).toBe('breaks');
  });
  test('an unknown rating is unknown; a range is judged at both ends', () => {
    expect(states(draws(0.5), board(unknown), 7)).toBe('unknown');
    expect(states(draws(0.9, 0.9), board({ low: 1.5, high: 2.5, origin: 'report' }), 7)).toBe('unknown');
    expect(states(draws(0.5), board({ low: 1.5, high: 2.5, origin: 'report' }), 7)).toBe('holds');
  });
  test('a part with its own switching regulator draws more amps at fewer volts', () => {
    const hungry = makePart('tx', { supply: supply(4.5, 26, 1, 12, 'constant power') }); // 12 W
    const climb = evaluate(makeBuild({}, [hungry]), board(claims(5)));
    // 12 W at what its wire leaves of 5 V: a little over 2.4 A.
    const { peakAmps, lostVolts } = climb.hookup.parts[0]!.supplies[0]!;
    expect(peakAmps * (5 - lostVolts)).toBeCloseTo(12, 6);
    expect(lostVolts).toBeGreaterThan(0.01);
    expect(climb.hookup.rails[0]!.peakMa).toBe(Math.ceil(peakAmps * 1000));
  });
  test('USB 2.0, 7.2.1: what must live on USB shares 500 mA; what need not is strained beside it', () => {
    const usb = makeBoard({
      pads,
      rails: [
        { id: 'pack', label: 'Pack', source: { kind: 'pack' } },
        { id: 'reg', label: '5 V regulator', source: regulator(5, 3) },
        { id: 'usb', label: 'USB', source: { kind: 'usb' } },
        { id: '5v', label: '5 V', pads: ['p5'], source: { kind: 'either', of: ['usb', 'reg'] } },
      ],
    });
    const parts = (amps: number, onUsb: boolean) => [
      makePart('rx', { supply: supply(4.5, 5.5, 0.2) }, { onUsb: true }),
      makePart('other', { supply: supply(4.5, 5.5, amps) }, { onUsb }),
    ];
    expect([states(makeBuild({}, parts(0.7, true)), usb, 7), states(makeBuild({}, parts(0.7, false)), usb, 7)]).toEqual(
      ['holds', 'holds'],
    );
    expect([states(makeBuild({}, parts(0.9, true)), usb, 7), states(makeBuild({}, parts(0.9, false)), usb, 7)]).toEqual(
      ['breaks', 'strained'],
    );
  });
});

describe('8 Weight, 9 Cost, 10 Comforts', () => {
  const build = (limit: number, budget = 30_000) =>
    makeBuild({ limits: { takeOffMassG: limit, budgetCents: budget } }, [makePart('part', {}, { massG: says(5) })]);
  test('300 bare + 180 pack + 20 board + 5 part + 3.2 capacitor + 4 standoffs of 0.4 = 509.8 g', () => {
    expect(evaluate(build(600), makeBoard()).massG).toEqual({ low: 509.8, high: 509.8 });
    expect(states(build(530), makeBoard(), 8)).toBe('holds');
    expect(states(build(515), makeBoard(), 8)).toBe('strained');
    expect(states(build(500), makeBoard(), 8)).toBe('breaks');
  });
  test('an unknown mass is unknown unless the rest is already too much', () => {
    expect(states(build(600), makeBoard({ massG: unknown }), 8)).toBe('unknown');
    expect(states(build(480), makeBoard({ massG: unknown }), 8)).toBe('breaks');
  });
  test('board with shipping 55.00, part 10.00, capacitor 1.80, five standoffs of 0.20 against the budget; no offer is unknown', () => {
    expect(evaluate(build(600), makeBoard()).totalCents).toBe(6780);
    expect(states(build(600, 6779), makeBoard(), 9)).toBe('breaks');
    expect(states(build(600, 6780), makeBoard(), 9)).toBe('holds');
    expect(states(build(600), makeBoard({ offers: [] }), 9)).toBe('unknown');
  });
  test('a part whose price nobody says: open where it decides, a break where all else is too dear, holding where any plausible price goes', () => {
    const rung = (budgetCents: number, owned = false) =>
      evaluate(
        makeBuild({ limits: { takeOffMassG: 700, budgetCents } }, [makePart('cam', {}, { owned, cents: null })]),
        makeBoard(),
      ).rungs[8]!;
    // Board with shipping 55.00, capacitor 1.80, standoffs 1.00; the part between nought and 150.
    expect([rung(5_000), rung(10_000), rung(30_000)].map((r) => r.state)).toEqual(['breaks', 'unknown', 'holds']);
    expect(rung(10_000, true).state).toBe('holds');
    expect(sentenceOf(rung(10_000).findings[0]!)).toContain('Nobody says what cam costs');
  });
  test('pack leads first, by policy: pads without thermal relief strain the board, with it they hold, unsaid is unknown; by default it is not asked', () => {
    const state = (relief: boolean | undefined, batteryLeads: 'first' | 'last') =>
      rung(
        evaluate(
          makeBuild({ policies: { batteryLeads } }),
          makeBoard({ pads: [{ id: 'vbat', label: 'VBAT', ...(relief === undefined ? {} : { relief }) }] }),
        ),
        10,
      ).state;
    expect([state(false, 'first'), state(true, 'first'), state(undefined, 'first'), state(false, 'last')]).toEqual([
      'strained',
      'holds',
      'unknown',
      'holds',
    ]);
  });
  test('a missed comfort strains its rung and leaves the verdict alone', () => {
    const wants = makeBuild({ comforts: { barometer: true, storageMb: 32 } });
    const climb = evaluate(wants, makeBoard({ barometer: { value: false, origin: 'claim' } }));
    expect([rung(climb, 10).state, climb.verdict]).toEqual(['strained', 'fits']);
  });
});
