import { execFileSync } from 'node:child_process';
import { freshDatabase } from '../src/db/tests/fresh-database';

/** Makes a database of its own on the given server, migrated and filled with the demo data; prints its address. */
const url = await freshDatabase(process.argv[2]!);
execFileSync(process.execPath, [...process.execArgv, 'scripts/prepare-database.ts', '--demo'], {
  env: { ...process.env, DATABASE_URL: url },
  stdio: ['ignore', 'ignore', 'inherit'],
});
console.log(url);
