import { writeBackup } from '../src/db/backup';
import { onDatabase } from './on-database';

await onDatabase('backup', async (url, file) => {
  const { rows } = await writeBackup(url, file);
  return { ok: true, sentence: `Written to ${file}: ${countsOf(rows)}.` };
});

function countsOf(rows: Record<string, number>): string {
  return Object.entries(rows)
    .map(([table, n]) => `${n} ${table}`)
    .join(', ');
}
