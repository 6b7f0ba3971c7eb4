import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { evaluate, type Climb } from '../evaluate/climb';
import type { Board } from '../records/board';
import { readFile } from '../records/file';
import { claims, makeBoard, makeBuild, makePart, portsAndPads, regulator, says, supply, unknown } from '../tests/make';
import { rungNames, type RungName } from '../trade/rungs';
import { frontierOf } from './frontier';
import { whatMoved } from './moved';
import { pickOf, stillStands } from './pick';
import { questionsFor } from './questions';
import { rankClimbs, rankShelf } from './rank-shelf';
import { robustnessOf, shareOfTwo } from './robustness';
import { rungWorth, scoreOf } from './score';
import { tippingPoints } from './sensitivity';
import { reasonableWeightings, weightingAt } from './weightings';

const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
const belfry = readFile(readFileSync('demo/builds/belfry-six.json', 'utf8'), 'rung-build');
if (!shelf.ok || !belfry.ok) throw new Error('demo files');

/** A climb with given worths: margins chosen so that rungWorth gives them back (0.7 + 0.3 sqrt(m / 0.5)). */
const climbWith = (id: string, worths: Partial<Record<RungName, number>>): Climb =>
  ({
    boardId: id,
    boardName: id,
    maker: 'T',
    revision: '1',
    verdict: 'fits',
    stopsAt: null,
    massG: { low: 1, high: 1 },
    totalCents: 100,
    rungs: rungNames.map((name, i) => ({
      rung: i + 1,
      name,
      state: 'holds',
      margin: 0.5 * (((worths[name] ?? 0.7) - 0.7) / 0.3) ** 2,
      findings: [],
    })),
  }) as unknown as Climb;
const none = { statements: [], ranges: {} };

describe('scores', () => {
  test('worth: concave in the margin, capped at half again, nothing for a break, an interval for an unknown', () => {
    expect(rungWorth({ state: 'holds', margin: 0 }).low).toBeCloseTo(0.7, 12);
    expect(rungWorth({ state: 'holds', margin: 0.125 }).low).toBeCloseTo(0.85, 12); // 0.7 + 0.3 x sqrt(0.25), by hand
    expect(rungWorth({ state: 'holds', margin: 3 }).low).toBe(1);
    expect(rungWorth({ state: 'strained', margin: 0.5 }).low).toBeLessThan(
      rungWorth({ state: 'holds', margin: 0 }).low,
    );
    expect(rungWorth({ state: 'unknown', margin: null })).toEqual({ low: 0, high: 1 });
  });
  test('wishes are worth their weighted share that is met: 3 of 3 + 1 is 0.75, an open one counts both ways', () => {
    const wish = (state: 'holds' | 'strained' | 'unknown', counts: number) => ({
      rung: 10 as const,
      code: 'wish' as const,
      state,
      about: 'w',
      says: { code: 'no wishes' as const },
      grounds: [],
      counts,
    });
    expect(rungWorth({ state: 'strained', margin: null, findings: [wish('holds', 3), wish('strained', 1)] })).toEqual({
      low: 0.75,
      high: 0.75,
    });
    expect(rungWorth({ state: 'unknown', margin: null, findings: [wish('holds', 2), wish('unknown', 2)] })).toEqual({
      low: 0.5,
      high: 1,
    });
    expect(rungWorth({ state: 'strained', margin: null, findings: [wish('strained', 0)] })).toEqual({
      low: 1,
      high: 1,
    });
  });
  test('among boards that stop at one rung the cheapest fix decides, then the score; a part left out costs more than any money', () => {
    const stops = (id: string) => ({ ...climbWith(id, {}), verdict: 'does not fit', stopsAt: 7 }) as unknown as Climb;
    const set = (cents: number, leftOut: string[] = []) => ({
      fixes: [],
      words: [],
      leftOut,
      cents,
      grams: 0,
      effort: 0,
      stopsAt: null,
      verdict: 'fits with work' as const,
      becomes: null,
    });
    const order = (mended: Parameters<typeof rankClimbs>[1]) =>
      rankClimbs(['a', 'b', 'c', 'd'].map(stops), mended).map((r) => r.climb.boardId);
    expect(order({})).toEqual(['a', 'b', 'c', 'd']);
    expect(order({ a: null, b: set(0, ['rx']), c: set(650), d: set(490) })).toEqual(['d', 'c', 'b', 'a']);
  });
  test('a wish that counts more moves the board that meets it up', () => {
    const [quiet, roomy] = [
      makeBoard({ id: 'quiet', storageMb: says(0) }),
      makeBoard({ id: 'roomy', barometer: { value: false, origin: 'manual' } }),
    ];
    const first = (barometer: number, storage: number) => {
      const base = makeBuild({ comforts: { barometer: true, storageMb: 8 } });
      const build = {
        ...base,
        comforts: { ...base.comforts, weights: { ...base.comforts.weights, barometer, storage } },
      };
      return scoreOf(evaluate(build, quiet)).low > scoreOf(evaluate(build, roomy)).low ? 'quiet' : 'roomy';
    };
    expect([first(3, 1), first(1, 3)]).toEqual(['quiet', 'roomy']);
  });
  test('whatever an unknown turns out to be, the score stays inside its interval', () => {
    const board = makeBoard({ storageMb: unknown, barometer: unknown });
    const build = makeBuild({ comforts: { barometer: true, storageMb: 32 } });
    const span = scoreOf(evaluate(build, board));
    for (const mb of [0, 16, 32, 500]) {
      for (const baro of [true, false]) {
        const score = scoreOf(
          evaluate(build, { ...board, storageMb: says(mb), barometer: { value: baro, origin: 'manual' } }),
        );
        expect(score.low).toBeGreaterThanOrEqual(span.low - 1e-12);
        expect(score.high).toBeLessThanOrEqual(span.high + 1e-12);
      }
    }
  });
});

describe('weightings', () => {
  test('add up to one, repeat, and cover the simplex evenly: each mean is 1/10 (Dirichlet, all ones)', () => {
    expect(Array.from(weightingAt(7))).toEqual(Array.from(weightingAt(7)));
    const mean = new Float64Array(10);
    for (let k = 0; k < 20_000; k++) weightingAt(k).forEach((x, i) => (mean[i]! += x / 20_000));
    expect(mean.reduce((a, b) => a + b)).toBeCloseTo(1, 9);
    for (const m of mean) expect(m).toBeCloseTo(0.1, 2);
  });
  test('a full order of ten: the expected weights are (1/n) x sum of 1/k, rank-order centroids (from memory)', () => {
    const statements = rungNames.slice(1).map((than, i) => ({ more: rungNames[i]!, than }));
    const { weightings } = reasonableWeightings({ statements, ranges: {} }, 20_000);
    const centroid = rungNames.map((_, i) => rungNames.slice(i).reduce((s, _x, j) => s + 1 / (i + j + 1), 0) / 10);
    const mean = rungNames.map((_, i) => weightings.reduce((s, w) => s + w[i]!, 0) / weightings.length);
    mean.forEach((m, i) => expect(m).toBeCloseTo(centroid[i]!, 2));
  });
  test('statements and ranges hold for every weighting; those that rule each other out leave none', () => {
    const { weightings } = reasonableWeightings(
      {
        statements: [
          { more: 'Weight', than: 'Cost' },
          { more: 'Weight', than: 'Load' },
        ],
        ranges: { Pack: [0, 0.2] },
      },
      500,
    );
    for (const w of weightings) expect(w[7]! >= w[8]! && w[7]! >= w[6]! && w[1]! <= 0.2).toBe(true);
    expect(
      reasonableWeightings(
        {
          statements: [
            { more: 'Weight', than: 'Cost' },
            { more: 'Cost', than: 'Weight' },
            { more: 'Load', than: 'Cost' },
          ],
          ranges: {},
        },
        10,
        5000,
      ).weightings,
    ).toEqual([]);
  });
});

describe('robustness (Lahdelma, Hokkanen & Salminen 1998)', () => {
  test('two boards that differ on two rungs: the closed form is d1 / (d1 + d2)', () => {
    // w1 d1 > w2 d2 with normalised exponentials: the ratio w1 / w2 is above d2 / d1 with chance d1 / (d1 + d2).
    const a = climbWith('a', { Weight: 0.9 });
    const b = climbWith('b', { Cost: 0.8 });
    const found = robustnessOf([a, b], none);
    expect(found.boards[0]!.byRank[0]).toBeCloseTo(0.2 / 0.3, 1);
    expect(Math.abs(found.boards[0]!.byRank[0]! - 2 / 3)).toBeLessThan(found.error);
  });
  test('two boards that differ everywhere: the exact share against the sampling and a plain Monte Carlo', () => {
    const worthsA = rungNames.map((_, i) => 0.7 + 0.02 * i);
    const worthsB = rungNames.map((_, i) => 0.71 + 0.003 * (9 - i) ** 1.5);
    const exact = shareOfTwo(worthsA, worthsB)!;
    const give = (w: number[]) => climbWith('x', Object.fromEntries(rungNames.map((n, i) => [n, w[i]!])));
    expect(Math.abs(robustnessOf([give(worthsA), give(worthsB)], none).boards[0]!.byRank[0]! - exact)).toBeLessThan(
      0.02,
    );
    let seed = 3;
    const roll = () => ((seed = (seed * 1103515245 + 12345) % 2147483648), (seed + 0.5) / 2147483648);
    let wins = 0;
    for (let k = 0; k < 40_000; k++)
      wins += worthsA.reduce((s, x, i) => s - Math.log(roll()) * (x - worthsB[i]!), 0) > 0 ? 1 : 0;
    expect(Math.abs(wins / 40_000 - exact)).toBeLessThan(0.02);
  });
  test('n boards that are alike but for which rung they are good at: each first for 1/n', () => {
    const boards = rungNames.map((n) => climbWith(n, { [n]: 1 }));
    for (const b of robustnessOf(boards, none).boards) expect(b.byRank[0]).toBeCloseTo(0.1, 1);
  });
  test('every rank adds up to one over the boards, and a board that beats another everywhere is never behind it', () => {
    const found = robustnessOf(
      [climbWith('low', {}), climbWith('mid', { Load: 0.9 }), climbWith('high', { Load: 0.95, Cost: 0.9 })],
      none,
    ).boards;
    for (let rank = 0; rank < 3; rank++) expect(found.reduce((s, b) => s + b.byRank[rank]!, 0)).toBeCloseTo(1, 9);
    expect(found[2]!.byRank[0]).toBe(1);
  });
  test('the central weighting says what must count more', () => {
    const found = robustnessOf([climbWith('a', { Weight: 1 }), climbWith('b', { Cost: 1 })], none).boards;
    expect(found[0]!.says).toMatch(/^wins when Weight counts? more/);
    expect(
      robustnessOf([climbWith('a', { Weight: 1 }), climbWith('b', { Cost: 1 })], {
        statements: [{ more: 'Weight', than: 'Cost' }],
        ranges: {},
      }).boards[1]!.says,
    ).toBe('wins for no reasonable weighting');
  });
});

describe('frontier', () => {
  const at = (id: string, cents: number, grams: number, margin: number) =>
    ({
      ...climbWith(id, {}),
      totalCents: cents,
      massG: { low: grams, high: grams },
      rungs: [{ rung: 1, name: 'Frame', state: 'holds', margin, findings: [] }],
    }) as unknown as Climb;
  test('beaten only when worse on nothing and better on one', () => {
    const found = frontierOf([
      at('cheap', 100, 50, 0.1),
      at('light', 200, 20, 0.1),
      at('worse', 210, 25, 0.1),
      at('same', 100, 50, 0.1),
    ]);
    expect(found.map((s) => [s.name, s.beatenBy])).toEqual([
      ['cheap', null],
      ['light', null],
      ['worse', 'light'],
      ['same', null],
    ]);
  });
  test('a wider margin is a reason to stay on it, and a narrower one is worse', () => {
    const found = frontierOf([
      at('narrow', 100, 50, 0.1),
      at('wide', 120, 60, 0.3),
      at('dear', 130, 60, 0.2),
      at('equal', 100, 50, 0.2),
    ]);
    expect(found.map((s) => [s.name, s.beatenBy])).toEqual([
      ['narrow', 'equal'],
      ['wide', null],
      ['dear', 'wide'],
      ['equal', null],
    ]);
  });
});

describe('questions', () => {
  const ports = portsAndPads(['rt']);
  const known = makeBoard({
    id: 'known',
    name: 'Known',
    ...ports,
    offers: [{ shop: 'S', cents: 9000, seen: '2026-11-01' }],
  });
  const heavy = makeBoard({
    id: 'open',
    name: 'Open',
    ...ports,
    massG: unknown,
    offers: [{ shop: 'S', cents: 1000, seen: '2026-11-01' }],
  });
  const ask = (build: ReturnType<typeof makeBuild>, boards: ReturnType<typeof makeBoard>[]) =>
    questionsFor(build, boards, rankShelf(build, boards));
  test('asks what drives the ESC where servos want the motor pads, and not of a stack, whose harness does', () => {
    const outputs: Board['outputs'] = ['m1', 'm2', 'm3', 'm4'].map((id, i) => ({
      id,
      label: id,
      pad: id,
      timer: i < 2 ? 't1' : 't2',
      can: ['motor', 'servo'],
    }));
    const made = (kind: Board['kind']) =>
      makeBoard({ kind, outputs, pads: ['vbat', 'm1', 'm2', 'm3', 'm4'].map((id) => ({ id, label: id })) });
    const servos = makeBuild({}, [
      makePart('it', { links: [{ kind: 'output', id: 'signal', use: 'servo', count: 2 }] }),
    ]);
    const asked = (board: Board) =>
      questionsFor(servos, [board], rankShelf(servos, [board])).map((q) => [q.field, q.wouldPick]);
    expect(asked(made('all-in-one'))).toEqual([['esc.drivenByOutputs', 'nothing if it is yes; Plank if it is no']]);
    expect(asked(made('stack'))).toEqual([]);
  });

  test('an unknown mass decides between two boards: it is asked, with the sentence and the scale', () => {
    const found = ask(makeBuild(), [known, heavy]);
    expect(found.map((q) => [q.boardName, q.field])).toContainEqual(['Open', 'massG']);
    expect(found.find((q) => q.field === 'massG')).toMatchObject({
      ease: 1,
      measure: expect.stringContaining('scale') as unknown,
    });
    expect(found.find((q) => q.field === 'massG')!.ask).toMatch(/What does it weigh/);
  });
  test('where only cells are said, a pack of high-voltage ones has the limit in volts asked, and a plain one nothing', () => {
    const cells = makeBoard({ ...ports, packCells: { min: says(1), max: says(4) } });
    const pack = (chemistry: 'lipo' | 'high-voltage lipo') => {
      const build = makeBuild();
      return { ...build, pack: { ...build.pack, cells: 4, chemistry } };
    };
    expect(ask(pack('high-voltage lipo'), [cells]).map((q) => [q.field, q.wouldPick])).toEqual([
      ['packMaxVolts', 'nothing if it is 16.8 V; Plank if it is 17.4 V'],
    ]);
    expect(ask(pack('lipo'), [cells])).toEqual([]);
  });
  test('an unknown of a board that stops anyway is not worth a question; nor one that nothing leans on', () => {
    expect(ask(makeBuild({ pack: { cells: 14, chemistry: 'lipo', massG: says(1) } }), [known, heavy])).toEqual([]);
    expect(ask(makeBuild(), [known, makeBoard({ id: 'x', ...ports, storageMb: unknown })])).toEqual([]);
  });
  test('a figure that cannot be true keeps a board from being picked: it is asked like an unknown one, also where any true value would do', () => {
    const boast = makeBoard({
      id: 'boast',
      name: 'Boast',
      ...ports,
      claimedPorts: claims(40),
      offers: [{ shop: 'S', cents: 1000, seen: '2026-11-01' }],
    });
    const [question] = ask(makeBuild(), [known, boast]);
    expect(question).toMatchObject({
      boardName: 'Boast',
      field: 'claimedPorts',
      changes: 1,
      wouldPick: 'Boast, whatever it turns out to be, once it is known',
    });
  });
  test('two unknowns that decide only together are both asked', () => {
    const both = { ...heavy, heightMm: unknown };
    expect(
      ask(makeBuild(), [known, both])
        .map((q) => q.field)
        .sort(),
    ).toEqual(['heightMm', 'massG']);
  });
});

describe('what tips the pick, and whether it still stands', () => {
  const rails = (amps: number) => [
    { id: 'pack', label: 'Pack', pads: [], source: { kind: 'pack' as const } },
    { id: 'five', label: '5 V', pads: ['vbat'], source: regulator(5, amps) },
  ];
  const build = makeBuild({}, [makePart('cam', { supply: supply(4.5, 5.5, 1) })]);
  const a = makeBoard({ id: 'a', name: 'A', rails: rails(3) });
  const b = makeBoard({
    id: 'b',
    name: 'B',
    rails: rails(1.4),
    offers: [{ shop: 'S', cents: 20_000, seen: '2026-11-01' }],
  });
  test('the 5 V regulator below the value at which the other board comes first, found by halving and held against a sweep', () => {
    const ranked = rankShelf(build, [a, b]);
    expect(ranked[0]!.climb.boardId).toBe('a');
    const tip = tippingPoints(build, a, ranked).find((t) => t.says === '5 V, amps' && t.direction === 'below')!;
    const withAmps = (amps: number) =>
      rankShelf(build, [
        {
          ...a,
          rails: a.rails.map((r) =>
            r.source.kind === 'regulator' ? { ...r, source: { ...r.source, ratedAmps: claims(amps) } } : r,
          ),
        },
        b,
      ])[0]!.climb.boardId;
    expect([withAmps(tip.at + 0.03), withAmps(tip.at - 0.03)]).toEqual(['a', 'b']);
    expect(tip.then).toBe('B');
  });
  test('a pick is kept whole; a measured value that overturns it is told', () => {
    const ranked = rankShelf(build, [a, b]);
    const pick = pickOf(build, a, ranked[0]!, 0.8, '2026-11-25');
    expect(pick.board).toEqual(a);
    expect(stillStands(pick, ranked)).toMatchObject({ stands: true });
    const measured = {
      ...a,
      rails: a.rails.map((r) =>
        r.source.kind === 'regulator'
          ? { ...r, source: { ...r.source, ratedAmps: { value: 0.4, origin: 'measured' as const } } }
          : r,
      ),
    };
    expect(stillStands(pick, rankShelf(build, [measured, b]))).toMatchObject({
      stands: false,
      sentence: expect.stringContaining('now stops at Load') as unknown,
    });
    expect(stillStands(pick, rankShelf(build, [b])).sentence).toContain('no longer on the shelf');
    // What was open when it was picked is not told as news.
    const open = { ...a, lengthMm: { unknown: true as const } };
    const now = rankShelf(build, [open]);
    expect(stillStands(pick, now).sentence).toContain('are now unknown');
    expect(stillStands(pickOf(build, open, now[0]!, null, '2026-11-25'), now).sentence).toContain('picked before');
  });
});

test('what moved: verdict changes first, each with the rung that changed', () => {
  const before = rankShelf(belfry.value, shelf.value.boards);
  const after = rankShelf({ ...belfry.value, pack: { ...belfry.value.pack, cells: 4 } }, shelf.value.boards);
  const moved = whatMoved(before, after);
  expect(moved[0]!.before).not.toBe(moved[0]!.after);
  expect(moved.find((m) => m.boardId === 'pellmere-strake-4')!.because).toContain('Pack holds (breaks before)');
  expect(whatMoved(before, before)).toEqual([]);
});

test('broken boards rank by the rung they reach, never by their score', () => {
  const ranked = rankClimbs([
    { ...climbWith('good', { Load: 1, Cost: 1, Weight: 1 }), stopsAt: 1, verdict: 'does not fit' },
    { ...climbWith('poor', {}), stopsAt: 7, verdict: 'does not fit' },
  ] as Climb[]);
  expect(ranked.map((r) => r.climb.boardId)).toEqual(['poor', 'good']);
});
