import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Database } from '../../db/connection';
import { passes, type PassKind, type Role, type Shareable } from '../../db/people-schema';

export type Pass = typeof passes.$inferSelect;

/** A secret with 256 bits of chance cannot be guessed, so a plain digest of it is enough to keep. */
export function digestOf(secret: string): string {
  return createHash('sha256').update(secret).digest('hex');
}

/** Makes a pass of the workspace that `db` is within; its secret is told this once. */
export async function makePass(
  db: Database,
  workspace: string,
  pass: {
    kind: PassKind;
    label: string;
    days: number | null;
    role?: Role;
    build?: string;
    what?: Shareable;
    person?: string;
  },
): Promise<{ id: string; secret: string }> {
  const { days, ...rest } = pass;
  const secret = `${pass.kind === 'token' ? 'rung_' : ''}${randomBytes(32).toString('base64url')}`;
  const id = randomUUID();
  const expires = days === null ? null : new Date(Date.now() + days * 86_400_000);
  await db.insert(passes).values({ ...rest, id, workspace, digest: digestOf(secret), expires });
  return { id, secret };
}

/** What a secret opens; null where it never did, has ended, was withdrawn or is used up. Asked before it is known whose it is, through a function that answers nothing else. */
export async function passOf(db: Database, secret: string): Promise<Pass | null> {
  if (secret.length < 20 || secret.length > 100) return null;
  const { rows } = await db.execute<Record<string, unknown>>(sql`select * from pass_of(${digestOf(secret)})`);
  const row = rows[0];
  return row ? (row as unknown as Pass) : null;
}

/** All passes of the workspace that still open something, the newest first; never their secrets. */
export async function openPasses(db: Database): Promise<Omit<Pass, 'digest' | 'workspace'>[]> {
  const rows = await db
    .select()
    .from(passes)
    .where(
      and(isNull(passes.withdrawn), isNull(passes.used), sql`(${passes.expires} is null or ${passes.expires} > now())`),
    )
    .orderBy(desc(passes.made))
    .limit(500);
  return rows.map(({ digest: _, workspace: __, ...rest }) => rest);
}

export async function withdrawPass(db: Database, id: string): Promise<Pass | null> {
  const [row] = await db
    .update(passes)
    .set({ withdrawn: sql`now()` })
    .where(and(eq(passes.id, id), isNull(passes.withdrawn)))
    .returning();
  return row ?? null;
}

/** Uses up what goes once; false where somebody was first. */
export async function usePass(db: Database, id: string): Promise<boolean> {
  const rows = await db
    .update(passes)
    .set({ used: sql`now()` })
    .where(and(eq(passes.id, id), isNull(passes.used), isNull(passes.withdrawn)))
    .returning({ id: passes.id });
  return rows.length > 0;
}
