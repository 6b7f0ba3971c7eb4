import { readdirSync, readFileSync } from 'node:fs';
import { openDatabase } from '../src/db/connection';
import { allBoards } from '../src/db/library';
import { migrateDatabase } from '../src/db/migrate';
import { importFile } from '../src/server/import-file';

/** Migrates DATABASE_URL and, where the shelf is empty, loads the demo files through the import that users have. */
async function prepare(url: string): Promise<void> {
  await migrateDatabase(url);
  const { db, close } = openDatabase(url);
  try {
    if ((await allBoards(db)).length > 0) return;
    const files = ['demo/shelf.json', ...readdirSync('demo/builds').sort().map((f) => `demo/builds/${f}`)];
    for (const file of files) {
      const result = await importFile(db, readFileSync(file, 'utf8'));
      if (!result.ok) throw new Error(`${file}: ${result.faults.map((f) => `${f.field}: ${f.sentence}`).join(' ')}`);
    }
    console.log('Demo data loaded.');
  } finally {
    await close();
  }
}

const url = process.env.DATABASE_URL;
if (!url) {
  console.error('DATABASE_URL is not set.');
  process.exitCode = 1;
} else {
  prepare(url).catch((error: unknown) => {
    console.error(`The database at DATABASE_URL could not be prepared: ${error instanceof Error ? error.message : String(error)}`);
    process.exitCode = 1;
  });
}
