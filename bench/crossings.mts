import { readdirSync, readFileSync } from 'node:fs';
import { asItLies, drawHookup, evaluate, readFile, wireList } from '../src/core/index';

/** Crossings of the hookup drawing on every demo build and board that fits: with supply and ground as stubs, and with every wire as a line. */
const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
if (!shelf.ok) throw new Error(JSON.stringify(shelf.faults[0]));
const figures = { pairs: 0, lines: 0, crossings: 0, allLines: 0, allCrossings: 0 };
for (const file of readdirSync('demo/builds')) {
  const build = readFile(readFileSync(`demo/builds/${file}`, 'utf8'), 'rung-build');
  if (!build.ok) throw new Error(JSON.stringify(build.faults[0]));
  for (const board of shelf.value.boards) {
    const climb = evaluate(build.value, board);
    if (!climb.verdict.startsWith('fits')) continue;
    figures.pairs++;
    const wires = wireList(build.value, board, climb.hookup);
    for (const stubs of [true, false]) {
      const faces = drawHookup(asItLies(build.value, board), climb.hookup, wires, { stubs });
      const lines = faces.flatMap((f) => f.boxes.flatMap((b) => b.rows.filter((r) => r.line))).length;
      const crossings = faces.reduce((sum, f) => sum + f.crossings, 0);
      if (stubs) figures.lines += lines;
      else figures.allLines += lines;
      if (stubs) figures.crossings += crossings;
      else figures.allCrossings += crossings;
    }
  }
}
console.log(JSON.stringify(figures));
