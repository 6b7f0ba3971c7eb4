import net from 'node:net';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { answer, say } from './answer';
import { newBuild } from './new-build';
import { allBuilds, findBuild } from '../db/builds';
import { openDatabase, type Database } from '../db/connection';
import { isDatabaseDown, UnreadableRecord } from '../db/faults';
import { allBoards, allPeripherals, boardsText } from '../db/library';
import { canSave } from '../db/milestones';
import { boards, builds, milestones, peripherals } from '../db/schema';
import { freshDatabase } from '../db/tests/fresh-database';

let db: Database;
let close: () => Promise<void>;
beforeAll(async () => {
  ({ db, close } = openDatabase(await freshDatabase(process.env.TEST_DATABASE_URL!)));
});
afterAll(() => close());

const request = new Request('http://127.0.0.1:1/api', { headers: { host: '127.0.0.1:1' } });
const said = async (work: () => Promise<unknown>) => {
  const reply = await answer(request, 'read', () => work() as never);
  return { status: reply.status, sentence: ((await reply.json()) as { sentence: string }).sentence };
};

describe('what went wrong is told as what it is', () => {
  test('a database that is not there', async () => {
    const nowhere = openDatabase('postgres://rung:x@127.0.0.1:9/none');
    const error = await allBoards(nowhere.db).catch((e: unknown) => e);
    await nowhere.close();
    expect(isDatabaseDown(error)).toBe(true);
    expect(await said(() => Promise.reject(error as Error))).toMatchObject({
      status: 503,
      sentence: expect.stringContaining('database does not answer'),
    });
  });
  test('a database that takes the connection and then says nothing more', async () => {
    // Authentication taken and ready, in PostgreSQL's own protocol (its manual, 55.7); every query after that is left without an answer.
    const frozen = net.createServer((socket) => {
      socket.once('data', () => socket.write(Buffer.from('5200000008000000005a0000000549', 'hex')));
      socket.on('error', () => undefined);
    });
    await new Promise<void>((done) => frozen.listen(0, '127.0.0.1', done));
    const { port } = frozen.address() as net.AddressInfo;
    const silent = openDatabase(`postgres://u:p@127.0.0.1:${port}/d`, 200);
    const error = await silent.db.execute(sql`select 1`).catch((e: unknown) => e);
    expect(isDatabaseDown(error)).toBe(true);
    void silent.close();
    frozen.close();
  });
  test('a database that ends the connection, and a password that is not taken', async () => {
    expect(
      isDatabaseDown(await db.execute(sql`select pg_terminate_backend(pg_backend_pid())`).catch((e: unknown) => e)),
    ).toBe(true);
    const wrong = openDatabase(process.env.TEST_DATABASE_URL!.replace(/:[^:@]*@/, ':wrong@'));
    expect(isDatabaseDown(await allBoards(wrong.db).catch((e: unknown) => e))).toBe(true);
    await wrong.close();
  });
  test('a query of ours that is wrong is a fault of ours, with a number for the log', async () => {
    const error = await db.execute(sql`select nothing from nowhere`).catch((e: unknown) => e);
    expect(isDatabaseDown(error)).toBe(false);
    expect(await said(() => Promise.reject(error as Error))).toMatchObject({
      status: 500,
      sentence: expect.stringMatching(/fault of ours.*log as [0-9a-f]{8}/),
    });
    expect((await said(() => Promise.reject(new Error('secret detail')))).sentence).not.toContain('secret');
  });
  test('a character that cannot be kept is said as that (PostgreSQL, appendix A: 22021)', async () => {
    const error = await findBuild(db, 'a\u0000b').catch((e: unknown) => e);
    expect(await said(() => Promise.reject(error as Error))).toMatchObject({
      status: 422,
      sentence: expect.stringContaining('cannot be kept'),
    });
  });
  test('what did not go comes as problem details (RFC 9457)', () => {
    const answer = say(409, 'Too late.', { current: 3 });
    expect(answer.headers.get('content-type')).toContain('application/problem+json');
    expect(say(200, 'Done.').headers.get('content-type')).toContain('application/json');
  });
  test('health says well only where a row can be written; it leaves none behind', async () => {
    await canSave(db);
    expect(await db.select().from(milestones)).toEqual([]);
    await db.execute(sql`alter table milestones add constraint full_disk check (name not like 'health%')`);
    await expect(canSave(db)).rejects.toThrow();
    await db.execute(sql`alter table milestones drop constraint full_disk`);
  });
  test('a board and a part that cannot be read blank no list: they are set aside with their reason', async () => {
    const odd = { format: 'rung-board', version: 1 } as never;
    await db.insert(boards).values({ id: 'odd-board', body: odd });
    await db.insert(peripherals).values({ id: 'odd-part', body: odd });
    const { text, aside } = await boardsText(db);
    expect([JSON.parse(text), await allPeripherals(db)]).toEqual([[], []]);
    expect(aside).toEqual([{ id: 'odd-board', why: expect.stringContaining('still in the database') }]);
  });
  test('a build that cannot be read is named, hides no other, and says what is wrong with it', async () => {
    const id = await newBuild(db, 'Sound');
    await db.insert(builds).values({ id: 'odd', body: { format: 'rung-build', version: 1, name: 'Odd' } as never });
    const found = await allBuilds(db);
    expect(found.builds.map((b) => b.build.id)).toEqual([id]);
    expect(found.unreadable).toMatchObject([
      { id: 'odd', name: 'Odd', why: expect.stringContaining('still in the database') },
    ]);
    const error = await findBuild(db, 'odd').catch((e: unknown) => e);
    expect(error).toBeInstanceOf(UnreadableRecord);
    expect(await said(() => Promise.reject(error as Error))).toMatchObject({
      status: 500,
      sentence: expect.stringContaining('"odd" cannot be read'),
    });
  });
});
