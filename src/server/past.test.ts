import { readFileSync } from 'node:fs';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { addBuild, findBuild, removeBuild, saveBuild } from '../db/builds';
import { openDatabase, type Database } from '../db/connection';
import { allBoards, findBoard, putBoards, removeBoard, saveBoard } from '../db/library';
import { asOf, binOf, bringBack, historyOf, movedSince } from '../db/past';
import { freshDatabase } from '../db/tests/fresh-database';
import { importFile } from './import-file';

let db: Database;
let close: () => Promise<void>;
beforeAll(async () => {
  ({ db, close } = openDatabase(await freshDatabase(process.env.TEST_DATABASE_URL!)));
  await importFile(db, readFileSync('demo/shelf.json', 'utf8'));
  await importFile(db, readFileSync('demo/builds/gutterling.json', 'utf8'));
});
afterAll(() => close());

const hoursLater = (kind: string) => db.execute(sql`update past set at = at - interval '2 hours' where kind = ${kind}`);

describe('what was overwritten comes back', () => {
  test('a build: one entry a sitting, as it was before it; bringing back is a new version, and keeps what stood there', async () => {
    const first = (await findBuild(db, 'gutterling'))!;
    await saveBuild(db, { ...first.build, name: 'Two' }, 1);
    await saveBuild(db, { ...first.build, name: 'Three' }, 2);
    expect((await historyOf(db, 'build', 'gutterling')).map((e) => [e.version, e.name])).toEqual([[1, 'Gutterling']]);
    await hoursLater('build');
    await saveBuild(db, { ...first.build, name: 'Four' }, 3);
    expect((await historyOf(db, 'build', 'gutterling')).map((e) => e.name)).toEqual(['Three', 'Gutterling']);
    expect(await asOf(db, { kind: 'build', id: 'gutterling', version: 1 })).toEqual(first.build);
    await hoursLater('build');
    expect(await bringBack(db, { kind: 'build', id: 'gutterling', version: 1 })).toEqual({ version: 5 });
    expect((await findBuild(db, 'gutterling'))!.build).toEqual(first.build);
    expect((await historyOf(db, 'build', 'gutterling'))[0]!.name).toBe('Four');
  });
  test('a save that changes nothing is no history', async () => {
    const { build, version } = (await findBuild(db, 'gutterling'))!;
    await hoursLater('build');
    const before = await historyOf(db, 'build', 'gutterling');
    await saveBuild(db, build, version);
    expect(await historyOf(db, 'build', 'gutterling')).toEqual(before);
  });
  test('a clock that was a day ahead and was put right keeps nothing from being kept', async () => {
    const [board] = await allBoards(db);
    await putBoards(db, [{ ...board!, summary: 'while it was ahead' }]);
    await db.execute(sql`update past set at = now() + interval '1 day' where id = ${board!.id}`);
    const before = (await historyOf(db, 'board', board!.id)).length;
    await putBoards(db, [{ ...board!, summary: 'put right' }]);
    expect((await historyOf(db, 'board', board!.id)).length).toBe(before + 1);
    await db.execute(sql`delete from past where id = ${board!.id}`);
    await putBoards(db, [board!]);
    await db.execute(sql`delete from past where id = ${board!.id}`);
  });
  test('boards that an import replaces', async () => {
    const [board] = await allBoards(db);
    await putBoards(db, [{ ...board!, summary: 'over it' }]);
    const [kept] = await historyOf(db, 'board', board!.id);
    expect(await asOf(db, { kind: 'board', id: board!.id, version: kept!.version })).toEqual(board);
  });
});

describe('what was removed comes back', () => {
  test('from the bin, on a version that goes on counting', async () => {
    const board = (await allBoards(db))[3]!;
    await saveBoard(db, { ...board, summary: 'seen' }, 1);
    expect(await removeBoard(db, board.id, 2)).toBe(true);
    const [gone] = await binOf(db);
    expect(gone).toMatchObject({ kind: 'board', id: board.id, version: 2, name: board.name });
    expect(await bringBack(db, gone!)).toEqual({ version: 3 });
    expect((await findBoard(db, board.id))!.board.summary).toBe('seen');
    expect((await binOf(db)).map((e) => e.id)).not.toContain(board.id);
  });
  test('versions never restart: what is made anew under an id counts on, so that an old tab cannot save over it', async () => {
    const { build } = (await findBuild(db, 'gutterling'))!;
    await addBuild(db, { ...build, id: 'again' });
    await removeBuild(db, 'again', 1);
    await addBuild(db, { ...build, id: 'again', name: 'Another' });
    expect((await findBuild(db, 'again'))!.version).toBe(2);
    expect((await saveBuild(db, { ...build, id: 'again' }, 1)).kind).toBe('conflict');
  });
  test('only as the version that was seen: a change in the meantime is not removed with it', async () => {
    const { build, version } = (await findBuild(db, 'again'))!;
    await saveBuild(db, { ...build, name: 'Newer' }, version);
    expect(await removeBuild(db, 'again', version)).toBe(false);
    expect((await findBuild(db, 'again'))!.build.name).toBe('Newer');
    expect(await removeBuild(db, 'never was', 1)).toBe(true);
  });
  test('after 30 days it is gone', async () => {
    const board = (await allBoards(db))[5]!;
    await removeBoard(db, board.id, 1);
    await db.execute(sql`update past set at = at - interval '31 days' where id = ${board.id}`);
    expect((await binOf(db)).map((e) => e.id)).not.toContain(board.id);
    await removeBoard(db, (await allBoards(db))[6]!.id, 1);
    expect(await historyOf(db, 'board', board.id)).toEqual([]);
  });
  test('of what never was nothing comes', async () =>
    expect(await bringBack(db, { kind: 'build', id: 'none', version: 1 })).toBeNull());
});

describe('what moved', () => {
  test('what changed since a moment stands with what it was before the first change; what came and what went too', async () => {
    // All that the tests above did was long ago.
    await db.execute(sql`update past set at = at - interval '2 days'`);
    await db.execute(sql`update boards set updated_at = updated_at - interval '2 days'`);
    await db.execute(sql`update builds set updated_at = updated_at - interval '2 days'`);
    await db.execute(sql`update peripherals set updated_at = updated_at - interval '2 days'`);
    const since = new Date(Date.now() - 3_600_000);
    expect(await movedSince(db, since)).toEqual([]);
    const { build, version } = (await findBuild(db, 'gutterling'))!;
    await saveBuild(db, { ...build, name: 'Moved' }, version);
    await saveBuild(db, { ...build, name: 'Moved again' }, version + 1);
    await addBuild(db, { ...build, id: 'fresh', name: 'Fresh' });
    const [gone] = await allBoards(db);
    await removeBoard(db, gone!.id, (await findBoard(db, gone!.id))!.version);
    const moved = await movedSince(db, since);
    const of = (id: string) => moved.find((m) => m.id === id)!;
    expect(moved).toHaveLength(3);
    expect([of('gutterling').before?.name, of('gutterling').now?.name]).toEqual([build.name, 'Moved again']);
    expect([of('fresh').before, of('fresh').now?.name]).toEqual([null, 'Fresh']);
    expect([of(gone!.id).before?.name, of(gone!.id).now]).toEqual([gone!.name, null]);
  });
});
