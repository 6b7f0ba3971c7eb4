import { readFileSync } from 'node:fs';
import { readFile, type FileFormat, type Read, type RungFile } from '../src/core';

/** Reads a Rung file from disk; a file that cannot be opened is a fault like any other. */
export function openFile<F extends FileFormat>(path: string, expected?: F): Read<Extract<RungFile, { format: F }>> {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    return { ok: false, faults: [{ field: '', sentence: 'There is no such file, or it cannot be read.' }] };
  }
  return (expected ? readFile(text, expected) : readFile(text)) as Read<Extract<RungFile, { format: F }>>;
}

/** One line a fault: file, field, what was expected. */
export function complain(path: string, faults: { field: string; sentence: string }[]): number {
  for (const f of faults) console.error(`${path}${f.field ? `, field ${f.field}` : ''}: ${f.sentence}`);
  return 2;
}
