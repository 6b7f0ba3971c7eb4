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

const highs = await loadHighs();
const ratios: number[] = [];
const ours: number[] = [];
let disagreements = 0;
let worst = { ms: 0, seed: 0, nodes: 0 };
for (let seed = 1; seed <= Math.min(count, 20); seed++) {
  const { build, board } = randomPair(seed, sizeOf(seed)); // warm-up
  const shop = workshop(build, board, 'sure');
  solve(compile(shop, layOut(shop), 7).problem);
}
globalThis.gc?.();
const heapBefore = process.memoryUsage().heapUsed;
for (let seed = 1; seed <= count; seed++) {
  const { build, board } = randomPair(seed, sizeOf(seed));
  const shop = workshop(build, board, 'hopeful');
  const { problem } = compile(shop, layOut(shop), 7);
  const start = performance.now();
  const mine = solve(problem);
  const middle = performance.now();
  const theirs = solveMilp(highs, problem);
  const end = performance.now();
  ratios.push((end - middle) / (middle - start));
  ours.push(middle - start);
  if (middle - start > worst.ms) worst = { ms: middle - start, seed, nodes: mine.nodes };
  const [a, b] = [pack(mine.cost), pack(theirs.cost)];
  if (a.join() !== b.join() || mine.margin !== theirs.margin) {
    disagreements += 1;
    console.log(`seed ${seed}: ours ${JSON.stringify(mine.cost)} ${mine.margin}, HiGHS ${JSON.stringify(theirs.cost)} ${theirs.margin}`);
  }
}
globalThis.gc?.();
const figures = {
  problems: ratios.length,
  disagreements,
  medianRatio: Math.round(at(ratios, 0.5)),
  // The ratio that all but one in a hundred problems reach.
  p99Ratio: Math.round(at(ratios, 0.01)),
  medianMs: Number(at(ours, 0.5).toFixed(3)),
  p99Ms: Number(at(ours, 0.99).toFixed(2)),
  worstMs: Number(worst.ms.toFixed(1)),
  heapGrowthMb: Number(((process.memoryUsage().heapUsed - heapBefore) / 1e6).toFixed(1)),
};
console.table(figures);
console.log(`slowest: seed ${worst.seed}, ${worst.nodes} nodes`);
console.log(JSON.stringify(figures));
