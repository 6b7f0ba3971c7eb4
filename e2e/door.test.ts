import { readFileSync } from 'node:fs';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { Client } from 'pg';
import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { readFile } from '../src/core';
import { openBrowser, patientPage, goTo, until } from './browser';
import { ask } from './visit';

const address = process.env.RUNG_ADDRESS!;
const port = new URL(address).port;
let browser: Browser;
let close: () => Promise<void>;
let elsewhere: http.Server;

beforeAll(async () => {
  // Any name ending in .example is this machine, as if its owner had said so.
  ({ browser, close } = await openBrowser(['--host-resolver-rules=MAP *.example 127.0.0.1']));
  elsewhere = http.createServer(
    (_, response) => void response.writeHead(200, { 'content-type': 'text/html' }).end('<title>elsewhere</title>'),
  );
  await new Promise<void>((done) => elsewhere.listen(0, '127.0.0.1', done));
});
afterAll(async () => {
  elsewhere.close();
  await close();
});

const state = async () => {
  const shelf = (await (await ask('/api/shelf')).json()) as {
    boards: { id: string }[];
    versions: Record<string, number>;
  };
  const { builds } = (await (await ask('/api/builds')).json()) as { builds: { id: string }[] };
  const { photos } = (await (await ask('/api/photos?about=board:door')).json()) as { photos: string[] };
  return { versions: shelf.versions, boards: shelf.boards.length, builds, photos };
};
const board = JSON.stringify({
  ...(JSON.parse(readFileSync('demo/shelf.json', 'utf8')) as { boards: object[] }).boards[0],
  name: 'Taken over',
});

/** All that changes something, tried from a page, with all that a page may do to look harmless. */
const attempts: [string, string, string][] = [
  ['POST', '/api/import', board],
  ['POST', '/api/builds', '{"name":"Not mine"}'],
  ['POST', '/api/offers/tarnfield-plover', ''],
  ['POST', '/api/photos?about=board:door', 'x'],
  ['PUT', '/api/boards/tarnfield-plover', board],
  ['DELETE', '/api/boards/tarnfield-plover', ''],
  ['DELETE', '/api/builds/gutterling', ''],
];

describe('only this machine, only its own pages', () => {
  test('a page of another origin changes nothing, by fetch or by a form', async () => {
    const before = await state();
    const page = await patientPage(browser);
    await page.goto(`http://127.0.0.1:${(elsewhere.address() as AddressInfo).port}/`);
    const said = await page.evaluate(
      (to, tries) =>
        Promise.all(
          tries.map(([method, path, body]) =>
            fetch(to + path, {
              method: method!,
              mode: method === 'POST' ? 'no-cors' : 'cors',
              ...(body ? { body } : {}),
            }).then(
              (r) => r.type,
              () => 'refused',
            ),
          ),
        ),
      address,
      attempts,
    );
    expect(said).toEqual(attempts.map(() => 'refused'));
    // A form sends its words as plain text, with no question asked beforehand.
    await page.evaluate((to) => {
      document.body.innerHTML = `<form method="post" enctype="text/plain" action="${to}/api/builds"><input name='{"name":"From a form","x":"' value='"}'></form>`;
      document.querySelector('form')!.submit();
    }, address);
    await until(page, () => document.body.innerText.includes('own pages'));
    await page.close();
    expect(await state()).toEqual(before);
  });

  test('a foreign name that resolves to loopback reads nothing and changes nothing', async () => {
    const before = await state();
    const page = await patientPage(browser);
    for (const path of [
      '/',
      '/b/gutterling',
      '/b/gutterling/ladder',
      '/api/shelf',
      '/api/builds',
      '/api/builds/gutterling',
      '/api/health',
    ]) {
      const reply = await page.goto(`http://rung.example:${port}${path}`);
      expect(reply!.status(), path).toBe(403);
      expect(await page.evaluate(() => document.body.innerText), path).toContain('this machine alone');
    }
    // Answers of routes may not even ask; a page may.
    await page.goto(`http://rung.example:${port}/`);
    const said = await page.evaluate(
      (tries) =>
        Promise.all(
          tries.map(([method, path, body]) =>
            fetch(path!, { method: method!, ...(body ? { body } : {}) }).then((r) => r.status),
          ),
        ),
      attempts,
    );
    expect(said).toEqual(attempts.map(() => 403));
    await page.close();
    expect(await state()).toEqual(before);
  });

  test('from its own page the same request is taken', async () => {
    const page = await patientPage(browser);
    await page.goto(address);
    const { status, id } = await page.evaluate(async () => {
      const reply = await fetch('/api/builds', { method: 'POST', body: '{"name":"Through the door"}' });
      return { status: reply.status, id: ((await reply.json()) as { id: string }).id };
    });
    expect(status).toBe(201);
    expect(
      await page.evaluate(
        (b) => fetch(`/api/builds/${b}`, { method: 'DELETE', headers: { 'if-match': '1' } }).then((r) => r.status),
        id,
      ),
    ).toBe(200);
    await page.close();
  });
});

/** A board that no import lets in, as an older Rung may have stored it: bridges that feed one another in more ways than a climb has steps. */
async function storeFan(): Promise<void> {
  const read = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
  if (!read.ok) throw new Error('demo/shelf.json');
  const [board] = read.value.boards;
  const positions = [
    { id: 'x', label: 'x' },
    { id: 'y', label: 'y' },
  ];
  const bridges = Array.from({ length: 20 }, (_, i) => ({
    id: `b${i}`,
    label: `B${i}`,
    form: 'jumper',
    face: 'top',
    positions,
    factory: 'x',
    effort: 1,
  }));
  const before = (i: number) => (i === 0 ? 'pack' : `f${i - 1}`);
  const rails = bridges.map((b, i) => ({
    id: `f${i}`,
    label: `F${i}`,
    pads: [],
    source: { kind: 'bridge', bridge: b.id, byPosition: { x: before(i), y: before(i) } },
  }));
  const fan = { ...board, id: 'fan', name: 'Fan of Rails', bridges, rails: [...board!.rails, ...rails] };
  const client = new Client({ connectionString: process.env.TEST_DATABASE_URL });
  await client.connect();
  await client.query('insert into boards (id, body) values ($1, $2)', ['fan', JSON.stringify(fan)]);
  await client.end();
}

test('a script that got into a page does not run, a foreign address is not loaded, and no page shows Rung in a frame', async () => {
  const page = await patientPage(browser);
  // The page as the server sends it, with a script that somebody got into it.
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    if (request.resourceType() !== 'document') return void request.continue();
    void fetch(request.url()).then(async (reply) => {
      const body = (await reply.text()).replace('<body>', '<body><script>window.broken = 2</script>');
      const policy = reply.headers.get('content-security-policy')!;
      await request.respond({ contentType: 'text/html', headers: { 'content-security-policy': policy }, body });
    });
  });
  await page.goto(process.env.RUNG_ADDRESS! + '/', { waitUntil: 'networkidle0' });
  const ran = await page.evaluate(async () => {
    const seen: string[] = [];
    document.addEventListener('securitypolicyviolation', (e) => seen.push(e.effectiveDirective));
    const put = (html: string) => {
      const at = document.createElement('div');
      at.innerHTML = html;
      document.body.append(at);
    };
    put('<img src="x:" onerror="window.broken = 1">');
    await fetch('http://192.0.2.1/').catch(() => undefined);
    await new Promise((r) => setTimeout(r, 300));
    return { broken: (window as { broken?: number }).broken ?? 0, seen: [...new Set(seen)].sort() };
  });
  expect(ran.broken).toBe(0);
  expect(ran.seen).toEqual(expect.arrayContaining(['connect-src', 'script-src-attr']));
  await page.setContent(`<iframe src="${process.env.RUNG_ADDRESS!}/"></iframe>`);
  await new Promise((r) => setTimeout(r, 500));
  const framed = page.frames().find((f) => f !== page.mainFrame());
  expect(
    await framed?.evaluate(() => document.body.innerText.includes('Start a build')).catch(() => false),
  ).toBeFalsy();
  await page.close();
});

test('a board that a climb gives up on holds nothing up: it is set aside, said so, and removed from the ladder without being opened', async () => {
  await storeFan();
  const page = await patientPage(browser);
  await goTo(page, `${address}/b/belfry-six/ladder`);
  await page.waitForSelector('[aria-label="Set aside"]');
  expect(await page.$eval('[aria-label="Set aside"]', (e) => (e as HTMLElement).innerText)).toContain('Fan of Rails');
  expect(await page.$$eval('[data-row]', (rows) => rows.length)).toBeGreaterThan(10);
  await page.click('[aria-label="Remove Fan of Rails from the shelf"]');
  await until(page, () => !document.querySelector('[aria-label="Set aside"]'));
  expect(
    ((await (await ask('/api/shelf')).json()) as { boards: { id: string }[] }).boards.some((b) => b.id === 'fan'),
  ).toBe(false);
  await page.close();
});
