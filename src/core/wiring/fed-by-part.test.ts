import { describe, expect, test } from 'vitest';
import { firstPower } from '../bench/first-power';
import { benchOf } from '../bench/on-the-bench';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, claims, regulator, says, supply, unknown } from '../tests/make';
import { compile } from './compile';
import { layOut } from './lay-out';
import { workshop } from './way';
import { sentenceOf } from '../words/finding/sentence-of';

/** A transmitter that lives on the pack and hands 5 V on; a camera that only takes 5 V. Common practice, no source. */
const transmitter = (amps: number) =>
  makePart(
    'tx',
    { supply: supply(7, 26, 0.5, 12, 'constant power') },
    { kind: 'video transmitter', gives: [{ id: 'five', label: '5 V out', volts: says(5), amps: claims(amps) }] },
  );
const camera = (peak: number) => makePart('cam', { supply: supply(4.5, 5.5, peak) }, { kind: 'camera' });
const pads = [
  { id: 'vbat', label: 'VBAT' },
  { id: 'v9', label: '9V' },
  { id: 'vx', label: 'VX' },
];
const bridge = {
  id: 'b',
  label: 'Bridge',
  form: 'solder bridge' as const,
  positions: [
    { id: 'x', label: 'x' },
    { id: 'y', label: 'y' },
  ],
  factory: 'x',
  effort: 2,
};
const pack = { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } };

describe('a part fed by another part', () => {
  test("by hand: the camera takes the transmitter's 5 V where the board has none, and says that it is dark when that is", () => {
    const { hookup } = evaluate(makeBuild({}, [transmitter(0.5), camera(0.2)]), makeBoard());
    expect(hookup.parts[1]!.supplies[0]!.rail).toBe('part:tx');
    expect(hookup.parts[1]!.supplies[0]!.lost).toEqual([{ code: 'dark with its host', host: 'tx' }]);
  });

  test('by hand: what the output may carry is shown and held: of 0.5 A claimed 0.4 A count, the peak may go into the reserve, no further', () => {
    const load = (peak: number) => evaluate(makeBuild({}, [transmitter(0.5), camera(peak)]), makeBoard()).rungs[6]!;
    expect(load(0.3).state).toBe('holds');
    expect(load(0.5).state).toBe('strained');
    expect(load(0.6).state).toBe('breaks');
    const said = load(0.5).findings.find((f) => f.about === '5 V out of tx')!;
    expect([said.state, said.needed, said.given]).toEqual(['strained', '0.5 A', '0.4 A']);
  });

  test('what the fed part draws is unknown: whether the output carries it is too', () => {
    const cam = makePart(
      'cam',
      { supply: { ...supply(4.5, 5.5, 0.2), typicalAmps: unknown, peakAmps: unknown } },
      { kind: 'camera' },
    );
    const climb = evaluate(makeBuild({}, [transmitter(0.5), cam]), makeBoard());
    expect([climb.verdict, climb.rungs[6]!.state]).toEqual(['cannot say yet', 'unknown']);
    expect(climb.rungs[6]!.findings.some((f) => sentenceOf(f) === 'Nobody says what cam draws.')).toBe(true);
    // Nor does the output's sum, the ledger or the bench read it as nothing.
    expect(climb.rungs[6]!.findings.find((f) => f.about === '5 V out of tx')).toMatchObject({
      state: 'unknown',
      says: { code: 'rail load', unsaid: ['cam'] },
    });
    expect(climb.hookup.outputs[0]!.atLeast).toBe(true);
    expect(climb.hookup.outputs[0]!.parts).toEqual([expect.objectContaining({ name: 'cam', unsaid: true })]);
    const bench = benchOf(makeBuild({}, [transmitter(0.5), cam]), makeBoard(), climb);
    expect(firstPower(bench, { limitAmps: 1, capacitor: true, fault: 'healthy' })).toMatchObject({
      why: expect.stringContaining('Nobody says what 1 part draws (cam): it may be more.'),
    });
  });

  test('by hand: steadily no more than the derated amps: 0.45 A all the time is too much for 0.5 A claimed, not for 0.5 A measured', () => {
    const cam = makePart('cam', { supply: { ...supply(4.5, 5.5, 0.45), typicalAmps: says(0.45) } }, { kind: 'camera' });
    const state = (amps: object) =>
      evaluate(
        makeBuild({}, [
          {
            ...transmitter(0.5),
            peripheral: {
              ...transmitter(0.5).peripheral,
              gives: [{ id: 'five', label: '5 V out', volts: says(5), amps: amps as never }],
            },
          },
          cam,
        ]),
        makeBoard(),
      ).rungs[6]!.state;
    expect(state(claims(0.5))).toBe('breaks');
    expect(state({ value: 0.5, origin: 'measured' })).not.toBe('breaks');
  });

  test("by hand: the host's regulator carries the guest through the host, with what its own converter loses", () => {
    // 9 V rail of 1 A, derated to 0.8 A. The transmitter draws 0.5 A x 12 V / 9 V = 0.667 A, and 2 mA more for what its wire takes; the camera's 0.2 A at 5 V are 0.2 x 5 / (0.85 x 9) = 0.131 A there.
    const board = makeBoard({
      pads,
      rails: [
        { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' } },
        { id: 'nine', label: '9V', pads: ['v9'], source: regulator(9, 1) },
      ],
    });
    const { problem } = compile(...compiled(board), 7);
    const row = problem.rows.findIndex((r) => r.id === 'peak:nine');
    const amounts = problem.parts.map((p) =>
      p.modes[0]!.needs.flatMap((n) => n.choices.flatMap((c) => c.uses.filter(([r]) => r === row).map(([, a]) => a))),
    );
    expect(amounts).toEqual([[669], [131]]);
  });

  test('two ways for the host to reach the same volts are one place for its guests; the host alone asks for the bridge', () => {
    const board = makeBoard({
      pads,
      bridges: [bridge],
      rails: [
        pack,
        {
          id: 'either',
          label: 'VX',
          pads: ['vx'],
          source: { kind: 'bridge', bridge: 'b', byPosition: { x: 'pack', y: 'pack' } },
        },
      ],
    });
    const { problem } = compile(...compiled(board), 7);
    const [host, guest] = problem.parts.map((p) => p.modes[0]!.needs[0]!.choices);
    expect(host!.length).toBe(3);
    expect(new Set(host!.map((c) => c.tags.find(([t]) => problem.tags[t]!.id === 'feed:tx')![1])).size).toBe(1);
    expect(guest!.length).toBe(1);
    expect(guest![0]!.tags.map(([t]) => problem.tags[t]!.id)).toEqual(['feed:tx']);
  });

  test('places with other regulators behind them stay apart: each loads its own', () => {
    const board = makeBoard({
      pads,
      rails: [pack, { id: 'nine', label: '9V', pads: ['v9'], source: regulator(9, 1) }],
    });
    const { problem } = compile(...compiled(board), 7);
    const guest = problem.parts[1]!.modes[0]!.needs[0]!.choices;
    expect(guest.length).toBe(2);
    const loads = guest.map((c) => c.uses.map(([r]) => problem.rows[r]!.id));
    expect(loads).toEqual([
      ['peak:part:tx:five', 'steady:part:tx:five'],
      ['peak:part:tx:five', 'steady:part:tx:five', 'peak:nine', 'steady:nine'],
    ]);
  });

  test('a host that is left out feeds nobody', () => {
    const build = makeBuild({ locks: { plank: [{ kind: 'leave out', part: 'tx' }] } }, [
      { ...transmitter(0.5), priority: 'should' },
      camera(0.2),
    ]);
    const climb = evaluate(build, makeBoard());
    expect(climb.rungs[5]!.state).toBe('breaks');
  });

  function compiled(board: ReturnType<typeof makeBoard>): [ReturnType<typeof workshop>, ReturnType<typeof layOut>] {
    const shop = workshop(makeBuild({}, [transmitter(0.5), camera(0.2)]), board, 'sure');
    return [shop, layOut(shop)];
  }
});
