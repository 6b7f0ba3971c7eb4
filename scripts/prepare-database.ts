import { readdirSync, readFileSync } from 'node:fs';
import { openDatabase } from '../src/db/connection';
import { migrateDatabase } from '../src/db/migrate';
import { loadDemoOnce } from '../src/server/demo-data';

/** Migrates DATABASE_URL. With `--demo`, which only the demo's own database is given, loads the demo files through the import that users have, once. */
async function prepare(url: string, demo: boolean): Promise<void> {
  await migrateDatabase(url);
  if (!demo) return;
  const { db, close } = openDatabase(url);
  try {
    const names = [
      'demo/shelf.json',
      ...readdirSync('demo/builds')
        .sort()
        .map((f) => `demo/builds/${f}`),
    ];
    if (
      await loadDemoOnce(
        db,
        names.map((name) => ({ name, text: readFileSync(name, 'utf8') })),
      )
    )
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
  prepare(url, process.argv.includes('--demo')).catch((error: unknown) => {
    console.error(
      `The database at DATABASE_URL could not be prepared: ${error instanceof Error ? error.message : String(error)}`,
    );
    process.exitCode = 1;
  });
}
