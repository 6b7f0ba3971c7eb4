import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { admitted, readAside } from './file-aside';

test('six files at once are taken in, a seventh is not, and when one is done there is room again', async () => {
  const ends: (() => void)[] = [];
  const inside = Array.from({ length: 6 }, () =>
    admitted(() => new Promise<string>((done) => ends.push(() => done('in')))),
  );
  expect(await admitted(() => Promise.resolve('in'))).toBeNull();
  ends[0]!();
  expect(await inside[0]).toBe('in');
  expect(await admitted(() => Promise.reject(new Error('broken'))).catch(() => 'thrown')).toBe('thrown');
  expect(await admitted(() => Promise.resolve('in'))).toBe('in');
  ends.slice(1).forEach((end) => end());
  await Promise.all(inside);
});

test('a small file is read where it is, with the same answer', async () => {
  const bytes = readFileSync('demo/builds/gutterling.json');
  const read = await readAside(new Uint8Array(bytes), 'rung-build');
  expect(read.ok && read.value.id).toBe('gutterling');
  expect((await readAside(new TextEncoder().encode('{"a":1}'), 'rung-build')).ok).toBe(false);
});
