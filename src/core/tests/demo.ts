import { readFileSync, readdirSync } from 'node:fs';
import type { Build } from '../records/build';
import { readFile } from '../records/file';
import type { Shelf } from '../records/shelf';

/** The demo's shelf and builds, as the files hold them. */
export function demoShelf(): Shelf {
  const read = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
  if (!read.ok) throw new Error('demo/shelf.json');
  return read.value;
}

export function demoBuilds(): Build[] {
  return readdirSync('demo/builds')
    .sort()
    .map((file) => {
      const read = readFile(readFileSync(`demo/builds/${file}`, 'utf8'), 'rung-build');
      if (!read.ok) throw new Error(file);
      return read.value;
    });
}
