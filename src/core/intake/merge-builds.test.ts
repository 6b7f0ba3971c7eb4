import { describe, expect, test } from 'vitest';
import type { Build, Entry } from '../records/build';
import { makeBuild, makePart } from '../tests/make';
import { mergeBuilds } from './merge-builds';

const [a, b, c] = [makePart('a', {}), makePart('b', {}), makePart('c', {})];
const base = makeBuild({ name: 'Base' }, [a, b]);
const entry = (id: string): Entry => ({ id, when: '2026-05-01', about: `about ${id}`, kind: 'measured', note: '' });

/** Things that one person may do to a build without touching what another one does. */
const edits: Record<string, (b: Build) => Build> = {
  name: (b) => ({ ...b, name: 'Another' }),
  bay: (b) => ({ ...b, frame: { ...b.frame, bayHeightMm: 33 } }),
  overhang: (b) => ({ ...b, frame: { ...b.frame, overhangMm: 2 } }),
  budget: (b) => ({ ...b, limits: { ...b.limits, budgetCents: 12_345 } }),
  mass: (b) => ({ ...b, limits: { ...b.limits, takeOffMassG: 777 } }),
  priority: (b) => ({ ...b, parts: b.parts.map((p) => (p.id === 'a' ? { ...p, priority: 'nice' } : p)) }),
  owned: (b) => ({ ...b, parts: b.parts.map((p) => (p.id === 'a' ? { ...p, owned: true } : p)) }),
  removal: (b) => ({ ...b, parts: b.parts.filter((p) => p.id !== 'b') }),
  addition: (b) => ({ ...b, parts: [...b.parts, c] }),
  tick: (b) => ({ ...b, done: { ...b.done, 'x:1': true } }),
  'other tick': (b) => ({ ...b, done: { ...b.done, 'x:2': true } }),
  entry: (b) => ({ ...b, log: [...b.log, entry('e1')] }),
  'other entry': (b) => ({ ...b, log: [...b.log, entry('e2')] }),
  lock: (b) => ({ ...b, locks: { ...b.locks, one: [{ kind: 'leave out', part: 'a' }] } }),
  'other lock': (b) => ({ ...b, locks: { ...b.locks, two: [{ kind: 'leave out', part: 'a' }] } }),
  set: (b) => ({ ...b, sets: [...b.sets, 'one~two'] }),
  'at home': (b) => ({ ...b, atHome: { ...b.atHome, wire: 1 } }),
  capacitor: (b) => ({ ...b, capacitor: { microfarads: 470, volts: 35 } }),
};
const names = Object.keys(edits);

describe('what only one of two changed is as they made it', () => {
  test.each(names)('%s here, and something else there', (one) => {
    for (const two of names.filter((n) => n !== one)) {
      const { build, clashes, together } = mergeBuilds(base, edits[one]!(base), edits[two]!(base));
      expect({ clashes, together }, two).toEqual({ clashes: [], together: true });
      const inTurn = edits[two]!(edits[one]!(base));
      const sorted = (b: Build) => ({ ...b, log: b.log.toSorted((x, y) => x.id.localeCompare(y.id)) });
      expect(sorted(build), two).toEqual(sorted(inTurn));
    }
  });
  test('who changed nothing loses nothing, on either side', () => {
    for (const edit of Object.values(edits)) {
      expect(mergeBuilds(base, base, edit(base))).toEqual({ build: edit(base), clashes: [], together: true });
      expect(mergeBuilds(base, edit(base), base)).toEqual({ build: edit(base), clashes: [], together: true });
      expect(mergeBuilds(base, edit(base), edit(base))).toEqual({ build: edit(base), clashes: [], together: true });
    }
  });
  test('a database that gives the keys of a document back in another order has changed nothing', () => {
    const turned = JSON.parse(JSON.stringify(base), (_, v: unknown) =>
      typeof v === 'object' && v !== null && !Array.isArray(v) ? Object.fromEntries(Object.entries(v).reverse()) : v,
    ) as Build;
    const mine = edits.bay!(edits.priority!(base));
    expect(mergeBuilds(base, mine, turned)).toEqual({ build: mine, clashes: [], together: true });
  });
  test('what was undone is gone, though the other side changed beside it', () => {
    const ticked = edits.tick!(base);
    expect(mergeBuilds(ticked, base, edits['other tick']!(ticked)).build.done).toEqual({ 'x:2': true });
  });
});

describe('what both changed differently is named, and the first one stands', () => {
  const budget = (cents: number) => ({ ...base, limits: { ...base.limits, budgetCents: cents } });
  test('a limit', () =>
    expect(mergeBuilds(base, edits.mass!(budget(1)), budget(2))).toEqual({
      build: edits.mass!(budget(1)),
      clashes: ['limits'],
      together: true,
    }));
  test('a part that one removed and the other changed, by its name', () => {
    const { build, clashes } = mergeBuilds(base, { ...base, parts: [b] }, edits.owned!(base));
    expect([build.parts, clashes]).toEqual([[b], ['a']]);
    expect(mergeBuilds(base, edits.owned!(base), { ...base, parts: [b] }).build).toEqual(edits.owned!(base));
  });
  test('a figure is one thing: the value of one never takes the origin of the other', () => {
    const [mine, theirs] = [
      { ...base, bareMassG: { value: 700, origin: 'measured' as const } },
      { ...base, bareMassG: { value: 500, origin: 'claim' as const, source: 'a page' } },
    ];
    const { build, clashes } = mergeBuilds(base, mine, theirs);
    expect([build.bareMassG, clashes]).toEqual([mine.bareMassG, ['the bare craft']]);
  });
  test('the order of a list that both turned', () => {
    const three = { ...base, parts: [a, b, c] };
    const order = (...parts: Build['parts']) => ({ ...base, parts });
    expect(mergeBuilds(three, order(b, a, c), order(a, c, b)).clashes).toEqual(['the order of the list']);
    expect(mergeBuilds(three, order(c, a, b), order(a, b, { ...c, owned: true })).build.parts).toEqual([
      { ...c, owned: true },
      a,
      b,
    ]);
  });
});

describe('the order of a list', () => {
  const [x, y] = [makePart('x', {}), makePart('y', {})];
  const three = { ...base, parts: [a, b, c] };
  const order = (...parts: Build['parts']) => ({ ...base, parts });
  const merged = (mine: Build, theirs: Build) => {
    const { build, clashes } = mergeBuilds(three, mine, theirs);
    return [build.parts.map((p) => p.id).join(''), ...clashes];
  };
  test.each([
    ['both put something in', order(a, x, b, c), order(a, b, y, c), 'axbyc'],
    ['both put something first', order(x, a, b, c), order(y, a, b, c), 'xyabc'],
    ['one turned it, the other put something in and took something out', order(c, b, a), order(a, x, c), 'cax'],
    ['one put in and took out, the other turned it', order(a, x, c), order(c, b, a), 'cax'],
    ['both turned it the same way, and one put something in', order(b, a, x, c), order(b, a, c), 'baxc'],
    ['both turned it, each in another way', order(b, a, c), order(a, c, b), 'bac', 'the order of the list'],
  ])('%s', (_, mine, theirs, ...expected) => expect(merged(mine, theirs)).toEqual(expected));
});

describe('what cannot be put together stays apart', () => {
  test('amounts in one currency and a change to another', () => {
    const pounds: Build = { ...base, currency: 'GBP', rates: { EUR: 0.85 } };
    expect(mergeBuilds(base, edits.budget!(base), pounds)).toEqual({
      build: edits.budget!(base),
      clashes: ['the currency'],
      together: false,
    });
    expect(mergeBuilds(base, base, pounds)).toEqual({ build: pounds, clashes: [], together: true });
  });
  test('more parts than a build takes', () => {
    const many = (key: string) => ({
      ...base,
      parts: [...base.parts, ...Array.from({ length: 25 }, (_, i) => makePart(`${key}${i}`, {}))],
    });
    expect(mergeBuilds(base, many('x'), many('y'))).toEqual({
      build: many('x'),
      clashes: ['what goes with what'],
      together: false,
    });
  });
});
