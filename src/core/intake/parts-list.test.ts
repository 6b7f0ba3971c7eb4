import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readFile } from '../model/file';
import { readPartsList } from './parts-list';

const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
if (!shelf.ok) throw new Error('demo shelf');
const read = (text: string) => readPartsList(text, shelf.value.peripherals).map((l) => [l.part?.id ?? null, l.count]);

describe('a pasted parts list', () => {
  test('names with and without maker, counts before and behind, CSV', () => {
    expect(read('Marlpit Skein Long\n2x Glim 24\nQuillon Prism Air; digital video; 1\nPlumb Mini x 2')).toEqual([['skein-long', 1], ['glim-strip-24', 2], ['prism-air', 1], ['plumb-mini', 2]]);
  });
  test('what could be two parts, or none, is left to the buyer', () => {
    const [line] = readPartsList('Glim', shelf.value.peripherals);
    expect(line!.part).toBeNull();
    expect(line!.others.length).toBeGreaterThan(1);
    expect(read('a toaster\n\n')).toEqual([[null, 1]]);
  });
  test('a line that only names a kind offers parts of that kind', () => {
    const [gps, cam] = readPartsList('GPS module x2\nsome camera', shelf.value.peripherals);
    expect([gps!.part, gps!.count, new Set(gps!.others.map((o) => o.kind))]).toEqual([null, 2, new Set(['positioning'])]);
    expect(new Set(cam!.others.map((o) => o.kind))).toEqual(new Set(['camera']));
  });
  test('a very long text is cut, not choked on', () => expect(read('Skein Long\n'.repeat(50_000)).length).toBe(60));
});
