import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import { openBrowser, openPage } from '../e2e/browser';
import { buildWhenStale } from '../scripts/build.mjs';
import { startCluster } from '../scripts/cluster.mjs';
import { chromiumPath } from '../scripts/install.mjs';
import { ask, freePort } from '../scripts/run.mjs';
import { serve } from '../scripts/serve.mjs';
import { prepared } from '../scripts/prepared.mjs';
import { evaluate, readFile, type Board } from '../src/core';
import { compile } from '../src/core/wiring/compile';
import { layOut } from '../src/core/wiring/lay-out';
import { solve } from '../src/core/solver/solve';
import { workshop } from '../src/core/wiring/way';
import { loadHighs, solveMilp } from '../src/core/tests/milp';
import { variedBoard } from '../src/core/tests/varied-board';

/**
 * How fast a shelf climbs, how that grows, how long a general solver takes for the same hookups, and whether the page keeps up while somebody types.
 * The boards are all different, made from those of the demo by a seed. `npm run -s bench -- shelf [BOARDS ON THE PAGE'S SHELF]`.
 */
const onThePage = Number(process.argv[2] ?? 1000);
const read = <K extends 'rung-shelf' | 'rung-build'>(file: string, kind: K) => {
  const said = readFile(readFileSync(file, 'utf8'), kind);
  if (!said.ok) throw new Error(file);
  return said.value;
};
const shelf = read('demo/shelf.json', 'rung-shelf');
const build = read('demo/builds/saltgrass.json', 'rung-build');
const many = (n: number): Board[] => Array.from({ length: n }, (_, i) => variedBoard(i + 1, shelf.boards));
const timed = (work: () => void) => {
  const start = performance.now();
  work();
  return performance.now() - start;
};
const climbing = (boards: Board[]) => timed(() => boards.forEach((b) => evaluate(build, b)));

const boards = many(10_000);
climbing(boards.slice(0, 200)); // warm-up
const thousand = climbing(boards.slice(0, 1000));
const tenThousand = climbing(boards);
const file = JSON.stringify({ ...shelf, boards });
const parsing = Math.min(...Array.from({ length: 3 }, () => timed(() => JSON.parse(file))));
const searched = boards.filter((b) => (evaluate(build, b).stopsAt ?? 11) > 3).length;
const worstMs = Math.max(...shelf.boards.map((b) => climbing([b])));

const highs = await loadHighs();
const problems = shelf.boards.map((board) => {
  const shop = workshop(build, board, 'sure');
  return compile(shop, layOut(shop), 7).problem;
});
const ours = timed(() => problems.forEach((p) => solve(p)));
const theirs = timed(() => problems.forEach((p) => solveMilp(highs, p)));

/** Notes when each frame is drawn; as text, since it runs in the page. */
const watch =
  'window.frames60 = [performance.now()]; requestAnimationFrame(function next() { window.frames60.push(performance.now()); requestAnimationFrame(next); });';
const { editFramesLost, editMs } = await onPage();
const figures = {
  boards: 10_000,
  searchedShare: Number((searched / boards.length).toFixed(2)),
  timesParse: Number((tenThousand / parsing).toFixed(1)),
  boardsPerSecond: Math.round(10_000 / (tenThousand / 1000)),
  ratioToOracle: Math.round(theirs / ours),
  growth: Number((tenThousand / thousand).toFixed(2)),
  worstMs: Number(worstMs.toFixed(1)),
  onThePage,
  editFramesLost,
  editMs,
};
console.table(figures);
console.log(JSON.stringify(figures));

/** Types a take-off mass digit by digit in a served Rung: frames that were not drawn meanwhile, and how long the last change took to rank. */
async function onPage(): Promise<{ editFramesLost: number; editMs: number }> {
  const cluster = await startCluster('bench-cluster');
  process.env.RUNG_CHROMIUM ??= chromiumPath();
  await buildWhenStale();
  const url = ask(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/fresh-database.ts', cluster.url])
    .out.trim()
    .split('\n')
    .at(-1)!;
  const server = await serve(await freePort(), prepared(url)!, ['ignore', 'ignore', 'inherit']);
  const { browser, close } = await openBrowser();
  try {
    const reply = await fetch(`${server.address}/api/import?over=replace`, {
      method: 'POST',
      headers: { origin: server.address },
      body: JSON.stringify({ ...shelf, boards: many(onThePage - shelf.boards.length) }),
    });
    if (!reply.ok) throw new Error(await reply.text());
    const { page } = await openPage(browser, `${server.address}/b/belfry-six`);
    await ranked(page);
    await page.locator('button ::-p-text(Change)').click();
    const field = (await page.waitForSelector('::-p-aria(Take-off mass)'))!;
    await page.evaluate(watch);
    await field.click({ count: 3 });
    for (const key of '7450') {
      await page.keyboard.press(key as '7');
      await new Promise((r) => setTimeout(r, 300));
    }
    await page.keyboard.press('Backspace');
    const last = performance.now();
    await ranked(page);
    const editMs = Math.round(performance.now() - last);
    const frames = (await page.evaluate('window.frames60')) as number[];
    const editFramesLost = frames
      .slice(1)
      .reduce((lost, at, i) => lost + Math.max(0, Math.round((at - frames[i]!) / (1000 / 60)) - 1), 0);
    return { editFramesLost, editMs };
  } finally {
    await close();
    server.child.kill('SIGTERM');
    cluster.stop();
  }
}

/** Waits until the shelf is ranked for what was typed. */
async function ranked(page: Page): Promise<void> {
  await page.waitForSelector('[aria-label="Stages"][aria-busy="true"]', { timeout: 1000 }).catch(() => null);
  await page.waitForSelector('[aria-label="Stages"][aria-busy="false"]', { timeout: 120_000 });
}
