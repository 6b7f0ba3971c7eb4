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
