import { desc } from 'drizzle-orm';
import type { Database } from '../../db/connection';
import { audit } from '../../db/people-schema';
import type { Who } from './who';

/** Notes who did what, in the same transaction as the thing itself: what is taken back is not noted. */
export async function note(
  db: Database,
  { workspace, name }: Pick<Who, 'workspace' | 'name'>,
  what: string,
  about: string,
): Promise<void> {
  await db.insert(audit).values({ workspace, who: name, what, about: about.slice(0, 200) });
}

export async function auditOf(db: Database): Promise<{ at: string; who: string; what: string; about: string }[]> {
  const rows = await db.select().from(audit).orderBy(desc(audit.id)).limit(300);
  return rows.map(({ at, who, what, about }) => ({ at: at.toISOString(), who, what, about }));
}
