import { compile } from '../src/core/hookup/compile';
import { pack } from '../src/core/hookup/cost';
import { layOut } from '../src/core/hookup/lay-out';
import { solve } from '../src/core/hookup/solve';
import { workshop } from '../src/core/hookup/way';
import { loadHighs, solveMilp } from '../src/core/tests/milp';
import { dice, largest, randomPair, type RandomSize } from '../src/core/tests/random-build';

const count = Number(process.argv[2] ?? 1000);
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
globalThis.gc?.();
const heapBefore = process.memoryUsage().heapUsed;

// One solver after the other, so that neither pays for what the other leaves in memory.
const ours: number[] = [];
const mine: { cost: string; margin: number }[] = [];
let worst = { ms: 0, seed: 0, nodes: 0 };
for (let seed = 1; seed <= count; seed++) {
  const problem = problemOf(seed);
  const start = performance.now();
  const { cost, margin, nodes } = solve(problem);
  const ms = performance.now() - start;
  ours.push(ms);
  mine.push({ cost: pack(cost).join(), margin });
  if (ms > worst.ms) worst = { ms, seed, nodes };
}
globalThis.gc?.();
const heapAfter = process.memoryUsage().heapUsed;

const highs = await loadHighs();
const theirs: number[] = [];
let disagreements = 0;
for (let seed = 1; seed <= count; seed++) {
  const problem = problemOf(seed);
  const start = performance.now();
  const found = solveMilp(highs, problem);
  theirs.push(performance.now() - start);
  const { cost, margin } = mine[seed - 1]!;
  if (pack(found.cost).join() !== cost || found.margin !== margin) {
    disagreements += 1;
    console.log(`seed ${seed}: ours ${cost} ${margin}, HiGHS ${JSON.stringify(found.cost)} ${found.margin}`);
  }
}
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
  worstMs: Number(worst.ms.toFixed(1)),
  over50Ms: ours.filter((ms) => ms > 50).length,
  heapGrowthMb: Number(((heapAfter - heapBefore) / 1e6).toFixed(1)),
};
console.table(figures);
console.log(`slowest: seed ${worst.seed}, ${worst.nodes} nodes`);
console.log(JSON.stringify(figures));
