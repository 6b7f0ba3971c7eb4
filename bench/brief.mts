import { evaluate, failedLines, type Board, type Build } from '../src/core';
import { allSets } from '../src/core/decide/best-sets';
import { demoBuilds, demoShelf } from '../src/core/tests/demo';
import { drawnBuild } from '../src/core/tests/drawn-build';
import { justMeets } from '../src/core/tests/just-meets';
import { damaged, lawfulPair } from '../src/core/tests/lawful-pair';
import { manyPairs } from '../src/core/tests/many-climbs';
import { randomPair } from '../src/core/tests/random-build';

/** Does a board that fails a line of the brief ever carry the build? And of those that fail none, how many do? `npm run -s bench -- brief [SEEDS]` */
const seeds = Number(process.argv[2] ?? 2000);
const shelf = demoShelf();
const builds = demoBuilds();
const found = { pairs: 0, failing: 0, unnecessary: 0, meeting: 0, carried: 0 };
function look(asked: Build, board: Board, name: string) {
  const build = { ...asked, fixes: {} };
  const fails = failedLines(build, board);
  const carries = evaluate(build, board).verdict.startsWith('fits');
  found.pairs++;
  if (fails.length === 0) {
    found.meeting++;
    found.carried += Number(carries);
    return;
  }
  found.failing++;
  if (carries) console.log(`${name}: ${fails[0]!.asks}`);
  found.unnecessary += Number(carries);
}
for (const { name, build, board } of manyPairs(builds, shelf.boards, shelf.peripherals)) look(build, board, name);
for (const build of builds) {
  let n = 0;
  for (const set of allSets(build, shelf.boards)) if (n++ % 4 === 0) look(build, set, `${build.id} ${set.id}`);
}
for (let seed = 1; seed <= seeds; seed++) {
  const { build, board } = lawfulPair(seed);
  look(build, board, `lawful ${seed}`);
  look(build, damaged(board, seed), `damaged ${seed}`);
  const random = randomPair(seed, { parts: 3, ports: 6, rails: 6, bridges: 2 });
  look(random.build, random.board, `random ${seed}`);
}
// Boards that have nothing beyond the lines: of builds whose musts are drawn from the library, on packs that regulators step down from.
const just = { made: 0, carried: 0 };
for (let seed = 1; just.made < Math.min(seeds, 200) && seed <= 4 * seeds; seed++) {
  const drawn = drawnBuild(seed, 2 + (seed % 7), builds, shelf.peripherals);
  if (drawn.pack.cells < 3) continue;
  const parts = drawn.parts.filter((p) => p.priority === 'must').map((p) => ({ ...p, onUsb: false }));
  const build = { ...drawn, parts, limits: { takeOffMassG: drawn.limits.takeOffMassG + 3000, budgetCents: 300_000 } };
  const board = justMeets(build);
  if (!board) continue;
  just.made++;
  just.carried += Number(evaluate(build, board).verdict.startsWith('fits'));
}
const figures = {
  ...found,
  justMade: just.made,
  justShare: Math.round((1000 * just.carried) / just.made) / 1000,
  enoughShare: Math.round((1000 * found.carried) / found.meeting) / 1000,
};
console.table(figures);
console.log(JSON.stringify(figures));
