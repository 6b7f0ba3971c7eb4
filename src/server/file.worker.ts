import { parentPort, workerData } from 'node:worker_threads';
import { readFile, type FileFormat } from '../core';
import { openDatabase } from '../db/connection';
import { importFile, type Over } from './import-file';

/** A file to be read away from the thread that answers requests: stored as a whole, or handed back. */
export type FileJob =
  | { kind: 'import'; bytes: Uint8Array; database: string; over: Over }
  | { kind: 'read'; bytes: Uint8Array; format: FileFormat };

async function done(job: FileJob): Promise<unknown> {
  const text = new TextDecoder().decode(job.bytes);
  if (job.kind === 'read') return readFile(text, job.format);
  const { db, close } = openDatabase(job.database);
  try {
    return await importFile(db, text, job.over);
  } finally {
    await close();
  }
}

parentPort!.postMessage(await done(workerData as FileJob));
