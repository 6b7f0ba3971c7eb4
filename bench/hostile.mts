import { readFileSync } from 'node:fs';
import { evaluate, readData, readFile } from '../src/core';
import { tampered } from '../src/core/tests/tampered';

/** Demo boards and builds with some places swapped for hostile or careless things: each is refused with a sentence, or climbs. `npm run -s bench -- hostile [COUNT]` */
const count = Number(process.argv[2] ?? 6000);
const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
const build = readFile(readFileSync('demo/builds/gutterling.json', 'utf8'), 'rung-build');
if (!shelf.ok || !build.ok) throw new Error('demo files');
const { boards } = shelf.value;
let accepted = 0;
let crashes = 0;
let worstMs = 0;
for (let seed = 1; seed <= count; seed++) {
  const start = performance.now();
  try {
    const board = boards[seed % boards.length]!;
    if (seed % 2 === 0) {
      const read = readData(tampered(board, seed, 1 + (seed % 3)), 'rung-board');
      if (read.ok) evaluate(build.value, read.value);
      accepted += Number(read.ok);
    } else {
      const read = readData(tampered(build.value, seed, 1 + (seed % 3)), 'rung-build');
      if (read.ok) evaluate(read.value, board);
      accepted += Number(read.ok);
    }
  } catch (error) {
    crashes += 1;
    console.log(`seed ${seed}: ${String(error)}`);
  }
  worstMs = Math.max(worstMs, performance.now() - start);
}
const figures = { inputs: count, crashes, accepted, worstMs: Math.round(worstMs) };
console.table(figures);
console.log(JSON.stringify(figures));
