import { readFileSync, readdirSync } from 'node:fs';
import { spawn } from 'node:child_process';
import type { Page } from 'puppeteer-core';
import { buildWhenStale } from '../scripts/build.mjs';
import { startCluster } from '../scripts/cluster.mjs';
import { chromiumPath } from '../scripts/install.mjs';
import { prepared } from '../scripts/prepared.mjs';
import { ask, freePort } from '../scripts/run.mjs';
import { serve } from '../scripts/serve.mjs';
import { openBrowser } from '../e2e/browser';
import { linesOf } from '../src/ui/room/lines-of';
import { demoShelf } from '../src/core/tests/demo';
import { variedBoard } from '../src/core/tests/varied-board';

/**
 * A large shelf in Chromium, on a production build: `npm run -s bench -- scale [BOARDS]`. Seconds from the address to the first rows, to the first that have climbed and to the whole order, bytes over the
 * wire, memory of the page's process at its most and after half a minute of rest, and the same order asked of the server and its worker. The boards are different ones, made from a seed.
 */
const count = Number(process.argv[2] ?? 1000);
const cluster = await startCluster('bench-cluster');
process.env.RUNG_CHROMIUM ??= chromiumPath();
await buildWhenStale();
const made = ask(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/fresh-database.ts', cluster.url]);
const url = prepared(made.out.trim().split('\n').at(-1)!)!;
const server = await serve(await freePort(), url, ['ignore', 'ignore', 'inherit'] as never);
const worker = spawn(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/worker.ts'], {
  env: { ...process.env, DATABASE_URL: url },
  stdio: 'ignore',
});
const { browser, close } = await openBrowser();
const seconds = (since: number) => Number(((performance.now() - since) / 1000).toFixed(2));
try {
  const { boards } = demoShelf();
  for (let at = 0; at < count; at += 1000) {
    const some = Array.from({ length: Math.min(1000, count - at) }, (_, i) => variedBoard(at + i, boards));
    const reply = await fetch(`${server.address}/api/import?over=replace`, {
      method: 'POST',
      headers: { origin: server.address },
      body: JSON.stringify({ format: 'rung-shelf', version: 2, name: 'Many', boards: some, peripherals: [] }),
    });
    if (!reply.ok) throw new Error(await reply.text());
  }
  const page = await browser.newPage();
  let bytes = 0;
  const devtools = await page.createCDPSession();
  await devtools.send('Network.enable');
  devtools.on('Network.loadingFinished', (done) => (bytes += done.encodedDataLength));
  const begun = performance.now();
  await page.goto(`${server.address}/b/belfry-six/ladder`, { waitUntil: 'domcontentloaded' });
  const more = (page: Page, selector: string) =>
    page.waitForFunction((s) => document.querySelectorAll(s).length > 3, { timeout: 600_000, polling: 50 }, selector);
  const [named, climbed] = ['main li a, [role=row] a', '[role=row] a'];
  await more(page, named);
  const firstRows = seconds(begun);
  await more(page, climbed);
  const firstRanked = seconds(begun);
  let most = 0;
  const looking = setInterval(() => (most = Math.max(most, rendererMb())), 250);
  const wholeAt = await whole(page, begun);
  clearInterval(looking);
  // What has not been collected yet goes within half a minute of rest.
  await new Promise((done) => setTimeout(done, 30_000));
  const atRest = rendererMb();
  const again = performance.now();
  const bytesBefore = bytes;
  await page.reload({ waitUntil: 'domcontentloaded' });
  await more(page, named);
  const secondRows = seconds(again);
  await more(page, climbed);
  const secondRanked = seconds(again);
  const secondBytes = bytes - bytesBefore;
  await page.close();

  // Whoever comes next has nothing kept, and finds a server that has answered before.
  const other = await (await browser.createBrowserContext()).newPage();
  const come = performance.now();
  await other.goto(`${server.address}/b/belfry-six/ladder`, { waitUntil: 'domcontentloaded' });
  await more(other, named);
  const othersRows = seconds(come);
  await more(other, climbed);
  const othersRanked = seconds(come);
  await other.close();

  const asked = performance.now();
  const reply = await fetch(`${server.address}/api/builds/belfry-six/ranking`);
  let last = '';
  for await (const line of linesOf(reply.body!)) last = line;
  const onServer = seconds(asked);
  if ((JSON.parse(last) as { state: string }).state !== 'done') throw new Error(last.slice(0, 200));
  const kept = performance.now();
  await (await fetch(`${server.address}/api/builds/belfry-six/ranking`)).text();
  const figures = {
    boards: count,
    firstRowsS: firstRows,
    firstRankedS: firstRanked,
    wholeOrderS: wholeAt,
    wireMb: Number((bytesBefore / 1e6).toFixed(2)),
    rendererMostMb: most,
    rendererAtRestMb: atRest,
    secondVisitFirstRowsS: secondRows,
    secondVisitFirstRankedS: secondRanked,
    secondVisitWireMb: Number((secondBytes / 1e6).toFixed(2)),
    nextBrowserFirstRowsS: othersRows,
    nextBrowserFirstRankedS: othersRanked,
    onServerS: onServer,
    onServerAgainS: seconds(kept),
  };
  console.table(figures);
  console.log(JSON.stringify(figures));
} finally {
  await close();
  worker.kill('SIGTERM');
  server.child.kill('SIGTERM');
  cluster.stop();
}

async function whole(page: Page, begun: number): Promise<number> {
  await page.waitForFunction(
    () => document.querySelector('nav[aria-label=Stages]')?.getAttribute('aria-busy') === 'false',
    {
      timeout: 600_000,
      polling: 100,
    },
  );
  return seconds(begun);
}

/** What the largest page process of this browser, its workers with it, has of memory to itself: without the pages of the program's own file, which all processes share. */
function rendererMb(): number {
  const found = readdirSync('/proc').flatMap((pid) => {
    if (!/^\d+$/.test(pid)) return [];
    try {
      const line = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
      if (!line.includes('--type=renderer')) return [];
      const [, kb] = /RssAnon:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
      return [Number(kb) / 1024];
    } catch {
      return [];
    }
  });
  return Math.round(Math.max(...found));
}
