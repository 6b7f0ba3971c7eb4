import { compile } from '../src/core/hookup/compile';
import { pack } from '../src/core/hookup/cost';
import { layOut } from '../src/core/hookup/lay-out';
import { solve } from '../src/core/hookup/solve';
import { workshop } from '../src/core/hookup/way';
import { loadHighs, solveMilp } from '../src/core/tests/milp';
import { dice, largest, randomPair, type RandomSize } from '../src/core/tests/random-build';

const count = Number(process.argv[2] ?? 1000);
const rounds = 2;
/** A size as JSON asks for problems of that size only. */
const fixed = process.argv[3] ? (JSON.parse(process.argv[3]) as RandomSize) : null;

/** From small ones to the largest; a fifth of the problems is of full size. */
function sizeOf(seed: number): RandomSize {
  if (fixed) return fixed;
  if (seed % 5 === 0) return largest;
  const roll = dice(seed * 7919);
  const between = (low: number, high: number) => low + Math.floor(roll() * (high - low + 1));
  return { parts: between(2, 16), ports: between(1, 12), rails: between(2, 8), bridges: between(0, 4) };
}

const at = (list: number[], share: number) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))]!;

const problemOf = (seed: number) => {
  const { build, board } = randomPair(seed, sizeOf(seed));
  const shop = workshop(build, board, 'hopeful');
  return compile(shop, layOut(shop), 7).problem;
};
for (let seed = 1; seed <= Math.min(count, 20); seed++) solve(problemOf(seed)); // warm-up
const highs = await loadHighs();
globalThis.gc?.();
const heapBefore = process.memoryUsage().heapUsed;

/** The shortest time of each problem, since what else the machine does only adds; `met` is what ours took when it met a problem for the first time. */
const ours: number[] = [];
const theirs: number[] = [];
const met: number[] = [];
const mine: { cost: string; margin: number; nodes: number }[] = [];
let disagreements = 0;
const keep = (times: number[], i: number, ms: number) => (times[i] = Math.min(times[i] ?? Infinity, ms));

// One solver after the other, so that neither pays for what the other leaves in memory; and all of it again.
for (let round = 0; round < rounds; round++) {
  for (let i = 0; i < count; i++) {
    const problem = problemOf(i + 1);
    const start = performance.now();
    const { cost, margin, nodes } = solve(problem);
    keep(ours, i, performance.now() - start);
    met[i] ??= ours[i]!;
    mine[i] = { cost: pack(cost).join(), margin, nodes };
  }
  for (let i = 0; i < count; i++) {
    const problem = problemOf(i + 1);
    const start = performance.now();
    const found = solveMilp(highs, problem);
    keep(theirs, i, performance.now() - start);
    const { cost, margin } = mine[i]!;
    if (round > 0 || (pack(found.cost).join() === cost && found.margin === margin)) continue;
    disagreements += 1;
    console.log(`seed ${i + 1}: ours ${cost} ${margin}, HiGHS ${JSON.stringify(found.cost)} ${found.margin}`);
  }
}
globalThis.gc?.();
const heapAfter = process.memoryUsage().heapUsed;
const ratios = theirs.map((ms, i) => ms / ours[i]!);
const figures = {
  problems: count,
  disagreements,
  // How many times faster problem by problem: the median, and what all but one in a hundred reach.
  medianRatio: Math.round(at(ratios, 0.5)),
  p99Ratio: Math.round(at(ratios, 0.01)),
  // And the times themselves at the median and at the 99th percentile, theirs by ours.
  medianOfTimes: Math.round(at(theirs, 0.5) / at(ours, 0.5)),
  p99OfTimes: Math.round(at(theirs, 0.99) / at(ours, 0.99)),
  medianMs: Number(at(ours, 0.5).toFixed(3)),
  p99Ms: Number(at(ours, 0.99).toFixed(2)),
  worstMs: Number(Math.max(...ours).toFixed(1)),
  over50Ms: ours.filter((ms) => ms > 50).length,
  metWorstMs: Number(Math.max(...met).toFixed(1)),
  metOver50Ms: met.filter((ms) => ms > 50).length,
  heapGrowthMb: Number(((heapAfter - heapBefore) / 1e6).toFixed(1)),
};
console.table(figures);
const slowest = ours.indexOf(Math.max(...ours));
console.log(`slowest: seed ${slowest + 1}, ${mine[slowest]!.nodes} nodes`);
console.log(JSON.stringify(figures));
