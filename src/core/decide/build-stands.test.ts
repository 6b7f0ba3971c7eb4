import { describe, expect, test } from 'vitest';
import type { Build } from '../records/build';
import { makeBoard, makeBuild, makePart, says, supply, unknown } from '../tests/make';
import { buildStands } from './build-stands';
import { pickMoved } from './pick-moved';
import { pickOf } from './pick';
import { rankShelf } from './rank-shelf';

const today = '2026-11-28';
const fits = makeBoard();
const small = makeBoard({ id: 'small', name: 'Small', packCells: { min: says(1), max: says(2) } });
const open = makeBoard({ id: 'open', name: 'Open', packCells: { min: unknown, max: unknown } });
const lamp = makePart('lamp', { links: [], supply: supply(3, 26, 0.1) });
const build = makeBuild({}, [lamp]);
const stands = (b: Build, boards = [fits, small]) => buildStands(b, rankShelf(b, boards), today);
const picked = (stage: Build['stage'], more: Partial<Build> = {}): Build => {
  const ranked = rankShelf(build, [fits, small]);
  return { ...build, stage, picks: [pickOf(build, fits, ranked[0]!, null, '2026-11-20')], ...more };
};

test('counts what fits, what cannot be told, and where most stop', () => {
  const { fits: carry, undecided, of, mostStopAt } = stands(build, [fits, small, open]);
  expect([carry, undecided, of]).toEqual([1, 1, 3]);
  expect(mostStopAt).toEqual({ rung: 'Pack', boards: 1 });
});

describe('the next act', () => {
  test('without parts: list them', () =>
    expect(stands(makeBuild()).act).toMatchObject({ place: 'build', blocked: true }));
  test('without a shelf: read a board', () =>
    expect(stands(build, []).act).toMatchObject({ place: 'shelf', blocked: true }));
  test('a board that carries it: choose', () =>
    expect(stands(build).act).toMatchObject({ place: 'board', board: 'plank', blocked: false }));
  test('boards by themselves, where the shelf makes sets too: the ladder, since a set may come first', () =>
    expect(buildStands(build, rankShelf(build, [fits, small]), today, true)).toMatchObject({
      alone: true,
      act: { place: 'ladder', blocked: false },
    }));
  test('only one that cannot be told: answer', () =>
    expect(stands(build, [open]).act).toMatchObject({ place: 'questions', blocked: true }));
  test('none at all: the nearest, with where it stops', () => {
    const { act } = stands(build, [small]);
    expect(act).toMatchObject({ place: 'board', board: 'small', blocked: true });
    expect(act.says).toContain('stops at Pack');
  });
  test('picked: order; a pick that no longer stands is looked at again', () => {
    expect(stands(picked('picked')).act).toMatchObject({ place: 'basket', blocked: false });
    const heavier = picked('picked', { pack: { ...build.pack, cells: 8 } });
    expect(stands(heavier).act).toMatchObject({ place: 'board', board: 'plank', blocked: true });
  });
  test('ordered: wait with the sheet; overdue: look whether it came', () => {
    expect(stands(picked('ordered', { arrivesOn: '2026-12-01' })).act).toMatchObject({ place: 'sheet' });
    expect(stands(picked('ordered', { arrivesOn: '2026-11-27' })).act).toMatchObject({ place: 'log' });
  });
  test.each([
    ['arrived', 'sheet'],
    ['soldered', 'bench'],
    ['powered', 'log'],
    ['done', 'log'],
  ] as const)('%s: %s', (stage, place) => expect(stands(picked(stage)).act.place).toBe(place));
});

test('each act says what to do, by name and by day', () => {
  const says = (b: Build, boards?: (typeof fits)[]) => stands(b, boards).act.says;
  expect([
    says(makeBuild()),
    says(build, []),
    says(build),
    buildStands(build, rankShelf(build, [fits, small]), today, true).act.says,
    says(build, [open]),
    says(build, [small]),
    says(picked('picked')),
    says(picked('ordered')),
    says(picked('ordered', { arrivesOn: today })),
    says(picked('ordered', { arrivesOn: '2026-11-27' })),
    says(picked('arrived', { done: { 'plank mount': true } })),
    says(picked('arrived', { done: { a: true, b: true } })),
    says(picked('soldered')),
    says(picked('powered')),
    says(picked('done')),
  ]).toEqual([
    'List what must hang off the board.',
    'The shelf has no board yet: read one from its page.',
    'Choose: Plank comes first.',
    'Choose on the ladder: of the boards by themselves Plank comes first.',
    'Nobody says enough yet: answer what decides.',
    'No board carries it. Nearest: Small, stops at Pack.',
    'Order Plank with all that is still to be bought.',
    'On its way. Read the build sheet meanwhile.',
    `Due on ${today}. Read the build sheet meanwhile.`,
    'It was due on 2026-11-27. Has it come? Look at it before anything is soldered.',
    'Solder by the build sheet: 1 step ticked.',
    'Solder by the build sheet: 2 steps ticked.',
    'First power: walk through it on the bench before the pack is plugged in.',
    'Write down what was measured.',
    'Done. What was measured can go to the shelf.',
  ]);
});

test('of as many boards that stop at two rungs the lower rung is named', () => {
  const heavy = makeBoard({ id: 'heavy', massG: says(900) });
  expect(stands(build, [heavy, small]).mostStopAt).toEqual({ rung: 'Pack', boards: 1 });
  expect(stands(build, [heavy, { ...heavy, id: 'too' }, small]).mostStopAt).toEqual({ rung: 'Weight', boards: 2 });
});

describe('what became of a pick', () => {
  const now = picked('picked');
  test('nothing, where nothing that matters changed', () =>
    expect(pickMoved({ build: now, boards: [fits] }, { build: now, boards: [fits] })).toBeNull());
  test('a figure that now says no is said with the rung', () => {
    const worse = makeBoard({ packCells: { min: says(2), max: says(3) } });
    expect(pickMoved({ build: now, boards: [fits] }, { build: now, boards: [worse] })).toMatch(
      /^Plank: fits.*, now does not fit\. Pack breaks/,
    );
  });
  test('gone from the shelf', () =>
    expect(pickMoved({ build: now, boards: [fits] }, { build: now, boards: [] })).toBe(
      'Plank is no longer on the shelf',
    ));
  test('without a pick nothing', () => expect(pickMoved({ build, boards: [fits] }, { build, boards: [] })).toBeNull());
});
