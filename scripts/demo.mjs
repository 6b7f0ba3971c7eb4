import { buildWhenStale } from './build.mjs';
import { startCluster } from './cluster.mjs';
import { installPackages } from './install.mjs';
import { freePort, runTs, stop } from './run.mjs';
import { startShopProcess } from './shop.mjs';
import { serve } from './serve.mjs';

installPackages();
const cluster = process.env.DATABASE_URL ? { url: process.env.DATABASE_URL, stop: () => undefined } : await startCluster('cluster');

const shop = process.env.RUNG_SHOP_URL ? null : await startShopProcess();
if (shop) process.env.RUNG_SHOP_URL = shop.address;

let server = null;
let ending = false;
function end(code) {
  if (ending) return;
  ending = true;
  if (server && server.exitCode === null) server.kill('SIGTERM');
  shop?.close();
  cluster.stop();
  process.exit(code);
}
process.on('SIGINT', () => end(0));
process.on('SIGTERM', () => end(0));

if (runTs('scripts/prepare-database.ts', [], { env: { DATABASE_URL: cluster.url } }) !== 0) {
  cluster.stop();
  stop('Rung was not started.');
}
buildWhenStale();
try {
  const wanted = Number(process.env.PORT) || (await freePort());
  const { child, address } = await serve(wanted, cluster.url, ['ignore', 'ignore', 'inherit']);
  server = child;
  child.on('exit', (code) => end(code ?? 0));
  console.log(`\nRung is up: ${address}\nCtrl-C stops it; the data stays.`);
} catch (error) {
  console.error(error.message);
  end(1);
}
