import { compile } from '../src/core/wiring/compile';
import { layOut } from '../src/core/wiring/lay-out';
import { workshop } from '../src/core/wiring/way';
import { budgetWith, withinSteps } from '../src/core/solver/budget';
import { pack } from '../src/core/solver/cost';
import { solve } from '../src/core/solver/solve';
import { loadHighs, solveMilp } from '../src/core/tests/milp';
import { dice, largest, randomPair, type RandomSize } from '../src/core/tests/random-build';
import { generalSolver } from '../src/highs/general-solver';

/** Random hookups, harder than real ones, against a general solver that is given them straight from their definition: `npm run -s bench -- hookup [PROBLEMS]`. */
const count = Number(process.argv[2] ?? 1000);

/** From small ones to the largest; a fifth of the problems is of full size. */
function sizeOf(seed: number): RandomSize {
  if (seed % 5 === 0) return largest;
  const roll = dice(seed * 7919);
  const between = (low: number, high: number) => low + Math.floor(roll() * (high - low + 1));
  return { parts: between(2, 16), ports: between(1, 12), rails: between(2, 8), bridges: between(0, 4) };
}

const at = (list: number[], share: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))]!;
const problemOf = (seed: number) => {
  const { build, board } = randomPair(seed, sizeOf(seed));
  const shop = workshop(build, board, 'hopeful');
  return compile(shop, layOut(shop), 7).problem;
};
const general = await generalSolver();
const highs = await loadHighs();
for (let seed = 1; seed <= Math.min(count, 20); seed++) solve(problemOf(seed), budgetWith(general)); // warm-up
globalThis.gc?.();
const heapBefore = process.memoryUsage().heapUsed;

const ours: number[] = [];
const ratios: number[] = [];
const own: number[] = [];
let disagreements = 0;
let unanswered = 0;
for (let seed = 1; seed <= count; seed++) {
  const problem = problemOf(seed);
  const budget = budgetWith(general);
  const start = performance.now();
  const answer = withinSteps(() => solve(problem, budget));
  ours.push(performance.now() - start);
  if (!answer) {
    unanswered += 1;
    console.log(`seed ${seed}: not answered`);
    continue;
  }
  const { cost, margin } = answer;
  if (budget.delegated === 0) own.push(ours.at(-1)!);
  const again = performance.now();
  const found = solveMilp(highs, problem);
  ratios.push((performance.now() - again) / ours.at(-1)!);
  if (pack(found.cost).join() === pack(cost).join() && found.margin === margin) continue;
  disagreements += 1;
  console.log(`seed ${seed}: ours ${pack(cost).join()} ${margin}, HiGHS ${pack(found.cost).join()} ${found.margin}`);
}
globalThis.gc?.();
const figures = {
  problems: count,
  disagreements,
  unanswered,
  medianRatio: Math.round(at(ratios, 0.5)),
  ownShare: Number((own.length / count).toFixed(3)),
  /** Of those that our own search proves. */
  worstOwnMs: Number(Math.max(...own).toFixed(1)),
  worstMs: Number(Math.max(...ours).toFixed(1)),
  heapGrowthMb: Number(((process.memoryUsage().heapUsed - heapBefore) / 1e6).toFixed(1)),
};
console.table(figures);
console.log(JSON.stringify(figures));
