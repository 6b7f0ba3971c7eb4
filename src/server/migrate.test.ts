import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { Client } from 'pg';
import { expect, test } from 'vitest';
import { appRole, letAppIn, makeAppRole, roleFault } from '../db/app-role';
import { findBuild, saveBuild } from '../db/builds';
import { openDatabase } from '../db/connection';
import { allBoards, allPeripherals } from '../db/library';
import { migrateDatabase } from '../db/migrate';
import { asOf, historyOf } from '../db/past';
import { freshDatabase } from '../db/tests/fresh-database';
import { within } from '../db/within';

const demo = (name: string) => JSON.parse(readFileSync(`demo/${name}`, 'utf8')) as never;

/** The migrations up to one of them, as a Rung of that day had them. */
async function upTo(url: string, tag: string): Promise<void> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'rung-migrations-'));
  cpSync('drizzle', folder, { recursive: true });
  const file = path.join(folder, 'meta/_journal.json');
  const journal = JSON.parse(readFileSync(file, 'utf8')) as { entries: { tag: string }[] };
  journal.entries = journal.entries.slice(0, journal.entries.findIndex((e) => e.tag === tag) + 1);
  writeFileSync(file, JSON.stringify(journal));
  const client = new Client({ connectionString: url });
  await client.connect();
  await migrate(drizzle(client), { migrationsFolder: folder });
  await client.end();
  rmSync(folder, { recursive: true });
}

async function bareDatabase(): Promise<{ url: string; client: Client }> {
  const url = await freshDatabase(process.env.TEST_DATABASE_URL!);
  const client = new Client({ connectionString: url });
  await client.connect();
  await client.query('drop schema public cascade; create schema public; drop schema drizzle cascade');
  return { url, client };
}

test('a database from before there were workspaces, with all that was in it: the same rows, versions and history, in the workspace Home, seen by the application alone', async () => {
  const { url, client } = await bareDatabase();
  await upTo(url, '0003_past');
  const shelf = demo('shelf.json') as {
    boards: { id: string; name: string; maker: string; revision: string }[];
    peripherals: { id: string; name: string; kind: string }[];
  };
  const [board, part, build] = [
    shelf.boards[0]!,
    shelf.peripherals[0]!,
    demo('builds/thimble.json') as { id: string; name: string },
  ];
  await client.query('insert into boards (id, maker, name, revision, body, version) values ($1, $2, $3, $4, $5, 7)', [
    board.id,
    board.maker,
    board.name,
    '1',
    JSON.stringify(board),
  ]);
  await client.query('insert into peripherals (id, kind, name, body) values ($1, $2, $3, $4)', [
    part.id,
    part.kind,
    part.name,
    JSON.stringify(part),
  ]);
  await client.query('insert into builds (id, name, body) values ($1, $2, $3)', [
    build.id,
    build.name,
    JSON.stringify(build),
  ]);
  await client.query('update builds set version = 2, body = body || \'{"name":"Later"}\'');
  await client.query("insert into photos (id, about, mime, body) values ('p', 'board:x', 'image/png', 'x')");
  await migrateDatabase(url);
  await migrateDatabase(url);
  const { db, close } = openDatabase(await makeAppRole(url));
  const seen = await within(db, 'home', async (own) => ({
    boards: (await allBoards(own)).map((b) => b.name),
    parts: (await allPeripherals(own)).map((p) => p.name),
    build: await findBuild(own, build.id),
    history: (await historyOf(own, 'build', build.id)).map((h) => h.version),
    before: await asOf(own, { kind: 'build', id: build.id, version: 1 }),
  }));
  expect(seen).toMatchObject({
    boards: [board.name],
    parts: [part.name],
    build: { version: 2, build: { name: 'Later' } },
    history: [1],
    before: { name: build.name },
  });
  const saved = await within(db, 'home', (own) => saveBuild(own, { ...seen.build!.build, name: 'Latest' }, 2));
  expect(saved).toMatchObject({ kind: 'saved', version: 3 });
  expect(await allBoards(db)).toEqual([]);
  const { rows } = await client.query('select version, workspace, maker, kind from boards');
  expect(rows).toEqual([
    { version: 7, workspace: 'home', maker: board.maker, kind: (board as never as { kind: string }).kind },
  ]);
  await close();
  await client.end();
});

test('a migration that is interrupted leaves nothing of itself, and is made whole by the next start', async () => {
  const { url, client } = await bareDatabase();
  await upTo(url, '0003_past');
  // Something of that name is in its way at the end.
  await client.query('create table workspaces (x int)');
  await expect(migrateDatabase(url)).rejects.toThrow();
  const { rows } = await client.query(
    "select column_name from information_schema.columns where table_name = 'boards' and column_name = 'workspace'",
  );
  expect(rows).toEqual([]);
  await client.query('drop table workspaces');
  await migrateDatabase(url);
  expect((await client.query('select id from workspaces')).rows).toEqual([{ id: 'home' }]);
  await client.end();
});

test('a role that was made by hand keeps its password, and is let in', async () => {
  const url = await freshDatabase(process.env.TEST_DATABASE_URL!);
  const made = await makeAppRole(url);
  const admin = new Client({ connectionString: url });
  await admin.connect();
  await admin.query(`alter role ${appRole} password 'by hand'`);
  await letAppIn(url);
  const byHand = Object.assign(new URL(made), { password: encodeURIComponent('by hand') }).href;
  expect(await roleFault(byHand)).toBeNull();
  const { db, close } = openDatabase(byHand);
  expect(await within(db, 'home', allBoards)).toEqual([]);
  await close();
  await admin.end();
  await makeAppRole(url);
});
