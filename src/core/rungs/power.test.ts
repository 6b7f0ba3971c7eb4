import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { exactly } from '../quantity/figure';
import { suppliesOf } from '../circuit/rail-tree';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { claims, makeBoard, makeBuild, makePart, regulator, says, supply, unknown } from '../tests/make';
import { capacitorVolts } from '../trade/capacitor';
import { cellOhm, lowestVolts } from '../trade/cell';
import { meetings } from '../trade/harness';
import { plugFamily } from '../trade/plug';
import { awgMilliohmPerM, carriesAmps, dropVolts, wireGramsPerM } from '../trade/wire';
import { sentenceOf } from '../words/finding/sentence-of';

const rung = (build: Build, board: Board, n: number) => evaluate(build, board).rungs[n - 1]!;
const about = (build: Build, board: Board, n: number, what: string) =>
  rung(build, board, n).findings.find((f) => f.about === what);
const pads = (...ids: string[]) => ids.map((id) => ({ id, label: id }));

describe('the pack under load', () => {
  test('Ohm: four cells of 10 milliohm at 60 A land at 4 x (3.5 - 0.6) = 11.6 V', () => {
    const pack = { cells: 4, chemistry: 'lipo' as const, massG: unknown, cellMilliohm: says(10) };
    expect(lowestVolts(pack, exactly(60))).toEqual({ low: 11.6, high: 11.6 });
    // Below 20 A the usual floor of 3.3 V a cell is the lower one (common practice, no source).
    expect(lowestVolts(pack, exactly(10))).toEqual({ low: 13.2, high: 13.2 });
  });
  test("nobody says the resistance: anything up to a tired cell of the pack's mass; by hand, 148 g of four cells are 1.4 Ah", () => {
    const pack = { cells: 4, chemistry: 'lipo' as const, massG: says(148) };
    expect(cellOhm(pack).high).toBeCloseTo(0.015 / 1.4, 9); // 148 g x 0.14 Wh/g / 14.8 V
    expect(lowestVolts(pack, exactly(100))).toEqual({ low: expect.closeTo(4 * (3.5 - 1.5 / 1.4), 2), high: 13.2 });
  });
  test('what only a fresh pack holds up cannot be said of one that nobody has measured; of a measured one it can', () => {
    const sheet = { pads: pads('vbat') };
    const of = (cellMilliohm?: object) =>
      evaluate(
        makeBuild(
          {
            pack: {
              cells: 4,
              chemistry: 'lipo',
              massG: says(148),
              ...(cellMilliohm ? { cellMilliohm: cellMilliohm as never } : {}),
            },
            motors: { count: 4, cruiseAmps: 5, peakAmps: 25, peakSeconds: 5, esc: 'on the board' },
          },
          [makePart('p', { supply: supply(12, 26, 0.2) })],
        ),
        makeBoard(sheet),
      );
    const open = of();
    expect([open.verdict, open.rungs[5]!.state]).toEqual(['cannot say yet', 'unknown']);
    expect(open.rungs[5]!.findings.map((f) => sentenceOf(f)).join()).toContain(
      'the pack may fall to 9.71 V at full throttle, below the 12 V it needs',
    );
    expect(of(says(2)).verdict).toBe('fits');
    expect(of(says(12)).stopsAt).toBe(6);
  });
  test('a 10 V rail that holds on four cells at rest fades when they sag', () => {
    const board = makeBoard({
      rails: [
        { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
        { id: 'ten', label: '10 V', pads: ['vbat'], source: regulator(10, 2) },
      ],
    });
    const ten = (milliohm: number) =>
      suppliesOf(board, {
        pack: { cells: 4, chemistry: 'lipo', massG: unknown, cellMilliohm: says(milliohm) },
        motors: { count: 4, peakAmps: 30 },
      }).find((s) => s.rail.id === 'ten')!.swing.low.low;
    expect(ten(1)).toBe(10);
    expect(ten(10)).toBeCloseTo(4 * (3.5 - 1.2) - 0.8, 9); // 8.4 V by hand
  });
});

test('a 5 V buck behind a 9 V one, on a pack that nobody has measured: its 1 A asks 0.65 A of the 9 V while that holds, more when it fades; so it is unknown, not broken', () => {
  const board = makeBoard({
    pads: pads('v5'),
    rails: [
      { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
      { id: 'nine', label: '9 V', pads: [], source: regulator(9, 1) },
      { id: 'five', label: '5 V', pads: ['v5'], source: regulator(5, 3, { input: 'nine' }) },
    ],
  });
  const motors = { count: 4, cruiseAmps: 5, peakAmps: 35, peakSeconds: 5, esc: 'on the board' as const };
  const load = (cellMilliohm?: object) =>
    rung(
      makeBuild(
        {
          pack: {
            cells: 4,
            chemistry: 'lipo',
            massG: says(148),
            ...(cellMilliohm ? { cellMilliohm: cellMilliohm as never } : {}),
          },
          motors,
        },
        [makePart('p', { supply: { ...supply(2, 5.5, 1), typicalAmps: says(1) } })],
      ),
      board,
      7,
    ).state;
  expect([load(), load(says(1)), load(says(14))]).toEqual(['unknown', 'holds', 'breaks']);
});

describe('linear regulators burn the difference ((Vin - Vout) x I, any electronics handbook)', () => {
  const board = (type: 'linear' | 'buck', amps: number, burnsWatts?: number) =>
    makeBoard({
      packCells: { min: says(2), max: says(2) },
      rails: [
        { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
        {
          id: 'five',
          label: '5 V',
          pads: ['vbat'],
          source: {
            ...regulator(5, amps, { type, dropOutVolts: says(0.3) }),
            ...(burnsWatts ? { burnsWatts: says(burnsWatts) } : {}),
          },
        },
      ],
    });
  const build = (peak: number) =>
    makeBuild({ pack: { cells: 2, chemistry: 'lipo', massG: says(40) }, policies: { ratedAmps: 'as printed' } }, [
      makePart('p', { supply: supply(4.5, 5.5, peak) }),
    ]);
  // 8.4 V full: (8.4 - 5) x I <= 1.5 W gives 0.441 A steady. Typical is half the peak.
  test('1.5 W at 3.4 V is 0.44 A', () => {
    expect(rung(build(0.86), board('linear', 1), 7).state).not.toBe('breaks');
    expect(rung(build(0.9), board('linear', 1), 7).state).toBe('breaks');
    expect(rung(build(0.9), board('buck', 1), 7).state).not.toBe('breaks');
  });
  test('a stated limit counts before the assumed one', () =>
    expect(rung(build(0.9), board('linear', 1, 3), 7).state).not.toBe('breaks'));
});

describe('wires', () => {
  test('drop out and back: 22 AWG, 0.5 m, 3 A (53.0 milliohm/m from memory, must follow from ASTM B258 and IEC 60028)', () => {
    expect(dropVolts(22, 500, 3)).toBeCloseTo(2 * 0.5 * 3 * 0.053, 3);
    expect(dropVolts(22, 500, 3, 70) / dropVolts(22, 500, 3)).toBeCloseTo(1 + 0.00393 * 50, 6); // IEC 60028
    expect(awgMilliohmPerM(22)).toBeCloseTo(53, 0);
  });
  test('chassis table (Handbook of Electronic Tables and Formulas, from memory)', () =>
    expect([10, 18, 28].map((g) => carriesAmps(g))).toEqual([55, 16, 1.4]));
  test('a metre of 18 AWG holds 0.823 mm2 of copper: 7.4 g bare (copper 8.96 g/cm3, handbook)', () =>
    expect(wireGramsPerM(18) / 2).toBeCloseTo(7.37, 1));
  test('pack leads: 18 AWG carries 16 A, not 24', () => {
    const leads = (gauge: number) =>
      about(
        makeBuild({ pack: { cells: 4, chemistry: 'lipo', massG: says(1), leadGauge: gauge } }),
        makeBoard(),
        3,
        'Pack leads',
      )!.state;
    expect([leads(18), leads(12)]).toEqual(['strained', 'holds']); // the default build cruises at 24 A and peaks at 80 A
  });
});

describe('plug pins (data sheets of the families, from memory)', () => {
  test('families are read as they are written', () =>
    expect(['JST-SH 1.0', 'gh', 'XT60', 'unheard of'].map((w) => plugFamily(w)?.ampsPerPin ?? null)).toEqual([
      1,
      1,
      60,
      null,
    ]));
  const board = makeBoard({
    pads: [
      { id: 'v9', label: '9V', form: 'pin' },
      { id: 'vbat', label: 'VBAT' },
    ],
    plugs: [{ id: 'video', label: 'video', family: 'SH 1.0', pins: [{ name: '9V', pad: 'v9' }, { name: 'GND' }] }],
    rails: [
      { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
      { id: 'nine', label: '9 V', pads: ['v9'], source: regulator(9, 3) },
    ],
  });
  const on = (peak: number, joints: 'plugs' | 'solder' = 'plugs') =>
    evaluate(makeBuild({ policies: { joints } }, [makePart('p', { supply: supply(7, 12, peak, 9) })]), board);
  test('1.2 A through one pin of 1 A breaks; soldered it does not', () => {
    expect(on(1.2).stopsAt).toBe(7);
    expect(on(0.8).stopsAt).toBeNull();
    expect(on(1.2, 'solder').stopsAt).toBeNull();
  });
  test('a pin at nine tenths is strained, and says so with both figures', () =>
    expect(on(0.95).rungs[6]!.findings.find((f) => f.says.code === 'over the pins')!.state).toBe('strained'));
  test('a draw that nobody says is not nothing on a pin', () => {
    const climb = evaluate(
      makeBuild({}, [makePart('p', { supply: { ...supply(7, 12, 1, 9), peakAmps: unknown } })]),
      board,
    );
    expect(climb.rungs[6]!.findings.find((f) => f.says.code === 'over the pins')).toMatchObject({
      state: 'unknown',
      needed: 'unknown',
      says: { amps: null, pins: 1, family: 'SH', ampsPerPin: 1 },
    });
  });
});

describe('capacitor (common practice, no source: 25 V on four cells, 35 V on six)', () => {
  test('rated volts', () => expect([16.8, 25.2, 8.4].map(capacitorVolts)).toEqual([25, 35, 16]));
  test('on the build', () => {
    const state = (volts: number) =>
      about(makeBuild({ capacitor: { microfarads: 470, volts } }), makeBoard(), 3, 'Capacitor')!.state;
    expect([state(16), state(20), state(25)]).toEqual(['breaks', 'strained', 'holds']);
  });
});

describe('a separate ESC', () => {
  const ownEsc = {
    name: 'Own',
    channels: 4,
    continuousAmps: claims(35),
    burstAmps: claims(45),
    burstSeconds: says(5),
    maxCells: says(6),
    pins: ['VBAT', 'GND', 'S1'],
    heightMm: 6,
  };
  const outputs = [1, 2, 3, 4].map((n) => ({
    id: `m${n}`,
    label: `M${n}`,
    pad: `m${n}`,
    timer: 't',
    can: ['motor' as const],
  }));
  const board = (more: object = {}) =>
    makeBoard({ esc: undefined, pads: pads('vbat', 'm1', 'm2', 'm3', 'm4'), outputs, ...more });
  const build = (more: object = {}) =>
    makeBuild({
      motors: {
        count: 4,
        cruiseAmps: 6,
        peakAmps: 20,
        peakSeconds: 5,
        esc: 'separate',
        ownEsc: { ...ownEsc, ...more },
      },
    });
  test('pin by pin: pack on ground burns, two signals swapped only misname', () => {
    expect(meetings(['GND', 'VBAT', 'S1'], ['VBAT', 'GND', 'S1']).map((m) => [m.pin, m.burns])).toEqual([
      [1, true],
      [2, true],
    ]);
    expect(meetings(['GND', 'S1', 'S2'], ['G', 'S2', 'S1']).map((m) => [m.pin, m.burns])).toEqual([
      [2, false],
      [3, false],
    ]);
    expect(meetings(['GND', 'VBAT'], ['GND', 'BAT', 'S1'])).toEqual([
      { pin: 3, board: 'nothing', esc: 'S1', burns: false },
    ]);
  });
  test('different orders strain the rung and spell out what would meet what', () => {
    const found = about(build(), board({ escPlug: { family: 'SH', pins: ['GND', 'VBAT', 'S1'] } }), 3, 'ESC harness')!;
    expect([found.state, sentenceOf(found).includes('GND would meet VBAT')]).toEqual(['strained', true]);
    expect(
      about(build(), board({ escPlug: { family: 'SH', pins: ['VBAT', 'GND', 'S1'] } }), 3, 'ESC harness')!.state,
    ).toBe('holds');
  });
  test('its channels, amps and cells are held like those of a board', () => {
    expect(rung(build({ channels: 3 }), board(), 3).state).toBe('breaks');
    expect(rung(build({ maxCells: says(3) }), board(), 3).state).toBe('breaks');
    expect(rung(build({ burstSeconds: unknown, continuousAmps: claims(15) }), board(), 3).state).toBe('unknown');
  });
  test("through an all-in-one's shunt: 0.5 milliohm burns 5 W at 100 A (Ohm); what trace and pads carry decides", () => {
    const sensed = (amps: number) =>
      about(
        makeBuild({ motors: { count: 4, cruiseAmps: 6, peakAmps: 25, peakSeconds: 5, esc: 'separate', ownEsc } }),
        board({
          kind: 'all-in-one',
          currentSensor: { fullScaleAmps: says(120), shuntMilliohm: says(0.5), throughAmps: says(amps) },
        }),
        3,
        'Current sensing',
      )!;
    expect(sensed(120)).toMatchObject({ state: 'holds' });
    expect(sentenceOf(sensed(120))).toContain('burns 5 W');
    expect(sensed(60).state).toBe('strained');
  });
});

describe('lights', () => {
  const lights = (n: number, peak: number) =>
    makeBuild({}, [
      {
        ...makePart('l', { supply: supply(4.5, 5.5, peak) }),
        peripheral: { ...makePart('l', { supply: supply(4.5, 5.5, peak) }).peripheral, lights: n },
      },
    ]);
  const board = makeBoard({
    rails: [
      { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
      { id: 'five', label: '5 V', pads: ['vbat'], source: regulator(5, 6) },
    ],
  });
  test('32 in a chain hold, 33 are strained (common practice, no source)', () => {
    expect(rung(lights(32, 2), board, 5).state).toBe('holds');
    expect(rung(lights(33, 2), board, 5).state).toBe('strained');
  });
  test('60 mA a light at full white (data sheets of the common part, from memory): 20 lights are 1.2 A, not 0.5', () => {
    expect(rung(lights(20, 0.5), board, 7).findings.some((f) => sentenceOf(f).includes('1.2 A'))).toBe(true);
    expect(rung(lights(20, 1.2), board, 7).findings.some((f) => sentenceOf(f).includes('full white'))).toBe(false);
  });
});

describe('back-feeding', () => {
  const board = (isolated: boolean | 'unknown' | null) =>
    makeBoard({
      pads: pads('v5', 'vbat'),
      rails: [
        { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
        { id: 'reg', label: 'reg', pads: [], source: regulator(5, 2) },
        { id: 'usb', label: 'USB', pads: [], source: { kind: 'usb', dropVolts: 0.3 } },
        {
          id: 'five',
          label: '5 V',
          pads: ['v5'],
          source: {
            kind: 'either',
            of: ['usb', 'reg'],
            ...(isolated === null
              ? {}
              : { isolated: isolated === 'unknown' ? unknown : { value: isolated, origin: 'manual' as const } }),
          },
        },
      ],
    });
  const build = makeBuild({}, [{ ...makePart('rx', { supply: supply(4.5, 5.5, 0.1) }), onUsb: true }]);
  test('two sources on one net are a hazard, priced as one; diodes or silence are not', () => {
    expect(evaluate(build, board(false)).hookup.cost.hazards).toBe(1);
    expect(evaluate(build, board(true)).hookup.cost.hazards).toBe(0);
    expect(evaluate(build, board(null)).hookup.cost.hazards).toBe(0);
  });
  test('asked and not known, it is a hazard too, and said so', () => {
    const { hookup } = evaluate(build, board('unknown'));
    expect([hookup.cost.hazards, hookup.parts[0]!.supplies[0]!.lost]).toEqual([
      1,
      expect.arrayContaining([{ code: 'back-feeds', rail: '5 V', tied: 'unknown' }]),
    ]);
  });
  test('USB alone: 500 mA for all that must live on it (USB 2.0, 7.2.1)', () => {
    const two = (peak: number) =>
      makeBuild(
        {},
        ['a', 'b'].map((id) => ({ ...makePart(id, { supply: supply(4.5, 5.5, peak) }), onUsb: true })),
      );
    expect(rung(two(0.5), board(true), 7).state).not.toBe('breaks'); // typical 0.25 A each
    expect(rung(two(0.52), board(true), 7).state).toBe('breaks');
  });
});
