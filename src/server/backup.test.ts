import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { Client } from 'pg';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { makeAppRole } from '../db/app-role';
import { checkBackup, restoreBackup, writeBackup } from '../db/backup';
import { findBuild, removeBuild, saveBuild } from '../db/builds';
import { openDatabase, type Database } from '../db/connection';
import { addPhoto } from '../db/photos';
import { freshDatabase } from '../db/tests/fresh-database';
import { importFile } from './import-file';

let url: string;
let db: Database;
let close: () => Promise<void>;
const folder = mkdtempSync(path.join(os.tmpdir(), 'rung-backup-'));
const file = path.join(folder, 'all.jsonl');

beforeAll(async () => {
  url = await freshDatabase(process.env.TEST_DATABASE_URL!);
  ({ db, close } = openDatabase(url));
  await importFile(db, readFileSync('demo/shelf.json', 'utf8'));
  await importFile(db, readFileSync('demo/builds/gutterling.json', 'utf8'));
  await importFile(db, readFileSync('demo/builds/thimble.json', 'utf8'));
  const { build } = (await findBuild(db, 'gutterling'))!;
  await saveBuild(db, { ...build, name: 'Kite \u{1f600} "quoted"\n\u2028' }, 1);
  await removeBuild(db, 'thimble', 1);
  await addPhoto(db, { id: 'p', about: 'board:x', mime: 'image/png', body: Buffer.from([0, 255, 1, 254]) });
  await writeBackup(url, file);
});
afterAll(async () => {
  await close();
  rmSync(folder, { recursive: true });
});

/** Everything of a database, row by row. */
async function contents(of: string): Promise<unknown> {
  const client = new Client({ connectionString: of });
  await client.connect();
  const found: Record<string, unknown> = {};
  for (const table of ['boards', 'peripherals', 'builds', 'photos', 'milestones', 'past'])
    found[table] = (await client.query(`select to_jsonb(t) as row from ${table} t order by to_jsonb(t)::text`)).rows;
  await client.end();
  return found;
}

const fresh = () => freshDatabase(process.env.TEST_DATABASE_URL!);

describe('a backup', () => {
  test('restored into an empty database it is equal in content: rows, versions, history, pictures, times', async () => {
    const there = await fresh();
    expect((await restoreBackup(there, file)).ok).toBe(true);
    expect(await contents(there)).toEqual(await contents(url));
  });
  test('goes on where it was interrupted', async () => {
    const there = await fresh();
    const { db: half, close: end } = openDatabase(there);
    const checked = await checkBackup(file);
    await half.execute(sql`insert into milestones (name) values (${`restoring ${checked.ok ? checked.sha256 : ''}`})`);
    await half.execute(
      sql`insert into boards (workspace, id, body, version, updated_at) select workspace, id, body, version, updated_at from jsonb_populate_record(null::boards, ${JSON.stringify(
        (
          JSON.parse(
            readFileSync(file, 'utf8')
              .split('\n')
              .find((l) => l.includes('"table":"boards"'))!,
          ) as { row: object }
        ).row,
      )}::jsonb)`,
    );
    await end();
    expect((await restoreBackup(there, file)).ok).toBe(true);
    expect(await contents(there)).toEqual(await contents(url));
  });
  test('does not come over what somebody uses', async () => {
    const before = await contents(url);
    expect(await restoreBackup(url, file)).toMatchObject({ ok: false, sentence: expect.stringContaining('not empty') });
    expect(await contents(url)).toEqual(before);
  });
  test.each([
    ['cut short', (t: string) => t.slice(0, t.length / 2), 'damaged'],
    ['without its end', (t: string) => t.split('\n').slice(0, -2).join('\n') + '\n', 'ends in the middle'],
    ['with one letter changed', (t: string) => t.replace('Keel', 'Peel'), 'damaged'],
    [
      'with a row taken out',
      (t: string) =>
        t
          .split('\n')
          .filter((_, i) => i !== 3)
          .join('\n'),
      'damaged',
    ],
    ['of something else', () => '{"format":"rung-build","version":2}\n', 'not a backup'],
    ['empty', () => '', 'ends in the middle'],
  ])('%s is refused before anything is written', async (_, change, words) => {
    const broken = path.join(folder, 'broken.jsonl');
    writeFileSync(broken, change(readFileSync(file, 'utf8')));
    const there = await fresh();
    const before = await contents(there);
    expect(await restoreBackup(there, broken)).toMatchObject({ ok: false, sentence: expect.stringContaining(words) });
    expect(await contents(there)).toEqual(before);
  });
  test('as the role of the application, which sees one workspace, none is written', async () => {
    const app = await makeAppRole(url);
    await expect(writeBackup(app, path.join(folder, 'none.jsonl'))).rejects.toThrow('one workspace');
    expect(readdirSync(folder)).not.toContain('none.jsonl');
  });
});
