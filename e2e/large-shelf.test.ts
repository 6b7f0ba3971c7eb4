import { afterAll, beforeAll, expect, test } from 'vitest';
import { isCandidate } from '../src/core';
import { demoBuilds, demoShelf } from '../src/core/tests/demo';
import { variedBoard } from '../src/core/tests/varied-board';
import { freshDatabase } from '../src/db/tests/fresh-database';
import { prepared } from '../scripts/prepared.mjs';
import { freePort } from '../scripts/run.mjs';
import { serve } from '../scripts/serve.mjs';
import { openBrowser, openPage, waitForText, until } from './browser';
import { ask } from './editing-clients';
import { clickOn } from './visit';

/** Some more than a page climbs whole. */
const shelf = demoShelf();
const boards = Array.from({ length: 900 }, (_, i) => variedBoard(i, shelf.boards));
const candidates = boards.filter(isCandidate).length;
let server: Awaited<ReturnType<typeof serve>>;

beforeAll(async () => {
  const url = prepared(await freshDatabase(process.env.TEST_DATABASE_URL!)) ?? '';
  server = await serve(await freePort(), url, ['ignore', 'ignore', 'ignore']);
  for (const file of [
    { format: 'rung-shelf', version: 2, name: 'Many', boards, peripherals: shelf.peripherals },
    demoBuilds().find((b) => b.id === 'belfry-six'),
  ])
    expect((await ask(server.address, '/api/import', { method: 'POST', body: JSON.stringify(file) })).status).toBe(200);
});
afterAll(() => server.child.kill('SIGKILL'));

test('boards that may carry the build stand on the page as the server sends it, before any has climbed', async () => {
  const sent = await (await fetch(`${server.address}/b/belfry-six/ladder`)).text();
  const list = /<ul[^>]*aria-label="Boards that may carry this build".*?<\/ul>/s.exec(sent)![0];
  expect(sent).not.toContain('all can be told');
  expect([...list.matchAll(/href="\/b\/belfry-six\/board\/[^"]+"/g)]).toHaveLength(20);
});

test('the likely boards of a large shelf are looked at while the rest is on its way; in the end the order is of all', async () => {
  const { browser, close } = await openBrowser();
  try {
    const { page, faults } = await openPage(browser, 'about:blank');
    const asked: string[] = [];
    let letIn: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (letIn = resolve));
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      const path = new URL(request.url()).pathname;
      if (path.startsWith('/api/')) asked.push(path);
      // The rest comes when the test says so.
      if (path === '/api/shelf') void held.then(() => request.continue());
      else void request.continue();
    });
    await page.goto(`${server.address}/b/belfry-six/ladder`, { waitUntil: 'domcontentloaded' });
    await waitForText(page, ', the likely ones first');
    await until(page, () => document.querySelectorAll('[data-row]').length > 3);
    await waitForText(page, 'fit so far');
    expect(await page.$eval('nav[aria-label=Stages]', (nav) => nav.getAttribute('aria-busy'))).toBe('true');
    // Its findings open, and it cannot be picked before the order is of all.
    await page.evaluate(() => [...document.querySelectorAll('a')].find((a) => a.textContent === 'Findings')!.click());
    await waitForText(page, 'so far');
    await until(page, () => document.querySelector('h1')?.textContent?.startsWith('Varied') ?? false);
    const pickable = () =>
      page.evaluate(() => [...document.querySelectorAll('button')].some((b) => b.innerText.startsWith('Pick ')));
    expect(await pickable()).toBe(false);
    // Nor does the library of parts wait for the boards.
    await page.click('nav[aria-label=Stages] a[href="/b/belfry-six"]');
    await page.waitForSelector('#add-part');
    await page.type('#add-part', 'Skein');
    await page.waitForSelector('[role=option]');
    await page.keyboard.press('Escape');
    await page.goBack();
    letIn();
    await until(page, () => document.querySelector('nav[aria-label=Stages]')!.getAttribute('aria-busy') === 'false');
    await until(page, () => [...document.querySelectorAll('button')].some((b) => b.innerText.startsWith('Pick ')));
    const said = await page.evaluate(() => document.body.innerText);
    expect(said).not.toContain('so far');
    expect(Number(/ of (\d+) fit/.exec(said)![1])).toBeGreaterThanOrEqual(candidates);
    // What holds is told with its figures, though the order keeps neither: the board climbs anew where it is read, and where it is picked.
    await page.click('nav[aria-label=Stages] a[href^="/b/belfry-six/ladder"]');
    await page.waitForSelector('[data-row]');
    await until(page, () => [...document.querySelectorAll('button')].some((b) => b.innerText === 'says who?'));
    await clickOn(page, 'Pick ');
    await waitForText(page, 'picked on');
    expect(asked.indexOf('/api/builds/belfry-six/likely')).toBeLessThan(asked.indexOf('/api/shelf'));
    expect(faults).toEqual([]);
  } finally {
    await close();
  }
});
