import { readShelfFile, type ShelfFile } from '../core';

export type FromReader = { kind: 'progress'; done: number; total: number } | { kind: 'read'; file: ShelfFile };

const tell = (said: FromReader) => postMessage(said);
const everyMs = 100;

/** A file of many megabytes takes seconds to read; the page stays free meanwhile, and may end this worker at any time. */
onmessage = ({ data: text }: MessageEvent<string>) => {
  let told = 0;
  const file = readShelfFile(text, (done, total) => {
    if (performance.now() - told < everyMs) return;
    told = performance.now();
    tell({ kind: 'progress', done, total });
  });
  tell({ kind: 'read', file });
};
