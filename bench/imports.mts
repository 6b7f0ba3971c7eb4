import { readFileSync } from 'node:fs';

/**
 * Three imports of 48 MB at once against a running Rung, and how long other requests take meanwhile: `npm run -s bench -- imports ADDRESS`. The boards are those of the
 * demo under other ids, and the last one of each file is wrong, so that nothing is stored; then files that are refused for other reasons, one after the other.
 */
const address = process.argv[2];
if (!address) throw new Error('Expected the address of a running Rung, as npm run demo prints it.');
const bytes = 48e6;
const { boards } = JSON.parse(readFileSync('demo/shelf.json', 'utf8')) as { boards: { id: string }[] };
const shelfOf = (entries: string) => `{"format":"rung-shelf","version":1,"name":"bench","boards":[${entries}]}`;
const large = () => {
  const entries: string[] = [];
  for (let i = 0, size = 0; size < bytes - 10_000; i++) {
    entries.push(JSON.stringify({ ...boards[i % boards.length]!, id: `bench-${i}` }));
    size += entries.at(-1)!.length + 1;
  }
  return shelfOf([...entries, '{"format":"rung-board","version":1,"id":"wrong"}'].join());
};
const post = async (body: string) => {
  const start = performance.now();
  const reply = await fetch(`${address}/api/import?over=replace`, {
    method: 'POST',
    headers: { origin: address },
    body,
  });
  await reply.text();
  return { status: reply.status, ms: Math.round(performance.now() - start) };
};

const hostile: Record<string, string> = {
  'late fault': large(),
  brackets: '{"a":'.repeat(bytes / 5),
  zeros: shelfOf('0,'.repeat(bytes / 2)),
  'one text': shelfOf(`"${'x'.repeat(bytes)}"`),
  quotes: shelfOf(`"${'\\"'.repeat(bytes / 2)}"`),
  spaces: ' '.repeat(bytes),
  'every board wrong': shelfOf(
    Array.from({ length: Math.floor((bytes - 1000) / (JSON.stringify(boards[0]).length + 20)) }, () =>
      JSON.stringify({ ...boards[0], massG: 'heavy' }),
    ).join(),
  ),
};
const refusals: Record<string, number> = {};
for (const [name, body] of Object.entries(hostile)) {
  const { status, ms } = await post(body);
  if (status !== 422) throw new Error(`${name}: ${status}`);
  refusals[name] = ms;
}

const times: number[] = [];
let going = true;
const others = ['/', '/api/health', '/api/builds', '/api/shelf'].map(async (path) => {
  while (going) {
    const start = performance.now();
    await (await fetch(address + path)).text();
    times.push(performance.now() - start);
    await new Promise((r) => setTimeout(r, 50));
  }
});
const body = hostile['late fault']!;
const imports = await Promise.all([post(body), post(body), post(body)]);
going = false;
await Promise.all(others);
const figures = {
  bytes: body.length,
  importsMs: imports.map((i) => i.ms),
  otherRequests: times.length,
  slowestOtherMs: Math.round(Math.max(...times)),
  refusals,
};
console.table(refusals);
console.log(JSON.stringify(figures));
