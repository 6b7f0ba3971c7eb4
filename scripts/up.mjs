import { buildWhenStale } from './build.mjs';
import { prepared } from './prepared.mjs';
import { freePort, stop } from './run.mjs';
import { serve } from './serve.mjs';

/** Prepares the database, builds when stale, and serves until a signal comes. `close` stops what the caller started. */
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

  const own = prepared(url, { demo });
  if (own === null) {
    close();
    stop('Rung was not started.');
  }
  buildWhenStale();
  try {
    const wanted = Number(process.env.PORT) || (await freePort());
    const { child, address } = await serve(wanted, own, ['ignore', 'ignore', 'inherit']);
    server = child;
    child.on('exit', (code) => end(code ?? 0));
    console.log(`\nRung is up: ${address}\nCtrl-C stops it; the data stays.`);
  } catch (error) {
    console.error(error.message);
    end(1);
  }
}
