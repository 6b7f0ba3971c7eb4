import { readFile, readPartsList, readShelfFile, readSpec, withTyped } from '../src/core';
import { demoShelf } from '../src/core/tests/demo';
import { hostileText } from '../src/core/tests/hostile-text';

/** Hostile texts into every parser: each answers with a refusal or a result, never with a crash, and soon. `npm run -s bench -- inputs [COUNT]` */
const count = Number(process.argv[2] ?? 1_000_000);
const shelf = demoShelf();
const board = shelf.boards[0]!;
const library = shelf.peripherals;
const sound = [
  JSON.stringify(board),
  JSON.stringify(library[0]),
  'maker,name,revision\nTarnfield,Keel,2\n',
  'Skein Long; receiver; 1\n2x Wrist 9 servo',
  'STM32F722 processor, 6 UARTs, BEC 5V 3A, 30.5 x 30.5 mm, 8.5 g, 3-6S, 45 A burst 55 A for 10 s',
  '5 to 9',
];
const said = { origin: 'claim' as const, seen: '2026-11-28', who: 'typed in' };
const parsers: Record<string, (text: string) => unknown> = {
  file: (text) => readFile(text),
  shelf: (text) => readShelfFile(text),
  page: (text) => readSpec(text),
  'parts list': (text) => readPartsList(text, library),
  'typed figure': (text) => withTyped(board, 'massG', text, said),
  'typed price': (text) => withTyped(board, 'offers', text, said),
};
const names = Object.keys(parsers);
let crashes = 0;
let worstMs = 0;
const inputs = Object.fromEntries(names.map((n) => [n, 0]));
const heap = process.memoryUsage().heapUsed;
for (let seed = 1; seed <= count; seed++) {
  const name = names[seed % names.length]!;
  const text = hostileText(seed, sound);
  const start = performance.now();
  try {
    parsers[name]!(text);
  } catch (error) {
    crashes++;
    if (crashes < 20) console.log(`${name}, seed ${seed}: ${String(error).slice(0, 200)}`);
  }
  const ms = performance.now() - start;
  if (ms > worstMs) worstMs = ms;
  inputs[name]!++;
}
globalThis.gc?.();
const figures = {
  inputs: count,
  crashes,
  worstMs: Math.round(worstMs),
  heapGrowthMb: Math.round((process.memoryUsage().heapUsed - heap) / 1e5) / 10,
};
console.table(inputs);
console.log(JSON.stringify(figures));
