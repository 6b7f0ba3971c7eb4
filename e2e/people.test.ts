import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Browser, BrowserContext, Page } from 'puppeteer-core';
import { Validator } from '@seriousme/openapi-schema-validator';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { prepared } from '../scripts/prepared.mjs';
import { freePort } from '../scripts/run.mjs';
import { serve } from '../scripts/serve.mjs';
import { freshDatabase } from '../src/db/tests/fresh-database';
import { openBrowser, patientPage, goTo, reload, until, waitForText } from './browser';
import { expectAccessible } from './visit';

/** A Rung of its own with accounts, a worker, and three browsers: an owner's, an editor's and a guest's. */
let address: string;
let ownersUrl: string;
let server: ChildProcess;
let worker: ChildProcess;
let browser: Browser;
let close: () => Promise<void>;
let owner: Page;
let guests: BrowserContext;
const password = 'four words make one';
const env: Record<string, string> = {};

beforeAll(async () => {
  ownersUrl = await freshDatabase(process.env.TEST_DATABASE_URL!);
  const port = await freePort();
  address = `http://localhost:${port}`;
  Object.assign(env, {
    RUNG_ACCOUNTS: 'on',
    RUNG_PUBLIC_ADDRESS: address,
    RUNG_SECRET: 'a secret of the screen tests, long enough',
  });
  const url = prepared(ownersUrl, { demo: true })!;
  Object.assign(process.env, env);
  ({ child: server } = await serve(port, url, ['ignore', 'ignore', 'inherit'] as never));
  for (const name of Object.keys(env)) delete process.env[name];
  worker = spawn(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/worker.ts'], {
    env: { ...process.env, DATABASE_URL: url },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  ({ browser, close } = await openBrowser());
  owner = await patientPage(await browser.createBrowserContext());
  guests = await browser.createBrowserContext();
});
afterAll(async () => {
  await close();
  server.kill('SIGTERM');
  worker.kill('SIGTERM');
});

async function fill(page: Page, label: string, text: string): Promise<void> {
  await (await page.waitForSelector(`::-p-aria([name="${label}"][role="textbox"])`))!.type(text);
}
async function fillPassword(page: Page, text: string): Promise<void> {
  await (await page.waitForSelector('input[type=password]'))!.type(text);
}
async function press(page: Page, name: string): Promise<void> {
  await page.locator(`::-p-aria([name="${name}"][role="button"])`).click();
}
async function signIn(page: Page, email: string): Promise<void> {
  await goTo(page, `${address}/sign-in`);
  await fill(page, 'E-mail address', email);
  await fillPassword(page, password);
  await Promise.all([page.waitForNavigation(), press(page, 'Sign in')]);
}

/** Uses an invitation up: a name, an address made of it, and the password of all. */
async function join(page: Page, link: string, name: string): Promise<void> {
  await goTo(page, link);
  await fill(page, 'Your name, as the others see it', name);
  await fill(page, 'E-mail address', `${name.toLowerCase()}@club.example`);
  await fillPassword(page, password);
  await press(page, 'Join');
  await waitForText(page, 'Sign in now');
}

describe('with accounts', () => {
  test('nobody sees a page or a row; the way in is shown, and leads nowhere else', async () => {
    const page = await patientPage(guests);
    for (const path of ['/', '/b/gutterling/ladder', '/people', '/ranked/gutterling']) {
      await goTo(page, address + path);
      expect(page.url()).toContain(`/sign-in?to=${encodeURIComponent(path)}`);
    }
    await expectAccessible(page);
    expect((await fetch(`${address}/api/shelf`)).status).toBe(401);
    await page.close();
  });

  test('the first owner comes by a link of the command, sets a name and a password, and signs in', async () => {
    const link = execFileSync(
      process.execPath,
      ['node_modules/tsx/dist/cli.mjs', 'scripts/people.ts', 'owner', 'Ada'],
      {
        env: { ...process.env, ...env, DATABASE_URL: ownersUrl },
        encoding: 'utf8',
      },
    ).trim();
    expect(link).toMatch(new RegExp(`^${address}/join/`));
    await goTo(owner, link);
    await expectAccessible(owner);
    await join(owner, link, 'Ada');
    await goTo(owner, link);
    await waitForText(owner, 'opens nothing');
    await signIn(owner, 'ada@club.example');
    await waitForText(owner, 'Gutterling');
    await waitForText(owner, 'Home (owner)');
  });

  test('an owner invites an editor, who changes a build and finds no way to the people', async () => {
    await goTo(owner, `${address}/people`);
    await fill(owner, 'Who the link is for', 'Ben');
    // Pressed twice it is made once.
    await owner.$$eval('[aria-label="Invite somebody"] button', (buttons) => {
      for (let n = 0; n < 2; n++) buttons.at(-1)!.click();
    });
    await waitForText(owner, '/join/');
    await waitForText(owner, 'invitation of Ben');
    expect(await owner.evaluate(() => document.body.innerText.split('invitation of Ben').length - 1)).toBe(1);
    await expectAccessible(owner);
    const link = await owner.$eval('code', (c) => c.textContent!);
    const context = await browser.createBrowserContext();
    const editor = await patientPage(context);
    await join(editor, link, 'Ben');
    await signIn(editor, 'ben@club.example');
    await waitForText(editor, 'Home (editor)');
    await goTo(editor, `${address}/people`);
    await waitForText(editor, 'Ada');
    expect(await editor.$('::-p-aria([name="Make a link"])')).toBeNull();
    // What was kept to be read while the server is away goes with whoever signs out.
    await goTo(editor, address);
    const kept = () => editor.evaluate(async () => (await caches.keys()).length);
    await editor.evaluate(async () => (await caches.open('kept')).put('/b/gutterling', new Response('a build')));
    expect(await kept()).toBeGreaterThan(0);
    await waitForText(editor, 'Home (editor)');
    // Whoever could not be signed out is told so, and what was kept stays theirs. (What is still on its way when the server goes is another matter.)
    // Of workers that were ended while they loaded the browser never says that they are done.
    await editor.waitForNetworkIdle({ concurrency: 2, timeout: 15_000 }).catch(() => undefined);
    await editor.setOfflineMode(true);
    await press(editor, 'Sign out');
    await waitForText(editor, 'You are still signed in. The server does not answer.');
    expect(await kept()).toBeGreaterThan(0);
    await editor.setOfflineMode(false);
    await press(editor, 'Sign out');
    await waitForText(editor, 'E-mail address');
    expect(await kept()).toBe(0);
    await context.close();
  });

  test('a reader sees how things are, and nothing that would change them', async () => {
    const link = await owner.evaluate(async () => {
      const body = JSON.stringify({ label: 'Rea', role: 'reader' });
      return ((await (await fetch('/api/people', { method: 'POST', body })).json()) as { link: string }).link;
    });
    const context = await browser.createBrowserContext();
    const reader = await patientPage(context);
    await join(reader, link, 'Rea');
    await signIn(reader, 'rea@club.example');
    await waitForText(reader, 'Home (reader)');
    const board = 'copperwren-wicket-20';
    for (const [path, shown] of [
      ['', 'What must hang off the board'],
      ['/shelf', 'Wicket 20'],
      [`/shelf/${board}`, 'Kind and sides'],
      [`/board/${board}`, 'says who?'],
      [`/hookup/${board}`, 'Ports'],
      [`/sheet?board=${board}`, 'Port settings'],
      [`/basket?board=${board}`, 'landed'],
      [`/log?board=${board}`, 'The whole sheet'],
      ['/trade', 'Nothing said yet'],
    ] as const) {
      await goTo(reader, `${address}/b/gutterling${path}`);
      await waitForText(reader, shown);
      const acts = await reader.$$eval('main button:not(:disabled)', (all) => all.map((b) => b.innerText.trim()));
      const change =
        /^(?:I ordered|Remove|Change|Add|Save|Pick|Fork|Bring in|Make it|Answer|Enter|Say so|Use|Lock|Accept|Attach|Paste)/;
      expect(
        acts.filter((act) => change.test(act)),
        path,
      ).toEqual([]);
      const boxes = 'main input[type=checkbox][aria-label$="is at home"], main input[aria-label^="Check that"]';
      expect(await reader.$$eval(boxes, (all) => all.filter((b) => !b.matches(':disabled')).length), path).toBe(0);
      if (path !== '' && path !== `/shelf/${board}`) continue;
      await expectAccessible(reader);
      for (const list of await reader.$$('main [role=combobox]')) {
        await list.evaluate((e) => e.dispatchEvent(new MouseEvent('mousedown', { bubbles: true, button: 0 })));
        expect(await reader.$$('[role=listbox]'), path).toHaveLength(0);
      }
    }
    await context.close();
  });

  test('a ladder is shared; a guest sees it ranked, may change nothing, and nothing else is shown; withdrawn it is gone', async () => {
    await goTo(owner, `${address}/b/gutterling/ladder`);
    await press(owner, 'Share');
    await press(owner, 'Make a link');
    await waitForText(owner, '/s/');
    await expectAccessible(owner);
    const link = await owner.$eval('code', (c) => c.textContent!);
    const page = await patientPage(guests);
    await goTo(page, link);
    expect(page.url()).toBe(`${address}/b/gutterling/ladder`);
    await waitForText(page, 'Shared with you to look at');
    await until(page, () => document.querySelectorAll('[role=row]').length > 5);
    expect(await page.evaluate(() => document.body.innerText)).not.toMatch(/^Pick /m);
    await expectAccessible(page);
    const stages = await page.$$eval('nav[aria-label=Stages] li', (all) => all.map((l) => l.innerText.split('\n')[0]));
    expect(stages).toEqual(['Ladder', 'Findings', 'Hookup', 'Side by side']);
    const status = await page.evaluate(async () => {
      const reply = await fetch('/api/builds/gutterling', { method: 'DELETE', headers: { 'if-match': '1' } });
      return [reply.status, (await fetch('/api/builds')).status];
    });
    expect(status).toEqual([401, 401]);
    await reload(owner);
    await press(owner, 'Share');
    await press(owner, 'Withdraw the ladder of Gutterling, for whoever has the link');
    await waitForText(owner, 'opens nothing any more');
    await reload(page);
    expect(page.url()).toContain('/sign-in');
    await page.close();
  });

  test('the shelf is ranked on the server, with progress, for a phone', async () => {
    const page = await patientPage(owner.browserContext());
    await page.setViewport({ width: 390, height: 844 });
    await page.goto(`${address}/ranked/gutterling`, { waitUntil: 'domcontentloaded' });
    await waitForText(page, 'have climbed.');
    await waitForText(page, 'fits');
    await expectAccessible(page);
    await page.close();
  });

  test('a program with a token does what the example of the docs does', async () => {
    const [, example] = /```js\n([\s\S]*?)```/.exec(readFileSync('docs/api.md', 'utf8'))!;
    await goTo(owner, `${address}/people`);
    const { token } = await owner.evaluate(async () => {
      const body = JSON.stringify({ kind: 'token', label: 'example', role: 'editor', days: 1 });
      return (await (await fetch('/api/passes', { method: 'POST', body })).json()) as { token: string };
    });
    const out = execFileSync(process.execPath, ['--input-type=module', '-e', example!], {
      env: { ...process.env, RUNG: address, RUNG_TOKEN: token },
      encoding: 'utf8',
    });
    expect(out).toMatch(/^1\. .+: (fits|fits with work|cannot say yet|does not fit)\n$/);
    const description = await (await fetch(`${address}/api/openapi.json`)).json();
    expect((await new Validator().validate(description as never)).valid).toBe(true);
  });

  test('who is taken off the list is told so at the next page', async () => {
    const context = await browser.createBrowserContext();
    const page = await patientPage(context);
    await signIn(page, 'ben@club.example');
    await waitForText(page, 'Home (editor)');
    await goTo(owner, `${address}/people`);
    const removed = await owner.evaluate(async () => {
      const { members } = (await (await fetch('/api/people')).json()) as {
        members: { person: string; email: string }[];
      };
      const { person } = members.find((m) => m.email === 'ben@club.example')!;
      return (await fetch(`/api/people/${person}`, { method: 'DELETE' })).status;
    });
    expect(removed).toBe(200);
    await goTo(page, `${address}/b/gutterling`);
    await waitForText(page, 'You are signed in as ben@club.example, and in no workspace');
    await expectAccessible(page);
    await press(page, 'Sign out');
    await until(page, () => !document.body.innerText.includes('in no workspace'));
    await waitForText(page, 'E-mail address');
    await context.close();
  });

  test('the shelf that has not changed is not sent again; it comes packed to whoever takes it so', async () => {
    const { again, share } = await owner.evaluate(async () => {
      const size = async (accept: string) =>
        (await (await fetch('/api/shelf', { cache: 'no-store', headers: { accept } })).arrayBuffer()).byteLength;
      const reply = await fetch('/api/shelf', { cache: 'no-store' });
      const tag = reply.headers.get('etag')!;
      const next = await fetch('/api/shelf', { cache: 'no-store', headers: { 'if-none-match': tag } });
      return { share: (await size('application/gzip')) / (await size('application/json')), again: next.status };
    });
    expect(again).toBe(304);
    expect(share).toBeLessThan(0.1);
  });

  test('counters are for this machine: they name no address, no build and no person', async () => {
    const text = await (await fetch(`${address}/api/metrics`)).text();
    expect(text).toMatch(/rung_requests_total\{method="GET",status="2xx"\} \d+/);
    expect(text).not.toMatch(/gutterling|ada@club/i);
    expect((await fetch(`${address}/api/metrics`, { headers: { 'x-forwarded-for': '203.0.113.7' } })).status).toBe(404);
    expect((await fetch(`${address}/api/ready`)).status).toBe(200);
  });
});
