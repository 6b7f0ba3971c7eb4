import { Worker } from 'node:worker_threads';
import { readFile, type Board, type Build, type Read } from '../core';
import { databaseUrl } from '../db/connection';
import type { FileJob } from './file.worker';
import type { Who } from './people/who';
import type { Imported, Over } from './import-file';

/** What one file may take: a file of 50 MB needs a third of either. */
const mostMb = 1500;
const mostMs = 120_000;
/** So many files may be here at once, the one that is read and those that come in or wait. */
const mostInside = 6;
/** Below this a file is read in a few milliseconds, sooner than a thread starts. */
const smallBytes = 64 * 1024;

const tooMuch = 'The file takes more memory or time than Rung gives one file. Split it. Nothing was changed.';

/** Reads a Rung file and stores what is in it, all or nothing, away from the thread that answers requests. */
export function importAside(
  bytes: Uint8Array,
  over: Over,
  { workspace, name }: Pick<Who, 'workspace' | 'name'>,
): Promise<Imported> {
  return inTurn({
    kind: 'import',
    bytes,
    database: databaseUrl(),
    over,
    who: { workspace, name },
  }) as Promise<Imported>;
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

let inside = 0;

/** Takes a large file in, from the first byte of its body on; null where there are too many already. */
export async function admitted<T>(work: () => Promise<T>): Promise<T | null> {
  if (inside >= mostInside) return null;
  inside += 1;
  try {
    return await work();
  } finally {
    inside -= 1;
  }
}

/** One file at a time is read, so that other requests find a processor free. */
let last: Promise<unknown> = Promise.resolve();

function inTurn(job: FileJob): Promise<unknown> {
  const mine = last.then(() => inWorker(job));
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
