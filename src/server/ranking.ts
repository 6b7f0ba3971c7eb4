import { createHash } from 'node:crypto';
import { and, eq, sql } from 'drizzle-orm';
import type { PgBoss } from 'pg-boss';
import { databaseUrl, type Database } from '../db/connection';
import { shelfStamp } from '../db/library';
import { builds, rankings } from '../db/schema';
import { within } from '../db/within';
import { openQueue, rankingQueue, type RankingJob } from './queue';

/** What nobody has asked for so long nobody waits for. */
export const patienceSeconds = 5;
const pollMs = 250;
const silentMs = 10_000;

const kept = globalThis as { rungQueue?: Promise<PgBoss> };

function queue(): Promise<PgBoss> {
  kept.rungQueue ??= openQueue(databaseUrl()).catch((error: unknown) => {
    delete kept.rungQueue;
    throw error;
  });
  return kept.rungQueue;
}

/** By what an order is found again: the code of this very Rung, the version of the build and of all on the shelf; null where there is no such build. */
async function keyOf(db: Database, build: string): Promise<string | null> {
  const [row] = await db.select({ version: builds.version }).from(builds).where(eq(builds.id, build));
  if (!row) return null;
  return createHash('sha256')
    .update(`${process.env.NEXT_PUBLIC_RUNG_CODE ?? ''} ${build} ${row.version} ${await shelfStamp(db)}`)
    .digest('hex');
}

/** Asks for the order of the shelf, unless it is there or somebody waits for it already; its key, or null where there is no such build. */
export async function askForRanking(db: Database, workspace: string, build: string): Promise<string | null> {
  const asked = await within(db, workspace, async (own) => {
    const key = await keyOf(own, build);
    if (key === null) return null;
    const fresh = await own
      .insert(rankings)
      .values({ workspace, key, build })
      .onConflictDoNothing()
      .returning({ key: rankings.key });
    if (fresh.length > 0) {
      // Orders of older versions are wanted by nobody who waits.
      await own
        .delete(rankings)
        .where(
          and(
            eq(rankings.build, build),
            sql`${rankings.key} <> ${key} and ${rankings.waited} < now() - interval '1 day'`,
          ),
        );
      return { key, send: true };
    }
    // One that failed, or that nobody waited for to its end, is begun again.
    const again = await own
      .update(rankings)
      .set({ state: 'waiting', done: 0, waited: sql`now()` })
      .where(
        and(
          eq(rankings.key, key),
          sql`${rankings.state} <> 'done' and (${rankings.state} = 'failed' or ${rankings.waited} < now() - make_interval(secs => ${patienceSeconds}))`,
        ),
      )
      .returning({ key: rankings.key });
    return { key, send: again.length > 0 };
  });
  if (!asked) return null;
  if (asked.send) await (await queue()).send(rankingQueue, { workspace, key: asked.key, build } satisfies RankingJob);
  return asked.key;
}

/** Lines of JSON as the work goes on: how many of how many, and at the end the order. Ends when whoever waits is gone; then the work ends too. */
export async function* rankingLines(
  db: Database,
  workspace: string,
  key: string,
  gone: AbortSignal,
): AsyncGenerator<string> {
  let told = '';
  let said = performance.now();
  while (!gone.aborted) {
    const row = await within(db, workspace, async (own) => {
      const [now] = await own
        .update(rankings)
        .set({ waited: sql`now()` })
        .where(eq(rankings.key, key))
        .returning();
      return now;
    });
    if (!row) return;
    if (row.state === 'done') {
      yield `${JSON.stringify({ state: 'done', total: row.total, ranked: row.rows })}\n`;
      return;
    }
    if (row.state === 'failed') {
      yield `${JSON.stringify({ state: 'failed', sentence: 'The work was given up by a fault of ours. Ask again.' })}\n`;
      return;
    }
    const line = `${JSON.stringify({ state: row.state, done: row.done, total: row.total })}\n`;
    // A proxy and a program take a body that is silent for long for a dead one.
    if (line !== told || performance.now() - said > silentMs) {
      yield line;
      said = performance.now();
    }
    told = line;
    await new Promise((r) => setTimeout(r, pollMs));
  }
}
