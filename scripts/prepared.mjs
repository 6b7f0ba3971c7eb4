import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { root } from './run.mjs';

/**
 * Brings a database to the newest schema, with the demo data where `demo` says so. Returns the address for the application: that of a role which row security holds for, while
 * `url` is its owner's. null where it could not be done; why was printed.
 */
export function prepared(url, { demo = false } = {}) {
  const { status, stdout } = spawnSync(
    process.execPath,
    [path.join(root, 'node_modules/tsx/dist/cli.mjs'), 'scripts/prepare-database.ts', ...(demo ? ['--demo'] : [])],
    { cwd: root, env: { ...process.env, DATABASE_URL: url }, stdio: ['ignore', 'pipe', 'inherit'], encoding: 'utf8' },
  );
  if (status !== 0) return null;
  const lines = stdout.trim().split('\n');
  for (const line of lines.slice(0, -1)) console.log(line);
  return lines.at(-1);
}
