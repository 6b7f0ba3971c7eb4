import path from 'node:path';
import { buildWhenStale } from './build.mjs';
import { prepared } from './prepared.mjs';
import { freePort, root, start, stop } from './run.mjs';
import { serve } from './serve.mjs';

/**
 * Prepares the database, builds when stale, and serves until a signal comes; beside it RUNG_WORKERS processes (one, unless said otherwise) rank shelves that are asked of the
 * server. `close` stops what the caller started.
 */
export async function up({ url, demo = false, close = () => undefined }) {
  const children = [];
  let ending = false;
  const end = async (code) => {
    if (ending) return;
    ending = true;
    // Open requests and the job at hand are brought to their end, within ten seconds.
    await Promise.all(children.map(ended));
    close();
    process.exit(code);
  };
  process.on('SIGINT', () => void end(0));
  process.on('SIGTERM', () => void end(0));

  const own = prepared(url, { demo });
  if (own === null) {
    close();
    stop('Rung was not started.');
  }
  try {
    await buildWhenStale();
    const wanted = Number(process.env.PORT) || (await freePort());
    const { child, address } = await serve(wanted, own, ['ignore', 'ignore', 'inherit']);
    children.push(child);
    child.on('exit', (code) => void end(code ?? 0));
    for (let i = 0; i < workersWanted(); i++) children.push(worker(own));
    console.log(`\nRung is up: ${process.env.RUNG_PUBLIC_ADDRESS ?? address}\nCtrl-C stops it; the data stays.`);
  } catch (error) {
    console.error(error.message);
    void end(1);
  }
}

function workersWanted() {
  const said = Number(process.env.RUNG_WORKERS ?? 1);
  return Number.isInteger(said) && said >= 0 && said <= 64 ? said : 1;
}

/** A worker that ends by itself is missed only by rankings on the server; they wait until there is one. */
function worker(url) {
  return start(process.execPath, [path.join(root, 'node_modules/tsx/dist/cli.mjs'), 'scripts/worker.ts'], {
    env: { DATABASE_URL: url, NODE_ENV: 'production' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
}

function ended(child) {
  if (child.exitCode !== null || child.signalCode !== null) return undefined;
  return new Promise((resolve) => {
    const late = setTimeout(() => child.kill('SIGKILL'), 10_000);
    child.once('exit', () => {
      clearTimeout(late);
      resolve();
    });
    child.kill('SIGTERM');
  });
}
