import { execFileSync } from 'node:child_process';
import { isDeepStrictEqual } from 'node:util';
import { rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { demoShelf } from '../src/core/tests/demo';
import { variedShelf } from '../src/core/tests/varied-shelf';
import { freshDatabase } from '../src/db/tests/fresh-database';
import { clusterFolder, startCluster } from '../scripts/cluster.mjs';
import { prepared } from '../scripts/prepared.mjs';
import { freePort } from '../scripts/run.mjs';
import { serve } from '../scripts/serve.mjs';
import { openBrowser, openPage, patientPage, waitForText, goTo } from './browser';
import { ask, editing, type Saved, type Told } from './editing-clients';

/** A Rung of its own, with a cluster of its own, that may be killed. */
const cluster = 'fault-cluster';
let database: Awaited<ReturnType<typeof startCluster>>;
let url: string;
let servers: Awaited<ReturnType<typeof serve>>[] = [];

beforeAll(async () => {
  database = await startCluster(cluster);
  url = prepared(await freshDatabase(database.url)) ?? '';
  servers = [await up()];
});
afterAll(() => {
  for (const { child } of servers) child.kill('SIGKILL');
  database.stop();
});

const up = async (port?: number, at = url) => serve(port ?? (await freePort()), at, ['ignore', 'ignore', 'ignore']);
const portOf = (address: string) => Number(new URL(address).port);
const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** As a kernel, a mains switch or an impatient person does it: without a word before. */
async function killServer(n: number): Promise<void> {
  const { child, address } = servers[n]!;
  child.kill('SIGKILL');
  await wait(300);
  servers[n] = await up(portOf(address));
}

const figures = ({ acknowledged, lost, others, ms }: Told) => {
  const sorted = [...ms].sort((a, b) => a - b);
  return {
    acknowledged,
    lost,
    others: JSON.stringify(others),
    p50Ms: Math.round(sorted[Math.floor(sorted.length / 2)] ?? 0),
    p99Ms: Math.round(sorted[Math.floor(sorted.length * 0.99)] ?? 0),
  };
};
const table: Record<string, object> = {};
const noted = (fault: string, told: Told) => {
  table[fault] = figures(told);
  return told;
};
afterAll(() => console.table(table));

/** Edits while something is done to Rung, and after it until as many as there are clients were saved again, however slow the machine. */
async function amid(fault: string, addresses: string[], clients: number, harm: () => Promise<unknown>): Promise<Told> {
  let harmed = false;
  let enough = Infinity;
  const told = editing(addresses, clients, ({ acknowledged }) => {
    if (harmed && enough === Infinity) enough = acknowledged + clients;
    return acknowledged >= enough;
  });
  await wait(400);
  await harm();
  harmed = true;
  return noted(fault, await told);
}

describe('what was said to be kept is there afterwards', () => {
  test('the server is killed amid edits, three times', async () => {
    const { address } = servers[0]!;
    const told = await amid('server killed amid edits', [address], 6, async () => {
      for (let i = 0; i < 3; i++) {
        await wait(300);
        await killServer(0);
      }
    });
    expect(told.lost).toBe(0);
    // A conflict would be one with oneself.
    expect(Object.keys(told.others)).not.toContain('409');
  });

  test('the server is killed amid an import: all of it is there, or nothing', async () => {
    const shelf = demoShelf();
    const boards = variedShelf(3, { 'flight controller': 240 }, shelf.boards);
    const file = JSON.stringify({ ...shelf, boards, peripherals: [] });
    const seen: number[] = [];
    for (const delay of [60, 250, 700, 1600]) {
      const { address } = servers[0]!;
      const sent = ask(address, '/api/import?over=replace', { method: 'POST', body: file }).catch(() => null);
      await wait(delay);
      await killServer(0);
      const said = await sent;
      const now = (await (await ask(servers[0]!.address, '/api/shelf')).json()) as { boards: { id: string }[] };
      const there = now.boards.filter((b) => boards.some((f) => f.id === b.id)).length;
      seen.push(there);
      if (said?.ok) expect(there).toBe(boards.length);
    }
    table['server killed amid an import'] = { others: `boards there afterwards: ${seen.join(', ')} of 240` };
    expect(seen.every((n) => n === 0 || n === boards.length)).toBe(true);
  });

  test('PostgreSQL is stopped, killed and started again under load', async () => {
    const { address } = servers[0]!;
    const told = await amid('PostgreSQL stopped and killed under load', [address], 6, async () => {
      database.stop();
      await wait(700);
      database = await startCluster(cluster, portOf(database.url));
      await wait(700);
      database.kill();
      await wait(400);
      database = await startCluster(cluster, portOf(database.url));
    });
    expect(told.lost).toBe(0);
    expect(Object.keys(told.others)).toEqual(['503']);
  });

  test('two processes on one database, and clients that read and edit on both', async () => {
    servers.push(await up());
    const told = await amid(
      'two processes, 20 clients',
      servers.map((s) => s.address),
      20,
      () => wait(2500),
    );
    expect([told.lost, told.others]).toEqual([0, {}]);
  });

  test('the disk of the database is full, and then is not', async ({ skip, onTestFinished }) => {
    const room = clusterFolder('full-cluster');
    // Only who may mount a small disk can fill one without harm.
    if (!mounted(room)) return skip('no small disk can be mounted here');
    onTestFinished(() => void execFileSync('umount', ['-l', room]));
    const small = await startCluster('full-cluster');
    const at = prepared(await freshDatabase(small.url))!;
    const server = await up(undefined, at);
    const filler = path.join(room, 'filler');
    try {
      const told = await amid('disk full', [server.address], 4, async () => {
        fill(filler);
        await wait(2500);
        rmSync(filler);
        await wait(900);
      });
      expect(told.lost).toBe(0);
      expect(Object.keys(told.others)).toEqual(['503']);
    } finally {
      server.child.kill('SIGKILL');
      small.kill();
    }
  });
});

function mounted(folder: string): boolean {
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=160m,mode=777', 'tmpfs', folder], { stdio: 'ignore' });
    return true;
  } catch {
    return false;
  }
}

/** Until nothing goes in any more. */
function fill(file: string): void {
  const piece = Buffer.alloc(1 << 20);
  try {
    for (;;) writeFileSync(file, piece, { flag: 'a' });
  } catch {
    // Full.
  }
}

describe('a clock that jumps', () => {
  test.each([-3, 3])(
    'by %s days between an edit with the server away and the next visit: the edit is saved',
    async (days) => {
      const { browser, close } = await openBrowser();
      const { address } = servers[0]!;
      const made = await ask(address, '/api/builds', {
        method: 'POST',
        body: JSON.stringify({ name: `Clock ${days}` }),
      });
      const { id } = (await made.json()) as { id: string };
      const stored = async () => ((await (await ask(address, `/api/builds/${id}`)).json()) as Saved).build;
      try {
        const page = await patientPage(browser);
        await page.evaluateOnNewDocument((ms) => {
          const now = Date.now.bind(Date);
          Date.now = () => now() + ms;
        }, days * 86_400_000);
        await goTo(page, `${address}/b/${id}`);
        await page.setOfflineMode(true);
        await page.$$eval('details', (all) => all.forEach((d) => (d.open = true)));
        const budget = (await page.waitForSelector('aria/Budget[role="textbox"]'))!;
        await budget.press('End');
        await budget.type('0');
        await page.keyboard.press('Tab');
        await waitForText(page, 'Kept in this browser');
        await page.close();
        const before = await stored();
        const second = await openPage(browser, `${address}/b/${id}`);
        for (let i = 0; i < 100 && isDeepStrictEqual(await stored(), before); i++) await wait(100);
        expect(await stored()).not.toEqual(before);
        await second.page.close();
      } finally {
        await close();
      }
    },
  );
});
