import { gzipSync } from 'node:zlib';

/** Bytes of JavaScript, compressed, that each main view loads first, from a running Rung: `npm run -s bench -- pages ADDRESS`. */
const address = process.argv[2];
if (!address) throw new Error('Expected the address of a running Rung, as npm run demo prints it.');
const views = {
  home: '/',
  build: '/b/belfry-six',
  ladder: '/b/belfry-six/ladder',
  hookup: '/b/belfry-six/hookup/tarnfield-keel-f7',
  shelf: '/b/belfry-six/shelf',
  trade: '/b/belfry-six/trade',
  basket: '/b/belfry-six/basket',
  sheet: '/b/belfry-six/sheet',
  bench: '/b/belfry-six/bench',
  log: '/b/belfry-six/log',
};
const sizes = new Map<string, number>();
const figures: Record<string, number> = {};
for (const [name, path] of Object.entries(views)) {
  const html = await (await fetch(address + path)).text();
  const scripts = [...new Set([...html.matchAll(/<script[^>]* src="([^"]+\.js[^"]*)"/g)].map((m) => m[1]!))];
  let sum = 0;
  for (const src of scripts) {
    if (!sizes.has(src)) sizes.set(src, gzipSync(Buffer.from(await (await fetch(address + src)).arrayBuffer())).length);
    sum += sizes.get(src)!;
  }
  figures[name] = sum;
}
console.table(figures);
console.log(JSON.stringify(figures));
