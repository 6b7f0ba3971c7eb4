import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { openDatabase, type Database } from '../db/connection';
import { allBoards, allPeripherals, boardsText, putBoards, removeBoard, saveBoard } from '../db/library';
import { allBuilds } from '../db/builds';
import { freshDatabase } from '../db/tests/fresh-database';
import { filledIn, newBoard } from '../core';
import { loadDemoOnce } from './demo-data';
import { newBuild } from './new-build';

const files = ['shelf.json', 'builds/gutterling.json'].map((name) => ({
  name,
  text: readFileSync(`demo/${name}`, 'utf8'),
}));
let db: Database;
let close: () => Promise<void>;
beforeEach(async () => ({ db, close } = openDatabase(await freshDatabase(process.env.TEST_DATABASE_URL!))));
afterEach(() => close());

test('the demo comes into an empty database, once: what is changed or removed stays so', async () => {
  expect(await loadDemoOnce(db, files)).toBe(true);
  for (const { id } of (await allBoards(db)).slice(1)) await removeBoard(db, id, 1);
  const [left] = await allBoards(db);
  await saveBoard(db, { ...left!, name: 'Mine now' }, 1);
  expect(await loadDemoOnce(db, files)).toBe(false);
  expect((await allBoards(db)).map((b) => b.name)).toEqual(['Mine now']);
  await removeBoard(db, left!.id, 2);
  expect(await loadDemoOnce(db, files)).toBe(false);
  expect(await allBoards(db)).toEqual([]);
});

test('a database that somebody uses gets nothing, also where it has no boards', async () => {
  await newBuild(db, 'Mine');
  expect(await loadDemoOnce(db, files)).toBe(false);
  expect([
    await allBoards(db),
    await allPeripherals(db),
    (await allBuilds(db)).builds.map((b) => b.build.name),
  ]).toEqual([[], [], ['Mine']]);
});

test('two starts at once load it once, and a file that is refused leaves nothing behind', async () => {
  await expect(loadDemoOnce(db, [...files, { name: 'bad.json', text: '{}' }])).rejects.toThrow('bad.json');
  expect(await allBoards(db)).toEqual([]);
  expect((await Promise.all([loadDemoOnce(db, files), loadDemoOnce(db, files)])).sort()).toEqual([false, true]);
});

test('the shelf as text is the shelf, also with a board that an older Rung stored', async () => {
  const board = newBoard('test-board', 'Test', 'Testwright');
  const older = Object.fromEntries(
    Object.entries({ ...board, id: 'older' }).filter(([key]) => key === 'revision' || !filledIn.includes(key)),
  ) as typeof board;
  await putBoards(db, [board, older]);
  const { text, versions } = await boardsText(db);
  expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify(await allBoards(db))));
  expect(versions).toEqual({ 'test-board': 1, older: 1 });
});
