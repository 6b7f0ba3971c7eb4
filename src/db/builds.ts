import { isDeepStrictEqual } from 'node:util';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { readData, type Build } from '../core';
import type { Database } from './connection';
import { UnreadableRecord } from './faults';
import { builds } from './schema';

export interface StoredBuild {
  build: Build;
  version: number;
  savedAt: string;
}

export type SaveResult =
  { kind: 'saved'; version: number; savedAt: string } | { kind: 'conflict'; current: StoredBuild } | { kind: 'gone' };

/** A build stored by an older Rung, with what has been added to the format since at its default. */
function current(id: string, stored: unknown): Build {
  const read = readData(stored, 'rung-build');
  if (!read.ok) throw new UnreadableRecord('build', id, read.faults);
  return read.value;
}

/** All builds by name; those that cannot be read by their id and name alone. */
export async function allBuilds(
  db: Database,
): Promise<{ builds: StoredBuild[]; unreadable: { id: string; name: string; why: string }[] }> {
  const rows = await db.select().from(builds).orderBy(asc(builds.name));
  const found: Awaited<ReturnType<typeof allBuilds>> = { builds: [], unreadable: [] };
  for (const r of rows) {
    try {
      found.builds.push({ build: current(r.id, r.body), version: r.version, savedAt: r.updatedAt.toISOString() });
    } catch (error) {
      if (!(error instanceof UnreadableRecord)) throw error;
      found.unreadable.push({ id: r.id, name: r.name, why: error.message });
    }
  }
  return found;
}

export async function findBuild(db: Database, id: string): Promise<StoredBuild | null> {
  const [row] = await db.select().from(builds).where(eq(builds.id, id));
  return row ? { build: current(row.id, row.body), version: row.version, savedAt: row.updatedAt.toISOString() } : null;
}

/** Saves only on top of the version that the change was made from, so that no other tab's work is lost. */
export async function saveBuild(db: Database, build: Build, baseVersion: number): Promise<SaveResult> {
  const [row] = await db
    .update(builds)
    .set({ body: build, version: sql`${builds.version} + 1`, updatedAt: sql`now()` })
    .where(and(eq(builds.id, build.id), eq(builds.version, baseVersion)))
    .returning();
  if (row) return { kind: 'saved', version: row.version, savedAt: row.updatedAt.toISOString() };
  const current = await findBuild(db, build.id);
  if (!current) return { kind: 'gone' };
  // The same save again, after its answer was lost.
  return isDeepStrictEqual(current.build, build)
    ? { kind: 'saved', version: current.version, savedAt: current.savedAt }
    : { kind: 'conflict', current };
}

/** Adds a build; false when the id is taken. */
export async function addBuild(db: Database, build: Build): Promise<boolean> {
  const rows = await db
    .insert(builds)
    .values({ id: build.id, body: build })
    .onConflictDoNothing()
    .returning({ id: builds.id });
  return rows.length > 0;
}

/** Those of some builds that are here, by their ids. */
export async function buildsWith(db: Database, ids: string[]): Promise<Map<string, Build>> {
  if (ids.length === 0) return new Map();
  const rows = await db.select().from(builds).where(inArray(builds.id, ids));
  return new Map(rows.map((r) => [r.id, current(r.id, r.body)]));
}

/** Adds builds, or replaces those with the same id as a new version. */
export async function putBuilds(db: Database, list: Build[]): Promise<void> {
  for (const build of list) {
    await db
      .insert(builds)
      .values({ id: build.id, body: build })
      .onConflictDoUpdate({
        target: [builds.workspace, builds.id],
        set: { body: build, version: sql`${builds.version} + 1`, updatedAt: sql`now()` },
      });
  }
}

/** Removes the build as the version that was seen; false when somebody has changed it since. What is not there is removed. */
export async function removeBuild(db: Database, id: string, seen: number): Promise<boolean> {
  const gone = await db
    .delete(builds)
    .where(and(eq(builds.id, id), eq(builds.version, seen)))
    .returning({ id: builds.id });
  return gone.length > 0 || (await findBuild(db, id)) === null;
}
