import { readFileSync } from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { root, start } from './run.mjs';

/**
 * A small stand-in for shops: offers for the demo's boards on loopback. GET /offers?board=ID; GET /mode?is=MODE changes how it behaves:
 * usual, slow (10 s), drip (a byte a second), down, dearer (a tenth more), lying (negative price), foreign (another currency), huge (a body without end).
 */
export function startShop(port) {
  const boards = new Map(
    JSON.parse(readFileSync(path.join(root, 'demo/shelf.json'), 'utf8')).boards.map((b) => [b.id, b]),
  );
  let mode = 'usual';
  const server = http.createServer((request, response) => {
    const url = new URL(request.url, 'http://127.0.0.1');
    if (url.pathname === '/mode') {
      mode = url.searchParams.get('is') ?? 'usual';
      return response.end(mode);
    }
    if (url.pathname !== '/offers') return response.writeHead(404).end();
    if (mode === 'down') return response.writeHead(503).end();
    const body = JSON.stringify({ offers: offersOf(boards.get(url.searchParams.get('board')), mode) });
    response.writeHead(200, { 'content-type': 'application/json' });
    if (mode === 'slow') return setTimeout(() => response.end(body), 10_000).unref();
    if (mode === 'drip') return drip(response, body);
    if (mode === 'huge') return flood(response);
    response.end(body);
  });
  return new Promise((resolve) =>
    server.listen(port, '127.0.0.1', () =>
      resolve({
        address: `http://127.0.0.1:${server.address().port}`,
        close: () => server.closeAllConnections() ?? server.close(),
      }),
    ),
  );
}

function offersOf(board, mode) {
  if (!board) return [];
  return board.offers.flatMap((o, i) => {
    const cents = mode === 'lying' ? -o.cents : Math.round(o.cents * (mode === 'dearer' ? 1.1 : 1));
    const currency = mode === 'foreign' ? 'XTS' : 'EUR';
    const first = {
      shop: o.shop,
      cents,
      currency,
      shippingCents: o.shippingCents ?? 0,
      deliveryDays: o.deliveryDays ?? 5,
      stock: 3 + i,
    };
    return [
      first,
      {
        ...first,
        shop: 'Tallow Lane Models',
        cents: Math.round(cents * 1.06),
        shippingCents: 0,
        deliveryDays: 2,
        stock: 12,
      },
    ];
  });
}

function drip(response, body) {
  let at = 0;
  const timer = setInterval(
    () =>
      at < body.length && !response.destroyed ? response.write(body[at++]) : (clearInterval(timer), response.end()),
    1000,
  );
  timer.unref();
}

function flood(response) {
  const piece = '['.repeat(16_384);
  const more = () => {
    while (!response.destroyed && response.write(piece));
    if (!response.destroyed) response.once('drain', more);
  };
  more();
}

/** The same as a process of its own, with its address once it listens. */
export function startShopProcess() {
  const child = start(process.execPath, [fileURLToPath(import.meta.url)], { stdio: ['ignore', 'pipe', 'inherit'] });
  return new Promise((resolve) =>
    child.stdout.once('data', (line) => resolve({ address: String(line).trim(), close: () => child.kill('SIGTERM') })),
  );
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const { address } = await startShop(Number(process.env.SHOP_PORT) || 0);
  console.log(address);
}
