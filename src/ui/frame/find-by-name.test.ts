import { expect, test } from 'vitest';
import { findByName } from './find-by-name';

const of = (group: string, name: string, more = '') => ({ group, name, more });
const all = [
  of('Screens', 'Side by side'),
  of('Screens', 'Bench', 'what a meter reads on a board'),
  of('Boards', 'Keel F7 45', 'Tarnfield, stack'),
  of('Boards', 'Keel', 'Tarnfield, stack'),
  of('Boards', 'Great Keel', 'Oxbow, stack'),
  of('Boards', 'Offkeel', 'Oxbow, stack'),
  of('Boards', 'Sill', 'made for a keel, stack'),
  of('Words', 'Board', 'a flight controller'),
];
const names = (typed: string) => findByName(all, typed).map((f) => f.name);

test('the name itself, what begins so, whose words begin so, what holds it, what is found by something else', () =>
  expect(names('keel')).toEqual(['Keel', 'Keel F7 45', 'Great Keel', 'Offkeel', 'Sill']));
test('groups stay together, the one with the nearest first', () =>
  expect(names('board')).toEqual(['Board', 'Bench', 'Keel F7 45', 'Keel', 'Great Keel', 'Offkeel', 'Sill']));
test('every word must be met, in any order; nothing typed leaves all as it was', () => {
  expect(names('f7 keel')).toEqual(['Keel F7 45']);
  expect(names('keel sloop')).toEqual([]);
  expect(names('  ')).toEqual(all.map((f) => f.name));
});
