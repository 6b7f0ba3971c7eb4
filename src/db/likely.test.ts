import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { goodEnds, isCandidate, siftedOut, sieveOf, type Board, type GoodEnds } from '../core';
import { demoBuilds, demoShelf } from '../core/tests/demo';
import { variedBoard } from '../core/tests/varied-board';
import { openDatabase, type Database } from './connection';
import { boardsText, countBoards, putBoards } from './library';
import { climbs, mayCarry, namesOfLikely } from './likely';
import { boards } from './schema';
import { freshDatabase } from './tests/fresh-database';

let db: Database;
let close: () => Promise<void>;
const shelf = demoShelf().boards;
const all = [...shelf, ...Array.from({ length: 300 }, (_, i) => variedBoard(400 + i, shelf))];

beforeAll(async () => {
  ({ db, close } = openDatabase(await freshDatabase(process.env.TEST_DATABASE_URL!)));
  await putBoards(db, all);
});
afterAll(() => close());

const { shortMm, longMm, heightMm, massG, packVolts, fewestCells, channels, continuousAmps, motorAmps, cents } = boards;
const columns = {
  shortMm,
  longMm,
  heightMm,
  massG,
  packVolts,
  fewestCells,
  channels,
  continuousAmps,
  motorAmps,
  cents,
};

async function idsWith(build: Parameters<typeof mayCarry>[0], most = all.length): Promise<string[]> {
  const { text } = await boardsText(db, { only: { where: mayCarry(build), most } });
  return (JSON.parse(text) as Board[]).map((b) => b.id);
}

test('the columns of a board are what the core says of it', async () => {
  const rows = await db.select({ id: boards.id, ...columns }).from(boards);
  const said = new Map(rows.map(({ id, ...ends }) => [id, ends as GoodEnds]));
  for (const board of all) expect(said.get(board.id), board.id).toEqual(goodEnds(board));
});

test('the database sifts as the core does, and counts all', async () => {
  expect(await countBoards(db)).toBe(all.length);
  expect(await countBoards(db, climbs)).toBe(all.filter(isCandidate).length);
  for (const build of demoBuilds().map((b) => ({ ...b, picks: [], fixes: {} }))) {
    const ids = await idsWith(build);
    const sieve = sieveOf(build);
    expect(ids.sort(), build.name).toEqual(
      all
        .filter((b) => isCandidate(b) && !siftedOut(sieve, goodEnds(b)))
        .map((b) => b.id)
        .sort(),
    );
    expect(ids.length).toBeLessThan(all.length);
    expect(await idsWith(build, 5)).toHaveLength(5);
  }
});

test('the first of them are named, by maker and name', async () => {
  const build = { ...demoBuilds()[0]!, picks: [], fixes: {} };
  const ids = new Set(await idsWith(build));
  const named = await namesOfLikely(db, build, 20);
  expect(named).toHaveLength(20);
  for (const { id, name, maker } of named) {
    expect(ids.has(id)).toBe(true);
    expect(all.find((b) => b.id === id)).toMatchObject({ name, maker });
  }
  expect(await namesOfLikely(db, build, 5)).toEqual(named.slice(0, 5));
});

test('what was accepted as a fix comes along, and so does what an older Rung wrote', async () => {
  const build = { ...demoBuilds()[0]!, picks: [], fixes: {} };
  const out = all.filter((b) => isCandidate(b) && siftedOut(sieveOf(build), goodEnds(b)));
  const [fixed, old] = out;
  expect(await idsWith(build)).not.toContain(fixed!.id);
  expect(await idsWith({ ...build, fixes: { [fixed!.id]: [] } })).toContain(fixed!.id);
  const older = sql`jsonb_set(body, '{version}', '1')`;
  await db.update(boards).set({ body: older }).where(eq(boards.id, old!.id));
  const rows = await db.select({ id: boards.id }).from(boards).where(mayCarry(build));
  expect(rows.map((r) => r.id)).toContain(old!.id);
});

test('a document that is not as it should be gives no figure, and is no fault of the columns', async () => {
  const body = { lengthMm: 'long', widthMm: { value: '30' }, offers: { cents: 1 }, esc: 7, packCells: [] };
  await db.insert(boards).values({ id: 'odd', body: body as never });
  const [row] = await db.select(columns).from(boards).where(eq(boards.id, 'odd'));
  expect(new Set(Object.values(row!))).toEqual(new Set([null]));
});

test.each([1e308, -1e308, 5e-324, 0])('figures of %d are taken, and are what the core says', async (n) => {
  const figure = { value: n, origin: 'claim' as const };
  const far: Board = {
    ...all[0]!,
    id: 'far',
    lengthMm: figure,
    widthMm: figure,
    heightMm: figure,
    massG: figure,
    packCells: { min: figure, max: figure },
    packMaxVolts: { unknown: true },
  };
  await putBoards(db, [far]);
  const [row] = await db.select(columns).from(boards).where(eq(boards.id, 'far'));
  expect(row).toEqual(goodEnds(far));
});
