import { readFileSync } from 'node:fs';
import { eq } from 'drizzle-orm';
import type { PgBoss } from 'pg-boss';
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest';
import { bestSets, isCandidate, rankShelf, readData } from '../core';
import { makeAppRole } from '../db/app-role';
import { findBuild, saveBuild } from '../db/builds';
import { database } from '../db/connection';
import { rankings } from '../db/schema';
import { freshDatabase } from '../db/tests/fresh-database';
import { within } from '../db/within';
import { importFile } from './import-file';
import { openQueue, prepareQueue, rankingQueue, type RankingJob } from './queue';
import { rankJob } from './rank-job';
import { askForRanking, patienceSeconds, rankingLines } from './ranking';

let workers: PgBoss;
const worked: string[] = [];
/** Enough boards for a few ticks, few enough for a test. */
const shelf = JSON.parse(readFileSync('demo/shelf.json', 'utf8')) as {
  boards: { kind: string }[];
  peripherals: unknown[];
};
shelf.boards = shelf.boards.slice(0, 12);

beforeAll(async () => {
  const ownersUrl = await freshDatabase(process.env.TEST_DATABASE_URL!);
  await prepareQueue(ownersUrl);
  process.env.DATABASE_URL = await makeAppRole(ownersUrl);
  await within(database(), 'home', async (own) => {
    await importFile(own, JSON.stringify(shelf));
    await importFile(own, readFileSync('demo/builds/gutterling.json', 'utf8'));
  });
  workers = await openQueue(process.env.DATABASE_URL);
  await workers.work<RankingJob>(rankingQueue, { pollingIntervalSeconds: 0.5 }, async ([job]) => {
    worked.push(await rankJob(database(), job!.data));
  });
});
afterAll(async () => {
  await workers.stop({ graceful: false });
  await database().$client.end();
});

async function all(key: string): Promise<{ state: string; ranked?: { id: string; verdict: string }[] }[]> {
  const lines: string[] = [];
  for await (const line of rankingLines(database(), 'home', key, new AbortController().signal)) lines.push(line);
  return lines.map((l) => JSON.parse(l) as never);
}

describe('a ranking asked of the server', () => {
  test('comes as it goes, and is the one that the core gives', async () => {
    const key = (await askForRanking(database(), 'home', 'gutterling'))!;
    const lines = await all(key);
    expect(lines[0]!.state).toBe('waiting');
    const last = lines.at(-1)!;
    expect(last.state).toBe('done');
    const { build } = (await within(database(), 'home', (own) => findBuild(own, 'gutterling')))!;
    const read = readData({ ...shelf, format: 'rung-shelf', version: 2, name: 'x' }, 'rung-shelf');
    if (!read.ok) throw new Error('the shelf of this test');
    const { boards } = read.value;
    const alone = rankShelf(build, boards.filter(isCandidate)).map((r) => `${r.climb.boardId} ${r.climb.verdict}`);
    const sets = bestSets(build, boards).climbs.map((c) => c.boardId);
    const found = last.ranked!.filter((r) => !r.id.includes('~')).map((r) => `${r.id} ${r.verdict}`);
    expect(found).toEqual(alone);
    expect(
      last
        .ranked!.filter((r) => r.id.includes('~'))
        .map((r) => r.id)
        .sort(),
    ).toEqual(sets.sort());
  });

  test('asked again it is there at once; a change of the build or of a board makes it anew', async () => {
    const before = worked.length;
    const key = (await askForRanking(database(), 'home', 'gutterling'))!;
    expect((await all(key)).map((l) => l.state)).toEqual(['done']);
    expect(worked).toHaveLength(before);
    await within(database(), 'home', async (own) => {
      const { build, version } = (await findBuild(own, 'gutterling'))!;
      await saveBuild(own, { ...build, name: 'Other' }, version);
    });
    const next = (await askForRanking(database(), 'home', 'gutterling'))!;
    expect(next).not.toBe(key);
    expect((await all(next)).at(-1)!.state).toBe('done');
    expect(worked).toHaveLength(before + 1);
  });

  test('what another Rung worked out is no answer of this one', async () => {
    const key = await askForRanking(database(), 'home', 'gutterling');
    vi.stubEnv('NEXT_PUBLIC_RUNG_CODE', 'a later one');
    try {
      const later = (await askForRanking(database(), 'home', 'gutterling'))!;
      expect(later).not.toBe(key);
      expect((await all(later)).at(-1)!.state).toBe('done');
    } finally {
      vi.unstubAllEnvs();
    }
    expect(await askForRanking(database(), 'home', 'gutterling')).toBe(key);
  });

  test('ten who ask at once wait for one piece of work', async () => {
    await within(database(), 'home', async (own) => {
      const { build, version } = (await findBuild(own, 'gutterling'))!;
      await saveBuild(own, { ...build, name: 'For ten' }, version);
    });
    const before = worked.length;
    const keys = await Promise.all(Array.from({ length: 10 }, () => askForRanking(database(), 'home', 'gutterling')));
    expect(new Set(keys).size).toBe(1);
    const ends = await Promise.all(keys.map((k) => all(k!)));
    expect(ends.every((e) => e.at(-1)!.state === 'done')).toBe(true);
    expect(worked).toHaveLength(before + 1);
  });

  test('ends when nobody waits, and is begun again for the next who asks', async () => {
    const job = { workspace: 'home', key: 'left', build: 'gutterling' };
    const long = new Date(Date.now() - 2000 * patienceSeconds);
    await within(database(), 'home', (own) => own.insert(rankings).values({ ...job, waited: long }));
    expect(await rankJob(database(), job)).toBe('nobody waits');
    const [row] = await within(database(), 'home', (own) =>
      own.select().from(rankings).where(eq(rankings.key, 'left')),
    );
    expect(row!.rows).toBeNull();
  });

  test('of a build that is not there there is none, and another workspace gets nothing by its key', async () => {
    expect(await askForRanking(database(), 'home', 'none')).toBeNull();
    expect(await askForRanking(database(), 'w-other', 'gutterling')).toBeNull();
    const key = (await askForRanking(database(), 'home', 'gutterling'))!;
    const lines: string[] = [];
    for await (const line of rankingLines(database(), 'w-other', key, new AbortController().signal)) lines.push(line);
    expect(lines).toEqual([]);
  });
});
