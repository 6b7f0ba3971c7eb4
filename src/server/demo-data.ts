import type { Database } from '../db/connection';
import { isEmpty, passMilestone } from '../db/milestones';
import { importFile } from './import-file';

/**
 * Brings the demo's files into an empty database, once in its life: a database that somebody has used gets nothing, and what is removed later stays removed.
 * All or nothing. Answers whether anything was loaded.
 */
export async function loadDemoOnce(db: Database, files: readonly { name: string; text: string }[]): Promise<boolean> {
  return db.transaction(async (tx) => {
    const first = await passMilestone(tx, 'demo data');
    if (!first || !(await isEmpty(tx))) return false;
    for (const { name, text } of files) {
      const result = await importFile(tx, text);
      if (!result.ok) throw new Error(`${name}: ${result.faults.map((f) => `${f.field}: ${f.sentence}`).join(' ')}`);
    }
    return true;
  });
}
