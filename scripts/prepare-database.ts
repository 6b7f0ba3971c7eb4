import { readdirSync, readFileSync } from 'node:fs';
import { letAppIn, makeAppRole, roleFault } from '../src/db/app-role';
import { openDatabase } from '../src/db/connection';
import { migrateDatabase } from '../src/db/migrate';
import { prepareQueue } from '../src/server/queue';
import { loadDemoOnce } from '../src/server/demo-data';

/**
 * Migrates the database of DATABASE_URL where its role owns it, makes the application's role, and prints the address to connect as it. Where RUNG_OWNER_URL is given, that is
 * the owner, and DATABASE_URL is the application's, made by hand. Without it an address that is the application's already is taken as it is. With `--demo`, which only the demo's own database is given, loads the demo files through the import that users have, once.
 */
async function prepare(url: string, owner: string | undefined, demo: boolean): Promise<string> {
  if (owner === undefined && (await roleFault(url)) === null) return url;
  const ownersUrl = owner ?? url;
  await migrateDatabase(ownersUrl);
  if (demo) await loadDemo(ownersUrl);
  await prepareQueue(ownersUrl);
  if (owner === undefined) return makeAppRole(ownersUrl);
  await letAppIn(ownersUrl);
  return url;
}

async function loadDemo(url: string): Promise<void> {
  const { db, close } = openDatabase(url);
  try {
    const names = [
      'demo/shelf.json',
      ...readdirSync('demo/builds')
        .sort()
        .map((f) => `demo/builds/${f}`),
    ];
    const files = names.map((name) => ({ name, text: readFileSync(name, 'utf8') }));
    if (await loadDemoOnce(db, files)) console.log('Demo data loaded.');
  } finally {
    await close();
  }
}

const url = process.env.DATABASE_URL;
if (!url) {
  console.error('DATABASE_URL is not set.');
  process.exitCode = 1;
} else {
  try {
    console.log(await prepare(url, process.env.RUNG_OWNER_URL, process.argv.includes('--demo')));
  } catch (error) {
    console.error(
      `The database could not be prepared: ${error instanceof Error ? error.message : String(error)}. It wants the address of the database's owner in DATABASE_URL or RUNG_OWNER_URL (docs/running.md).`,
    );
    process.exitCode = 1;
  }
}
