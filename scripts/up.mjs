import { buildWhenStale } from './build.mjs';
import { freePort, runTs, stop } from './run.mjs';
import { serve } from './serve.mjs';

/** Prepares the database, builds when stale, and serves on loopback until a signal comes. `close` stops what the caller started. */
export async function up({ url, demo = false, close = () => undefined }) {
  let server = null;
  let ending = false;
  const end = (code) => {
    if (ending) return;
    ending = true;
    if (server && server.exitCode === null) server.kill('SIGTERM');
    close();
    process.exit(code);
  };
  process.on('SIGINT', () => end(0));
  process.on('SIGTERM', () => end(0));

  if (runTs('scripts/prepare-database.ts', demo ? ['--demo'] : [], { env: { DATABASE_URL: url } }) !== 0) {
    close();
    stop('Rung was not started.');
  }
  buildWhenStale();
  try {
    const wanted = Number(process.env.PORT) || (await freePort());
    const { child, address } = await serve(wanted, url, ['ignore', 'ignore', 'inherit']);
    server = child;
    child.on('exit', (code) => end(code ?? 0));
    console.log(`\nRung is up: ${address}\nCtrl-C stops it; the data stays.`);
  } catch (error) {
    console.error(error.message);
    end(1);
  }
}
