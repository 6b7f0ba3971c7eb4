import { restoreBackup } from '../src/db/backup';
import { onDatabase } from './on-database';

await onDatabase('restore', async (url, file) => {
  const done = await restoreBackup(url, file);
  if (!done.ok) return done;
  const rows = Object.values(done.rows).reduce((sum, n) => sum + n, 0);
  return { ok: true, sentence: `Restored from ${file}: ${rows} rows.` };
});
