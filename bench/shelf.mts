import { readFileSync } from 'node:fs';
import { evaluate, readFile, type Board } from '../src/core';

/** How fast a shelf climbs, and how that grows: boards of the demo over and over under other ids, against one build. */
const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
const build = readFile(readFileSync('demo/builds/belfry-six.json', 'utf8'), 'rung-build');
if (!shelf.ok || !build.ok) throw new Error('demo files');
const { boards } = shelf.value;
const many = (n: number): Board[] => Array.from({ length: n }, (_, i) => ({ ...boards[i % boards.length]!, id: `b${i}` }));
const time = (list: Board[]) => {
  const start = performance.now();
  for (const b of list) evaluate(build.value, b);
  return performance.now() - start;
};
time(many(80)); // warm-up
const small = time(many(200));
const large = time(many(2000));
const worst = Math.max(...boards.map((b) => time([b])));
const figures = { boards: 2000, boardsPerSecond: Math.round(2000 / (large / 1000)), growth: Number((large / small).toFixed(2)), worstMs: Number(worst.toFixed(1)) };
console.table(figures);
console.log(JSON.stringify(figures));
