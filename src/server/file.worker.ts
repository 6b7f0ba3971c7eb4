import { parentPort, workerData } from 'node:worker_threads';
import { readFile, type FileFormat } from '../core';
import { openDatabase } from '../db/connection';
import { within } from '../db/within';
import { note } from './people/audit';
import { importFile, type Over } from './import-file';

/** A file to be read away from the thread that answers requests: stored as a whole, or handed back. */
export type FileJob =
  | { kind: 'import'; bytes: Uint8Array; database: string; over: Over; who: { workspace: string; name: string } }
  | { kind: 'read'; bytes: Uint8Array; format: FileFormat };

async function done(job: FileJob): Promise<unknown> {
  const text = new TextDecoder().decode(job.bytes);
  if (job.kind === 'read') return readFile(text, job.format);
  const { db, close } = openDatabase(job.database);
  try {
    return await within(db, job.who.workspace, async (own) => {
      const done = await importFile(own, text, job.over);
      if (done.ok)
        await note(
          own,
          job.who,
          'opened a file',
          `${done.boards} boards, ${done.peripherals} parts, ${done.builds.length} builds`,
        );
      return done;
    });
  } finally {
    await close();
  }
}

parentPort!.postMessage(await done(workerData as FileJob));
