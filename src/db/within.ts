import { sql } from 'drizzle-orm';
import type { Database } from './connection';

/**
 * Work on the rows of one workspace, all or nothing. Row security shows and takes no others, whatever the work asks for; without this nothing is seen at all. An id that
 * names no workspace sees nothing.
 */
export function within<T>(db: Database, workspace: string, work: (db: Database) => Promise<T>): Promise<T> {
  return db.transaction(async (tx) => {
    await tx.execute(sql`select set_config('rung.workspace', ${workspace}, true)`);
    return work(tx as unknown as Database);
  });
}
