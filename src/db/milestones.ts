import { sql } from 'drizzle-orm';
import type { Database } from './connection';
import { boards, builds, milestones, peripherals, photos } from './schema';

/** Notes that something has happened to this database; false when it had before. */
export async function passMilestone(db: Database, name: string): Promise<boolean> {
  const rows = await db.insert(milestones).values({ name }).onConflictDoNothing().returning({ name: milestones.name });
  return rows.length > 0;
}

/** Is nothing of anybody's in it? */
export async function isEmpty(db: Database): Promise<boolean> {
  const { rows } = await db.execute<{ used: boolean }>(
    sql`select exists (select 1 from ${boards}) or exists (select 1 from ${peripherals}) or exists (select 1 from ${builds}) or exists (select 1 from ${photos}) as used`,
  );
  return rows[0]?.used === false;
}

class Undone extends Error {}

/** Fails where the database reads but does not write: a row is written and taken back. */
export async function canSave(db: Database): Promise<void> {
  await db
    .transaction(async (tx) => {
      await tx.insert(milestones).values({ name: `health ${crypto.randomUUID()}` });
      throw new Undone();
    })
    .catch((error: unknown) => {
      if (!(error instanceof Undone)) throw error;
    });
}
