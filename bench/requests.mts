import { request } from 'node:http';
import { hostileText } from '../src/core/tests/hostile-text';
import { dice } from '../src/core/tests/random-build';

/**
 * Hostile requests to every route of a running Rung: `npm run -s bench -- requests ADDRESS [COUNT]`, started with RUNG_TRAFFIC_TIMES=1000 so that its own limits do not answer for
 * the routes. No answer may be a 5xx, none may take long, and what the server holds must still be readable afterwards.
 */
const [address, countSaid = '50000'] = process.argv.slice(2);
if (!address) throw new Error('Expected the address of a running Rung, as npm run demo prints it.');
const count = Number(countSaid);
const { host, hostname, port } = new URL(address);
const routes = [
  '/api/builds',
  '/api/builds/ID',
  '/api/boards/ID',
  '/api/shelf',
  '/api/import',
  '/api/import?over=TEXT',
  '/api/offers/ID',
  '/api/past',
  '/api/past?kind=TEXT&id=TEXT',
  '/api/photos?about=TEXT',
  '/api/photos/ID',
  '/api/health',
  '/b/ID',
  '/b/ID/board/ID',
  '/TEXT',
];
const methods = ['GET', 'GET', 'POST', 'PUT', 'DELETE', 'PATCH'];
const sound = [
  '{"name":"Load"}',
  '{"format":"rung-build","version":2,"id":"x","name":"y"}',
  'belfry-six',
  'tarnfield-keel-f7',
];
const before = await facts();
const statuses = new Map<string, number>();
const faults: string[] = [];
let worstMs = 0;

async function facts(): Promise<string> {
  const said = (await (await fetch(`${address}/api/shelf`)).json()) as { boards: { id: string }[] };
  return `${said.boards.length} boards`;
}

function ask(seed: number): Promise<void> {
  const roll = dice(seed);
  const pick = <T,>(list: readonly T[]): T => list[Math.floor(roll() * list.length)]!;
  const word = (n: number) =>
    encodeURIComponent(
      hostileText(seed * 7 + n, sound)
        .slice(0, 300)
        .toWellFormed(),
    );
  let n = 0;
  const path = pick(routes)
    .replace(/TEXT/g, () => word(n++))
    .replace(/ID/g, () => (roll() < 0.3 ? pick(['belfry-six', 'tarnfield-keel-f7']) : word(n++)));
  const method = pick(methods);
  const own = roll() < 0.9;
  const body = method === 'GET' || method === 'DELETE' ? null : hostileText(seed * 13, sound);
  const headers: Record<string, string> = {
    ...(own ? { origin: address!.replace(/\/$/, '') } : {}),
    'content-type': pick(['application/json', 'text/plain', 'multipart/form-data; boundary=x', 'image/png']),
    'if-match': pick(['0', '99', '-1', '"1"', '9'.repeat(30), '*']),
  };
  // What the demo holds is not to be removed by chance.
  if (method === 'DELETE') headers['if-match'] = '999999';
  const start = performance.now();
  return new Promise((resolve) => {
    const sent = request({ host: hostname, port, method, path, headers: { ...headers, host } }, (reply) => {
      reply.resume();
      reply.on('end', () => {
        const ms = performance.now() - start;
        worstMs = Math.max(worstMs, ms);
        const key = `${method} ${reply.statusCode}`;
        statuses.set(key, (statuses.get(key) ?? 0) + 1);
        if ((reply.statusCode ?? 500) >= 500)
          faults.push(`${seed}: ${method} ${path.slice(0, 80)}: ${reply.statusCode}`);
        resolve();
      });
    });
    sent.on('error', (error) => {
      faults.push(`${seed}: ${method} ${path.slice(0, 80)}: ${error.message}`);
      resolve();
    });
    sent.end(body ?? undefined);
  });
}

let next = 1;
await Promise.all(
  Array.from({ length: 20 }, async () => {
    while (next <= count) await ask(next++);
  }),
);
for (const fault of faults.slice(0, 20)) console.log(fault);
console.table(Object.fromEntries([...statuses].sort()));
const after = await facts();
const health = (await fetch(`${address}/api/health`)).status;
console.log(
  JSON.stringify({
    requests: count,
    faults: faults.length,
    worstMs: Math.round(worstMs),
    health,
    held: before === after,
  }),
);
