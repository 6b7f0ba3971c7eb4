import { describe, expect, test } from 'vitest';
import type { Climb, Rung, Verdict } from '../evaluate/climb';
import type { Finding, RungState } from '../rungs/finding';
import type { Pick } from '../records/build';
import { rungNames } from '../trade/rungs';
import { frontierOf, smallestMargin, standingsCsv } from './frontier';
import { whatMoved } from './moved';
import { makeBoard, makeBuild, unknown } from '../tests/make';
import { pickedId, pickedName, pickOf, stillStands } from './pick';
import { robustnessOf } from './robustness';
import { reasonableWeightings } from './weightings';
import { firstOf, rankClimbs } from './rank-shelf';

/** A climb of which only what is said is told from one that holds everywhere. */
const climbOf = (
  id: string,
  {
    states = {},
    margins = {},
    findings = {},
    ...more
  }: Partial<Omit<Climb, 'rungs'>> & {
    states?: Record<number, RungState>;
    margins?: Record<number, number>;
    findings?: Record<number, object[]>;
  } = {},
): Climb => {
  const rungs = rungNames.map((name, i) => ({
    rung: i + 1,
    name,
    state: states[i + 1] ?? 'holds',
    margin: margins[i + 1] ?? null,
    findings: (findings[i + 1] ?? []) as Finding[],
  })) as Rung[];
  const stop = rungs.find((r) => r.state === 'breaks')?.rung ?? null;
  const worst = rungs.some((r) => r.state === 'unknown') ? 'cannot say yet' : 'fits';
  const verdict: Verdict = stop === null ? worst : 'does not fit';
  return {
    boardId: id,
    boardName: `Board ${id}`,
    verdict,
    stopsAt: stop,
    rungs,
    massG: { low: 10, high: 12 },
    totalCents: 5000,
    setAside: false,
    members: null,
    ...more,
  } as unknown as Climb;
};
const order = (...climbs: Climb[]) => rankClimbs(climbs).map((r) => r.climb.boardId);

describe('the order', () => {
  test('whole boards before undecided before broken ones, and what was set aside after all', () => {
    const aside = climbOf('aside', { setAside: true });
    const broken = climbOf('broken', { states: { 9: 'breaks' } });
    const open = climbOf('open', { states: { 8: 'unknown' } });
    const work = climbOf('work', { verdict: 'fits with work', states: { 4: 'strained' } });
    expect(order(aside, broken, open, work, climbOf('fits'))).toEqual(['fits', 'work', 'open', 'broken', 'aside']);
    expect(firstOf([aside, broken, open])).toBeNull();
    expect(firstOf([open, climbOf('fits')])).toBe('fits');
    expect(firstOf([])).toBeNull();
  });

  test('with work and without are one class: the score tells them apart', () => {
    const strained = climbOf('a', { verdict: 'fits with work', states: { 4: 'strained' }, margins: { 4: 0.5 } });
    // Strained at its best is 0.6, what holds on the last drop 0.7: two such rungs lose more.
    const tight = climbOf('b', { margins: { 1: 0, 2: 0 } });
    expect(order(tight, strained)).toEqual(['a', 'b']);
  });

  test('broken ones by the rung they reach, then by how many rungs below it nobody can judge, then by what they are over', () => {
    const at = (id: string, rung: number, more = {}) => climbOf(id, { states: { [rung]: 'breaks', ...more } });
    expect(order(at('a', 3), at('b', 7), at('c', 5))).toEqual(['b', 'c', 'a']);
    expect(
      order(at('a', 7, { 2: 'unknown', 3: 'unknown' }), at('b', 7, { 9: 'unknown' }), at('c', 7, { 1: 'unknown' })),
    ).toEqual(['b', 'c', 'a']);
    const heavy = (id: string, low: number) => climbOf(id, { states: { 8: 'breaks' }, massG: { low, high: 999 } });
    expect(order(heavy('a', 300), heavy('b', 200))).toEqual(['b', 'a']);
    const dear = (id: string, totalCents: number | null) => climbOf(id, { states: { 9: 'breaks' }, totalCents });
    expect(order(dear('a', null), dear('b', 9000), dear('c', 8000))).toEqual(['c', 'b', 'a']);
    // Elsewhere mass and money are no reason.
    const light = climbOf('z', { states: { 7: 'breaks' }, massG: { low: 1, high: 1 } });
    expect(order(climbOf('y', { states: { 7: 'breaks' } }), light)).toEqual(['y', 'z']);
  });

  test('ties fall to the cheaper board, then to the name, then to the address', () => {
    const of = (id: string, totalCents: number | null, boardName = 'same') => climbOf(id, { totalCents, boardName });
    expect(order(of('a', null), of('b', 200), of('c', 100))).toEqual(['c', 'b', 'a']);
    expect(order(of('b', 100, 'beta'), of('a', 100, 'gamma'), of('c', 100, 'alpha'))).toEqual(['c', 'b', 'a']);
    expect(order(of('b', 100), of('a', 100))).toEqual(['a', 'b']);
  });

  test('of two that are undecided alike the one that may turn out better', () => {
    const wish = (state: RungState) => [
      { state, counts: 1 },
      { state: 'holds', counts: 1 },
    ];
    const may = climbOf('b', { findings: { 10: wish('unknown') } });
    const not = climbOf('a', { findings: { 10: wish('strained') } });
    expect(order(not, may)).toEqual(['b', 'a']);
  });
});

describe('what moved', () => {
  const finding = (state: RungState) => ({ state, code: 'nothing new', says: { code: 'nothing to judge' } });
  const moved = (before: Climb[], after: Climb[]) =>
    whatMoved(rankClimbs(before), rankClimbs(after)).map((m) => [m.boardId, m.from, m.to, m.because]);

  test('nothing where nothing changed; a board that is new has not moved', () => {
    expect(moved([climbOf('a')], [climbOf('a')])).toEqual([]);
    expect(moved([climbOf('a')], [climbOf('a'), climbOf('b')])).toEqual([]);
  });

  test('changed verdicts first, then changed rungs, then what was only passed; of one kind the higher place first', () => {
    const before = ['a', 'b', 'c', 'd'].map((id) => climbOf(id));
    const after = [
      climbOf('a', { states: { 4: 'unknown' }, findings: { 4: [finding('unknown')] } }),
      climbOf('b'),
      climbOf('c', { states: { 5: 'strained' }, findings: { 5: [finding('strained')] } }),
      climbOf('d'),
    ];
    expect(moved(before, after)).toEqual([
      ['a', 1, 4, `${rungNames[3]} unknown (holds before): Nothing is wired that could be wrong here.`],
      ['c', 3, 3, `${rungNames[4]} strained (holds before): Nothing is wired that could be wrong here.`],
      ['b', 2, 1, null],
      ['d', 4, 2, null],
    ]);
  });

  test('what holds again says what no longer is so, and the lowest rung that changed is told', () => {
    const was = climbOf('a', {
      states: { 2: 'strained', 6: 'breaks' },
      findings: { 2: [finding('holds'), finding('strained')], 6: [finding('breaks')] },
    });
    expect(moved([was], [climbOf('a')])[0]![3]).toMatch(
      new RegExp(`^${rungNames[1]} holds \\(strained before\\): no longer: `),
    );
    expect(moved([climbOf('a', { states: { 2: 'strained' } })], [climbOf('a')])[0]![3]).toBe(
      `${rungNames[1]} holds (strained before)`,
    );
  });
});

describe('the frontier', () => {
  test('what has no price or no mass takes no part; a board is beaten by one that is worse at nothing', () => {
    const of = (id: string, totalCents: number | null, high: number | null, margin = 0.5) =>
      climbOf(id, { totalCents, massG: { low: 0, high }, margins: { 3: margin, 4: 0.9 } });
    const all = frontierOf([
      of('a', 100, 10),
      of('b', 100, 12),
      of('c', null, 1),
      of('d', 1, null),
      of('e', 200, 10, 0.6),
    ]);
    expect(all.map((s) => [s.boardId, s.beatenBy])).toEqual([
      ['a', null],
      ['b', 'Board a'],
      ['e', null],
    ]);
    // Two that are alike in everything do not beat each other.
    expect(frontierOf([of('a', 1, 1), of('b', 1, 1)]).map((s) => s.beatenBy)).toEqual([null, null]);
    expect(standingsCsv(all, 'EUR').trimEnd().split('\r\n')).toEqual([
      'board,to pay EUR,g,smallest margin,beaten by',
      'Board a,1.00,10,0.50,',
      'Board b,1.00,12,0.50,Board a',
      'Board e,2.00,10,0.60,',
    ]);
  });

  test('the smallest margin of any rung, at most all of it', () => {
    expect(smallestMargin(climbOf('a', { margins: { 2: 0.4, 3: 0.2, 4: 7 } }))).toBe(0.2);
    expect(smallestMargin(climbOf('a', { margins: { 4: 7 } }))).toBe(1);
    expect(smallestMargin(climbOf('a'))).toBe(1);
  });
});

describe('a pick, looked at again', () => {
  const board = (id: string) => ({ id, name: `Board ${id}` });
  const pick = (more: Partial<Pick> = {}) =>
    ({ board: board('a'), with: [], verdict: 'fits', rank: 1, ...more }) as unknown as Pick;
  const says = (now: Climb[], more: Partial<Pick> = {}) => stillStands(pick(more), rankClimbs(now));

  test.each([
    ['first still', [climbOf('a')], {}, true, 'It still stands: Board a is first, fits.'],
    ['gone', [climbOf('b')], {}, false, 'Board a is no longer on the shelf.'],
    [
      'second now',
      [climbOf('b', { totalCents: 1 }), climbOf('a')],
      {},
      false,
      'Board a still carries the build, but Board b now comes before it (place 2, 1 when it was picked).',
    ],
    [
      'second then, too',
      [climbOf('b', { totalCents: 1 }), climbOf('a')],
      { rank: 2 },
      true,
      'Board a still carries the build, but Board b now comes before it (place 2, 2 when it was picked).',
    ],
    [
      'open now',
      [climbOf('a', { states: { 4: 'unknown' } })],
      {},
      false,
      'That cannot be said: figures of Board a that decide are now unknown.',
    ],
    [
      'open then',
      [climbOf('a', { states: { 4: 'unknown' } })],
      { verdict: 'cannot say yet' as const },
      false,
      'It was picked before it could be said whether it carries the build, and that cannot be said yet: figures of Board a that decide are unknown.',
    ],
  ] as [string, Climb[], Partial<Pick>, boolean, string][])('%s', (_, now, more, stands, sentence) => {
    expect(says(now, more)).toEqual({ stands, sentence });
  });

  test('one that breaks says where', () => {
    const now = climbOf('a', {
      states: { 3: 'breaks' },
      findings: { 3: [{ state: 'breaks', code: 'nothing new', says: { code: 'nothing to judge' } }] },
    });
    expect(says([now]).stands).toBe(false);
    expect(says([now]).sentence).toMatch(new RegExp(`^It would not: Board a now stops at ${rungNames[2]}\\. .+`));
  });

  test('a set is called by all its members, and may be gone from the best', () => {
    const set = pick({ with: [board('b')] as never });
    expect([pickedId(set), pickedName(set)]).toEqual(['a~b', 'Board a + Board b']);
    expect(stillStands(set, []).sentence).toBe(
      'Board a + Board b is no longer on the shelf, or not among its best sets.',
    );
  });
});

test('picks of one day and board have names of their own; what is open is kept with the brief and the reasons', () => {
  const [board, build] = [makeBoard({ massG: unknown }), makeBuild()];
  const [ranked] = rankClimbs([climbOf('plank', { states: { 8: 'unknown' }, findings: { 8: [] } })]);
  const first = pickOf(build, board, ranked!, 0.4, '2026-11-20');
  const second = pickOf({ ...build, picks: [first] }, board, ranked!, null, '2026-11-20');
  const third = pickOf({ ...build, picks: [first, second] }, board, ranked!, null, '2026-11-20');
  const next = pickOf({ ...build, picks: [first] }, board, ranked!, null, '2026-11-21');
  expect([first.id, second.id, third.id, next.id]).toEqual([
    '2026-11-20-plank',
    '2026-11-20-plank.1',
    '2026-11-20-plank.2',
    '2026-11-21-plank',
  ]);
  expect(first).toMatchObject({
    rank: 1,
    firstShare: 0.4,
    cents: 5000,
    grams: 12,
    verdict: 'cannot say yet',
    with: [],
  });
  expect(first.open.length).toBeGreaterThan(0);
  expect(first.brief.length).toBeGreaterThan(0);
});

describe('what must count more', () => {
  const none = { statements: [], ranges: {} };
  test('one that is never first wins for no reasonable weighting; one that is better everywhere when all count about alike', () => {
    const good = climbOf('good', { margins: Object.fromEntries(rungNames.map((_, i) => [i + 1, 0.5])) });
    const poor = climbOf('poor', { margins: Object.fromEntries(rungNames.map((_, i) => [i + 1, 0.1])) });
    const { boards, samples, error } = robustnessOf([good, poor], none);
    expect(boards.map((b) => [b.byRank, b.says])).toEqual([
      [[1, 0], 'wins when all rungs count about alike'],
      [[0, 1], 'wins for no reasonable weighting'],
    ]);
    // 1.96 times the root of a quarter over as many, at most.
    expect(error).toBeCloseTo(0.98 / Math.sqrt(samples), 9);
  });

  test('of two that are each better at one rung, that rung counts more and the other less', () => {
    const at = (id: string, rung: number) => climbOf(id, { margins: { 1: 0, 2: 0, [rung]: 0.5 } });
    const { boards } = robustnessOf([at('a', 1), at('b', 2)], none);
    expect(boards[0]!.says).toBe(`wins when ${rungNames[0]} counts more and ${rungNames[1]} counts less`);
    expect(boards[1]!.says).toBe(`wins when ${rungNames[1]} counts more and ${rungNames[0]} counts less`);
    expect(boards[0]!.byRank[0]! + boards[1]!.byRank[0]!).toBeCloseTo(1, 9);
  });

  test('statements that form no chain are thrown away one by one; a chain is sorted: of three rungs a sixth of all agrees', () => {
    const [a, b, c, d] = rungNames as unknown as [never, never, never, never];
    const share = (statements: [never, never][]) =>
      reasonableWeightings({ statements: statements.map(([more, than]) => ({ more, than })), ranges: {} }, 2000)
        .agreeing;
    expect(share([])).toBe(1);
    expect(
      share([
        [a, b],
        [b, c],
      ]),
    ).toBeCloseTo(1 / 6, 9);
    // Two pairs that have nothing to do with each other: a quarter; a fork: a third.
    expect(
      share([
        [a, b],
        [c, d],
      ]),
    ).toBeCloseTo(1 / 4, 1);
    expect(
      share([
        [a, b],
        [a, c],
      ]),
    ).toBeCloseTo(1 / 3, 1);
    expect(
      share([
        [a, b],
        [b, a],
      ]),
    ).toBe(0);
  });
});
