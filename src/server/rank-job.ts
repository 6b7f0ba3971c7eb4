import { and, eq, sql } from 'drizzle-orm';
import {
  isCandidate,
  likelyFirst,
  manyBoards,
  mostSetsOfMany,
  rankClimbs,
  rankedRow,
  searchSets,
  stoppedEarly,
  type Board,
  type Build,
  type Climb,
} from '../core';
import { findBuild } from '../db/builds';
import type { Database } from '../db/connection';
import { allBoards } from '../db/library';
import { rankings } from '../db/schema';
import { within } from '../db/within';
import { climbOf } from '../highs/climb';
import type { RankingJob } from './queue';
import { patienceSeconds } from './ranking';

const tellMs = 300;

class NobodyWaits extends Error {}

/** One job: the shelf of a workspace climbs for a build, boards first, then sets. Ends early when nobody waits any more. */
export async function rankJob(
  db: Database,
  { workspace, key, build: id }: RankingJob,
): Promise<'done' | 'nobody waits' | 'gone'> {
  const own = <T>(work: (db: Database) => Promise<T>) => within(db, workspace, work);
  const [stored, boards] = await own(async (db) => [await findBuild(db, id), await allBoards(db)] as const);
  if (!stored) return 'gone';
  const alone = boards.filter(isCandidate);
  const tell = async (done: number) => {
    const rows = await own((db) =>
      db
        .update(rankings)
        .set({ state: 'running', done, total: alone.length })
        .where(and(eq(rankings.key, key), sql`${rankings.waited} > now() - make_interval(secs => ${patienceSeconds})`))
        .returning({ key: rankings.key }),
    );
    if (rows.length === 0) throw new NobodyWaits();
  };
  try {
    const climbs = await climbAll(stored.build, alone, boards, tell);
    const rows = rankClimbs(climbs).map(rankedRow);
    await own((db) =>
      db
        .update(rankings)
        .set({ state: 'done', done: alone.length, total: alone.length, rows })
        .where(eq(rankings.key, key)),
    );
    return 'done';
  } catch (error) {
    if (error instanceof NobodyWaits) return 'nobody waits';
    await own((db) => db.update(rankings).set({ state: 'failed' }).where(eq(rankings.key, key)));
    throw error;
  }
}

async function climbAll(
  build: Build,
  alone: Board[],
  shelf: Board[],
  tell: (done: number) => Promise<void>,
): Promise<Climb[]> {
  const climbs: Climb[] = [];
  let told = 0;
  const now = async (done: number) => {
    if (performance.now() - told < tellMs) return;
    await tell(done);
    told = performance.now();
  };
  const many = alone.length > manyBoards;
  for (const board of many ? likelyFirst(build, alone) : alone) {
    await now(climbs.length);
    climbs.push((many ? stoppedEarly(build, board) : null) ?? (await climbOf(build, board)));
  }
  const search = searchSets(build, shelf, many ? { most: mostSetsOfMany } : {});
  for (;;) {
    await now(alone.length);
    const step = search.next();
    if (step.done) return [...climbs, ...step.value.climbs];
  }
}
