import { describe, expect, test } from 'vitest';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { evaluate } from '../evaluate/climb';
import { makeBoard, makeBuild, makePart, motorOutputs, ownEsc, regulator, says, supply, unknown } from '../tests/make';
import { buildQuestionsFor, kindest, withBuildFigure } from './build-questions';
import { rankShelf } from './rank-shelf';

const five = (amps: number) => ({
  pads: [
    { id: 'vbat', label: 'VBAT' },
    { id: 'v5', label: '5V' },
  ],
  rails: [
    { id: 'pack', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } },
    { id: 'five', label: '5 V', pads: ['v5'], source: regulator(5, amps) },
  ],
});
const weak = makeBoard({
  id: 'weak',
  name: 'Weak',
  ...five(0.5),
  offers: [{ shop: 'S', cents: 1000, seen: '2026-11-01' }],
});
const strong = makeBoard({
  id: 'strong',
  name: 'Strong',
  ...five(3),
  offers: [{ shop: 'S', cents: 15_000, seen: '2026-11-01' }],
});
const asked = (build: ReturnType<typeof makeBuild>, boards = [weak, strong]) =>
  buildQuestionsFor(build, boards, rankShelf(build, boards));

describe('figures that the build itself leaves open', () => {
  test('nothing open, nothing asked', () => {
    const build = makeBuild();
    expect(asked(build)).toEqual([]);
    expect(kindest(build)).toBe(build);
  });
  test('an unsaid pack mass keeps every board from being picked: asked, with the scale', () => {
    const [question, ...others] = asked(
      makeBuild({ pack: { cells: 4, chemistry: 'lipo', massG: unknown, cellMilliohm: says(1) } }),
    );
    expect(others).toEqual([]);
    expect(question).toMatchObject({
      path: ['pack', 'massG'],
      says: 'what the pack weighs',
      unit: 'g',
      measure: 'Put it on a kitchen scale.',
      wouldPick: expect.stringMatching(/at its best, no board at its worst$/) as unknown,
    });
  });
  test('whether an aerial comes with its radio is asked where its grams decide, as yes or no', () => {
    const radio = makePart('vtx', {}, { kind: 'video transmitter' });
    const bare = makeBuild({}, [radio]);
    // The board weighs 20 g, the pack 180, the craft 300, the radio 2: with whatever the wiring drags in, an aerial of up to 12 g decides.
    const mass = evaluate(bare, strong).massG;
    const build = { ...bare, limits: { ...bare.limits, takeOffMassG: mass.low + 0.5 } };
    const [question, ...others] = asked(build, [strong]);
    expect(others).toEqual([]);
    expect(question).toMatchObject({
      path: ['parts', 0, 'peripheral', 'aerial'],
      answer: 'yes or no',
      wouldPick: 'Strong at its best, no board at its worst',
    });
    const say = (comes: boolean) => evaluate(withBuildFigure(build, question!.path, comes, 'manual'), strong).verdict;
    expect([say(true), say(false)].map((v) => v === 'does not fit' || v === 'cannot say yet')).toEqual([false, true]);
  });
  test('of an ESC of one’s own that says its cells alone, the volts are asked for a pack of high-voltage ones', () => {
    const plain = ownEsc({ maxCells: says(4) });
    const pack = { cells: 4, chemistry: 'high-voltage lipo' as const, massG: says(180), cellMilliohm: says(1) };
    const build = makeBuild({ pack });
    const separate = { ...build, motors: { ...build.motors, esc: 'separate' as const, ownEsc: plain } };
    const board = makeBoard({
      ...five(3),
      kind: 'flight controller',
      esc: undefined,
      packMaxVolts: says(30),
      outputs: motorOutputs('m1', 'm2', 'm3', 'm4'),
      pads: ['vbat', 'v5', 'm1', 'm2', 'm3', 'm4'].map((id) => ({ id, label: id })),
      offers: [{ shop: 'S', cents: 1000, seen: '2026-11-01' }],
    });
    expect(asked(separate, [board]).map((q) => [q.path.at(-1), q.says])).toEqual([
      ['maxVolts', 'Own: most volts it stands'],
    ]);
    expect(asked({ ...separate, pack: { ...separate.pack, chemistry: 'lipo' } }, [board])).toEqual([]);
  });
  test('what an ESC of one’s own gives is asked where the board runs on it, and only there', () => {
    const build = makeBuild({ pack: { cells: 4, chemistry: 'lipo', massG: says(180), cellMilliohm: says(1) } });
    const separate = { ...build, motors: { ...build.motors, esc: 'separate' as const, ownEsc: ownEsc() } };
    const fed = (kind: 'esc' | 'regulator') =>
      makeBoard({
        ...five(3),
        kind: 'flight controller',
        esc: undefined,
        outputs: motorOutputs('m1', 'm2', 'm3', 'm4'),
        pads: ['vbat', 'v5', 'm1', 'm2', 'm3', 'm4'].map((id) => ({ id, label: id })),
        rails: five(3).rails.map((r) =>
          kind === 'esc' && r.source.kind === 'regulator'
            ? { ...r, ownAmps: says(0.15), source: { kind: 'esc' as const } }
            : r,
        ),
        offers: [{ shop: 'S', cents: 1000, seen: '2026-11-01' }],
      });
    const fields = (b: Board, of: Build = separate) => asked(of, [b]).map((q) => q.path.slice(-2).join(' '));
    expect(fields(fed('esc'))).toEqual(['gives volts', 'gives amps']);
    expect(fields(fed('regulator'))).toEqual([]);
    const none = { ...separate, motors: { ...separate.motors, ownEsc: ownEsc({ gives: null }) } };
    expect(fields(fed('esc'), none)).toEqual([]);
    const answered = [
      ['volts', 5],
      ['amps', 2],
    ] as const;
    const said = answered.reduce<Build>(
      (b, [key, value]) => withBuildFigure(b, ['motors', 'ownEsc', 'gives', key], value, 'manual', '2026-12-01'),
      separate,
    );
    const between = withBuildFigure(said, ['motors', 'ownEsc', 'gives', 'volts'], 5, 'manual');
    between.motors.ownEsc!.gives!.volts = { low: 5, high: 6, origin: 'manual' };
    expect(fields(fed('esc'), between)).toEqual(['gives volts']);
    expect(evaluate(said, fed('esc')).rungs[5]!.state).toBe('holds');
    expect(fields(fed('esc'), said)).toEqual([]);
  });
  test('what decides nothing is not asked because another figure keeps every board open', () => {
    const pack = { cells: 4, chemistry: 'lipo' as const, massG: says(180) };
    const camera = makePart('camera', { supply: supply(4.5, 5.5, 0.2) });
    expect(asked(makeBuild({ pack, bareMassG: unknown }, [camera])).map((q) => q.says)).toEqual([
      'what the bare craft weighs',
    ]);
  });
  test('two that decide only together are both asked', () => {
    const build = makeBuild({
      pack: { cells: 4, chemistry: 'lipo', massG: unknown, cellMilliohm: says(1) },
      bareMassG: unknown,
    });
    expect(asked(build).map((q) => q.says)).toEqual(['what the bare craft weighs', 'what the pack weighs']);
  });
  test('nor is the resistance of a pack of unknown mass: first what it weighs', () => {
    const build = makeBuild({ pack: { cells: 4, chemistry: 'lipo', massG: unknown } }, [
      makePart('p', { supply: supply(9, 26, 0.1) }),
    ]);
    expect(asked(build).map((q) => q.says)).toEqual(['what the pack weighs']);
  });
  test('what a part draws decides between a weak and a strong regulator', () => {
    const camera = makePart('camera', {
      supply: { ...supply(4.5, 5.5, 0.2), typicalAmps: unknown, peakAmps: unknown },
    });
    const found = asked(makeBuild({}, [camera]));
    expect(found.map((q) => q.says)).toEqual(['camera: amps it draws steadily', 'camera: amps it draws at most']);
    expect(found[0]!.wouldPick).toBe('Weak at its best, no board at its worst');
  });
  test('what nothing leans on is not asked: a resistance, where all that hangs there takes any volts', () => {
    const build = makeBuild({ pack: { cells: 4, chemistry: 'lipo', massG: says(180) } }, [
      makePart('p', { supply: supply(3, 26, 0.1) }),
    ]);
    expect(rankShelf(build, [weak, strong])[0]!.climb.verdict).toMatch(/^fits/);
    expect(asked(build)).toEqual([]);
  });
  test('an answer out of a manual is derated like any other rating: only what is weighed or measured is taken as it is', () => {
    const host = makePart(
      'tx',
      { supply: supply(7, 26, 0.5, 12) },
      { kind: 'video transmitter', gives: [{ id: 'five', label: '5 V out', volts: says(5), amps: unknown }] },
    );
    const cam = makePart('cam', { supply: { ...supply(4.5, 5.5, 0.45), typicalAmps: says(0.45) } });
    const build = makeBuild({}, [host, cam]);
    const bare = makeBoard();
    const [question] = buildQuestionsFor(build, [bare], rankShelf(build, [bare]));
    expect(question).toMatchObject({ says: 'amps that 5 V out of tx may carry', origin: 'manual' });
    // 0.5 A from a manual carry 0.4 A steadily (common practice, no source), 0.5 A measured carry 0.5 A.
    const load = (origin: 'manual' | 'measured') =>
      evaluate(withBuildFigure(build, question!.path, 0.5, origin), bare).rungs[6]!.state;
    expect([load('manual'), load('measured')]).toEqual(['breaks', 'holds']);
  });
  test('an answer is a figure like any other, with its origin and day', () => {
    const build = withBuildFigure(makeBuild({ bareMassG: unknown }), ['bareMassG'], 320, 'measured', '2026-11-26');
    expect(build.bareMassG).toEqual({ value: 320, origin: 'measured', seen: '2026-11-26' });
    expect(evaluate(build, strong).rungs[7]!.state).not.toBe('unknown');
  });
});
