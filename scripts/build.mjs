import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { root, runBeside } from './run.mjs';

/** Builds the application for production, unless nothing that goes into it has changed. Throws where it cannot be built. */
export async function buildWhenStale() {
  const stamp = path.join(root, '.next', 'rung-built');
  const now =
    (process.env.RUNG_PATH ?? '') +
    fingerprint(['src', 'public', 'package-lock.json', 'next.config.ts', 'tsconfig.json']);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  console.log('Building ...');
  const code = await runBeside(process.execPath, [path.join(root, 'node_modules/next/dist/bin/next'), 'build'], {
    env: { NEXT_TELEMETRY_DISABLED: '1' },
  });
  if (code !== 0) throw new Error('The build failed: see above.');
  listFiles(path.join(root, '.next', 'static'));
  writeFileSync(stamp, now);
}

/** What the screens are made of, for the worker that keeps them while the server is away (public/offline.js). */
function listFiles(folder) {
  const files = readdirSync(folder, { recursive: true }).filter((f) => statSync(path.join(folder, f)).isFile());
  writeFileSync(path.join(folder, 'files.json'), JSON.stringify(files.map((f) => f.split(path.sep).join('/'))));
}

function fingerprint(places) {
  const hash = createHash('sha256');
  const walk = (file) => {
    if (statSync(file).isDirectory()) for (const name of readdirSync(file).sort()) walk(path.join(file, name));
    else hash.update(file).update(readFileSync(file));
  };
  for (const place of places) walk(path.join(root, place));
  return hash.digest('hex');
}
