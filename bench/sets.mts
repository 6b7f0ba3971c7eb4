import { evaluate, rankClimbs, type Board } from '../src/core';
import { allSets, bestSets, searchSets } from '../src/core/decide/best-sets';
import { demoBuilds, demoShelf } from '../src/core/tests/demo';
import { drawnBuild } from '../src/core/tests/drawn-build';
import { variedShelf } from '../src/core/tests/varied-shelf';
import { isCandidate } from '../src/core/sets/roles';

/**
 * The best sets of a large shelf: how many of how many are tried, in how many times the time of ranking its boards one by one; and against trying all sets on small shelves.
 * `npm run -s bench -- sets [SMALL SHELVES] [SIZE OF THE LARGE ONE]`.
 */
const shelves = Number(process.argv[2] ?? 300);
const size = Number(process.argv[3] ?? 2000);
const { boards, peripherals } = demoShelf();
const builds = demoBuilds();

let disagreements = 0;
let carrying = 0;
for (let seed = 1; seed <= shelves; seed++) {
  const shelf = variedShelf(seed, { 'flight controller': 3, esc: 4, 'power board': 2 }, boards);
  const build = drawnBuild(seed, 6, builds, peripherals);
  const whole = (climbs: readonly { boardId: string; stopsAt: number | null }[]) =>
    climbs.filter((c) => c.stopsAt === null).map((c) => c.boardId);
  const found = whole(bestSets(build, shelf, { keep: 4 }).climbs);
  const all = whole(rankClimbs([...allSets(build, shelf)].map((s) => evaluate(build, s))).map((r) => r.climb)).slice(
    0,
    4,
  );
  carrying += Number(all.length > 0);
  if (JSON.stringify(found) === JSON.stringify(all)) continue;
  disagreements += 1;
  console.log(`seed ${seed}: found ${found.join(' ')}; all ${all.join(' ')}`);
}

const share = (n: number) => Math.round((n * size) / 2000);
const counts = {
  'flight controller': share(800),
  esc: share(400),
  'power board': share(100),
  stack: share(300),
  'all-in-one': share(400),
};
const shelf = variedShelf(7, counts, boards);
const rows = builds.map((build) => {
  const candidates: Board[] = shelf.filter(isCandidate);
  const alone = timed(() => candidates.forEach((b) => evaluate(build, b)));
  gc?.();
  const before = process.memoryUsage().heapUsed;
  let peak = before;
  let firstMs = 0;
  let last = null as ReturnType<typeof bestSets> | null;
  const together = timed(() => {
    const start = performance.now();
    const search = searchSets(build, shelf, { most: 20_000 });
    for (;;) {
      const step = search.next();
      firstMs ||= performance.now() - start;
      if (step.done) last = step.value;
      if (step.value.tried % 500 === 0) peak = Math.max(peak, process.memoryUsage().heapUsed);
      if (step.done) return;
    }
  });
  const { possible, tried, proved, out, climbs } = last!;
  console.error(`${build.name}: ${tried} of ${possible} tried`);
  return {
    build: build.name,
    possible,
    tried,
    out: out.length,
    carrying: climbs.filter((c) => c.stopsAt === null).length,
    proved,
    timesOneBoard: Number((together / alone).toFixed(2)),
    firstShare: Number((firstMs / alone).toFixed(2)),
    heapMb: Math.round((peak - before) / 1e6),
  };
});
console.table(rows);
console.log(
  JSON.stringify({
    members: shelf.length,
    setsPossible: Math.max(...rows.map((r) => r.possible)),
    setsTried: Math.max(...rows.map((r) => r.tried)),
    timesOneBoard: Math.max(...rows.map((r) => r.timesOneBoard)),
    proved: rows.filter((r) => r.proved).length,
    heapMb: Math.max(...rows.map((r) => r.heapMb)),
    shelves,
    carrying,
    disagreements,
  }),
);

function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}
