import { Worker } from 'node:worker_threads';
import { readFile, type Board, type Build, type Read } from '../core';
import { databaseUrl } from '../db/connection';
import type { FileJob } from './file.worker';
import type { Imported } from './import-file';

/** What one file may take: a file of 50 MB needs a third of either. */
const mostMb = 1500;
const mostMs = 120_000;
/** So many files may wait; one at a time is read, so that other requests find a processor free. */
const mostWaiting = 6;
/** Below this a file is read in a few milliseconds, sooner than a thread starts. */
const smallBytes = 64 * 1024;

const tooMuch = 'The file takes more memory or time than Rung gives one file. Split it. Nothing was changed.';
const busy = 'Rung is at work on other files. Nothing was changed; try again in a moment.';

/** Reads a Rung file and stores what is in it, all or nothing, away from the thread that answers requests. */
export function importAside(bytes: Uint8Array): Promise<Imported> {
  return inTurn({ kind: 'import', bytes, database: databaseUrl() }) as Promise<Imported>;
}

/** Reads a build or a board; a large one away from the thread that answers requests. */
export async function readAside<F extends 'rung-board' | 'rung-build'>(
  bytes: Uint8Array,
  format: F,
): Promise<Read<F extends 'rung-board' ? Board : Build>> {
  const read =
    bytes.byteLength <= smallBytes
      ? readFile(new TextDecoder().decode(bytes), format)
      : await inTurn({ kind: 'read', bytes, format });
  return read as Read<F extends 'rung-board' ? Board : Build>;
}

let waiting = 0;
let last: Promise<unknown> = Promise.resolve();

function inTurn(job: FileJob): Promise<unknown> {
  if (waiting >= mostWaiting) return Promise.resolve(refused(busy));
  waiting += 1;
  const mine = last.then(() => inWorker(job)).finally(() => (waiting -= 1));
  last = mine.catch(() => undefined);
  return mine;
}

function inWorker(job: FileJob): Promise<unknown> {
  const worker = new Worker(new URL('./file.worker.ts', import.meta.url), {
    workerData: job,
    transferList: [job.bytes.buffer as ArrayBuffer],
    resourceLimits: { maxOldGenerationSizeMb: mostMb },
  });
  return new Promise((resolve, reject) => {
    const late = setTimeout(() => resolve(refused(tooMuch)), mostMs);
    worker.once('message', resolve);
    worker.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? resolve(refused(tooMuch)) : reject(error),
    );
    worker.once('exit', () => clearTimeout(late));
  }).finally(() => worker.terminate());
}

function refused(sentence: string): { ok: false; faults: { field: string; sentence: string }[] } {
  return { ok: false, faults: [{ field: '', sentence }] };
}
