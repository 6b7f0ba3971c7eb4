import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { importFile } from './import-file';
import { newBuild } from './new-build';
import { addBuild, findBuild, removeBuild, saveBuild } from '../db/builds';
import { openDatabase, type Database } from '../db/connection';
import { allBoards, allPeripherals, boardsText } from '../db/library';
import { boards, peripherals } from '../db/schema';
import { migrateDatabase } from '../db/migrate';
import { freshDatabase } from '../db/tests/fresh-database';

let db: Database;
let close: () => Promise<void>;

beforeAll(async () => {
  const url = await freshDatabase(process.env.TEST_DATABASE_URL!);
  await migrateDatabase(url); // a second run changes nothing
  ({ db, close } = openDatabase(url));
});
afterAll(() => close());

const demo = (name: string) => readFileSync(`demo/${name}`, 'utf8');

describe('import', () => {
  test('the demo shelf comes in, comes back unchanged, and twice is the same as once', async () => {
    const file = JSON.parse(demo('shelf.json')) as { boards: { id: string }[]; peripherals: unknown[] };
    for (let i = 0; i < 2; i++)
      expect(await importFile(db, demo('shelf.json'))).toMatchObject({
        ok: true,
        boards: file.boards.length,
        peripherals: file.peripherals.length,
      });
    const boards = await allBoards(db);
    expect(boards.map((b) => b.id).sort()).toEqual(file.boards.map((b) => b.id).sort());
    expect(await allPeripherals(db)).toHaveLength(file.peripherals.length);
    const again = await importFile(db, JSON.stringify({ format: 'rung-shelf', version: 1, name: 'x', boards }));
    expect(again.ok).toBe(true);
    expect(await allBoards(db)).toEqual(boards);
  });

  test('what is here already and says something else is asked about: replaced, kept beside the new, or nothing at all', async () => {
    const [here, other] = await allBoards(db);
    const file = JSON.stringify({
      format: 'rung-shelf',
      version: 2,
      name: 'x',
      boards: [
        { ...here!, massG: { value: 99, origin: 'measured', seen: '2026-11-28' } },
        other,
        { ...other!, id: 'new-one' },
      ],
    });
    const asked = await importFile(db, file, 'ask');
    expect(asked).toMatchObject({ ok: false, differing: [{ kind: 'board', id: here!.id }] });
    expect('differing' in asked && asked.differing[0]!.differs.join()).toContain('in the file 99 g');
    expect((await allBoards(db)).map((b) => b.id)).not.toContain('new-one');
    expect(await importFile(db, file, 'keep')).toMatchObject({ ok: true, kept: 1 });
    expect((await allBoards(db)).find((b) => b.id === here!.id)).toEqual(here);
    expect((await allBoards(db)).map((b) => b.id)).toContain('new-one');
    expect(await importFile(db, file, 'replace')).toMatchObject({ ok: true, kept: 0 });
    expect((await allBoards(db)).find((b) => b.id === here!.id)!.massG).toMatchObject({ value: 99 });
    await importFile(db, JSON.stringify(here), 'replace');
    expect(await importFile(db, JSON.stringify(here), 'ask')).toMatchObject({ ok: true });
  });

  test('a file with one bad board changes nothing', async () => {
    const before = await allBoards(db);
    const shelf = JSON.parse(demo('shelf.json')) as { boards: { name: string; massG: unknown }[] };
    shelf.boards.forEach((b) => (b.name = `${b.name} changed`));
    shelf.boards[7]!.massG = 'heavy';
    const result = await importFile(db, JSON.stringify(shelf));
    expect(result.ok ? '' : result.faults[0]!.field).toBe('boards[7].massG');
    expect(await allBoards(db)).toEqual(before);
  });

  test('text that tries to be SQL or script is only text', async () => {
    const board = {
      ...(await allBoards(db))[0]!,
      id: 'hostile',
      name: "x'); drop table boards; --",
      summary: '<script>alert(1)</script>',
    };
    expect((await importFile(db, JSON.stringify(board))).ok).toBe(true);
    expect((await allBoards(db)).find((b) => b.id === 'hostile')?.name).toBe("x'); drop table boards; --");
  });
});

describe('builds', () => {
  test('saving on an old version is refused and hands back the newer one', async () => {
    await importFile(db, demo('builds/gutterling.json'));
    const first = (await findBuild(db, 'gutterling'))!;
    const saved = await saveBuild(db, { ...first.build, name: 'Mine' }, first.version);
    expect(saved).toMatchObject({ kind: 'saved', version: first.version + 1 });
    const late = await saveBuild(db, { ...first.build, name: 'Theirs' }, first.version);
    expect(late.kind === 'conflict' ? late.current.build.name : late.kind).toBe('Mine');
    expect((await findBuild(db, 'gutterling'))!.build.name).toBe('Mine');
  });

  test('a build stored before a field was added to the format opens with its default', async () => {
    const { build } = (await findBuild(db, 'gutterling'))!;
    const { fixes: _, ...older } = build;
    await addBuild(db, { ...older, id: 'older' } as typeof build);
    expect((await findBuild(db, 'older'))!.build.fixes).toEqual({});
  });

  test('rows that the first version of the format wrote open as they were meant', async () => {
    const [board] = await allBoards(db);
    const part = (await allPeripherals(db)).find((p) => p.modes[0]!.supplies.length === 1)!;
    const [pattern] = board!.mounting.patterns;
    const { softIsolators } = board!.mounting;
    const oldBoard = {
      ...board!,
      id: 'first-board',
      version: 1,
      mounting: { softIsolators, patternMm: pattern!.alongMm, screw: pattern!.screw },
    };
    const oldModes = part.modes.map(({ supplies, ...m }) => ({ ...m, supply: supplies[0] ?? null }));
    const oldPart = { ...part, id: 'first-part', version: 1, modes: oldModes };
    await db.insert(boards).values({ ...oldBoard, body: oldBoard as never });
    await db.insert(peripherals).values({ ...oldPart, body: oldPart as never });
    const meant = { ...board!, id: 'first-board' };
    expect((await allBoards(db)).find((b) => b.id === 'first-board')).toEqual(meant);
    const text = JSON.parse((await boardsText(db)).text) as { id: string }[];
    expect(text.find((b) => b.id === 'first-board')).toEqual(meant);
    expect((await allPeripherals(db)).find((p) => p.id === 'first-part')).toEqual({ ...part, id: 'first-part' });
  });

  test('the same save again, after its answer was lost, is saved; another one is not', async () => {
    const { build, version } = (await findBuild(db, 'gutterling'))!;
    const mine = { ...build, craft: 'once' };
    const first = await saveBuild(db, mine, version);
    expect(await saveBuild(db, mine, version)).toEqual(first);
    expect((await saveBuild(db, { ...mine, craft: 'twice' }, version)).kind).toBe('conflict');
  });

  test('names as long as they go still fork without end', async () => {
    const name = 'x'.repeat(80);
    const ids = [];
    for (let i = 0; i < 12; i++) ids.push(await newBuild(db, name));
    for (const id of ids) expect((await findBuild(db, id))!.build.name).toBe(name);
  });

  test('two imports of the same boards in opposite orders do not lock each other out', async () => {
    const boards = await allBoards(db);
    const turned = [...boards].reverse();
    await Promise.all(
      [boards, turned, boards, turned].map((list) =>
        importFile(db, JSON.stringify({ format: 'rung-shelf', version: 2, name: 'x', boards: list })),
      ),
    );
    expect((await allBoards(db)).length).toBe(boards.length);
  });

  test('two saves at once: one wins, the other is told', async () => {
    const { build, version } = (await findBuild(db, 'gutterling'))!;
    const both = await Promise.all(['a', 'b'].map((name) => saveBuild(db, { ...build, name }, version)));
    expect(both.map((r) => r.kind).sort()).toEqual(['conflict', 'saved']);
  });

  test('a new build gets a free id, also when the name is taken or has no letters', async () => {
    expect(await newBuild(db, 'Tower Kite!')).toBe('tower-kite');
    expect(await newBuild(db, 'Tower Kite')).toBe('tower-kite-2');
    expect(await newBuild(db, '???')).toBe('build');
    expect(await addBuild(db, (await findBuild(db, 'tower-kite'))!.build)).toBe(false);
  });

  test('a removed build is gone, and saving it says so', async () => {
    const { build, version } = (await findBuild(db, 'tower-kite'))!;
    await removeBuild(db, 'tower-kite', 1);
    expect(await findBuild(db, 'tower-kite')).toBeNull();
    expect(await saveBuild(db, build, version)).toEqual({ kind: 'gone' });
  });
});

test('a database that is not there is an error within seconds, not a hang', async () => {
  const nowhere = openDatabase('postgres://rung:x@127.0.0.1:9/none');
  await expect(allBoards(nowhere.db)).rejects.toThrow();
  await nowhere.close();
});
