import { compile } from '../src/core/wiring/compile';
import { layOut } from '../src/core/wiring/lay-out';
import { workshop } from '../src/core/wiring/way';
import { budgetWith, withinSteps } from '../src/core/solver/budget';
import { pack } from '../src/core/solver/cost';
import type { Solution } from '../src/core/solver/problem';
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

/** Ours first, twice, and the shorter time counts: what else the machine does only adds. */
const problems = Array.from({ length: count }, (_, i) => problemOf(i + 1));
globalThis.gc?.();
const heapBefore = process.memoryUsage().heapUsed;
const ours: number[] = [];
const own: number[] = [];
const answers: (Solution | null)[] = [];
for (let round = 0; round < 2; round++) {
  problems.forEach((problem, i) => {
    const budget = budgetWith(general);
    const start = performance.now();
    answers[i] = withinSteps(() => solve(problem, budget));
    ours[i] = Math.min(ours[i] ?? Infinity, performance.now() - start);
    if (round > 0 && budget.delegated === 0) own.push(ours[i]!);
  });
}
let disagreements = 0;
let unanswered = 0;
const ratios = problems.map((problem, i) => {
  const start = performance.now();
  const found = solveMilp(highs, problem);
  const ms = performance.now() - start;
  const answer = answers[i];
  if (!answer) unanswered += 1;
  else if (pack(found.cost).join() !== pack(answer.cost).join() || found.margin !== answer.margin) {
    disagreements += 1;
    console.log(
      `seed ${i + 1}: ours ${pack(answer.cost).join()} ${answer.margin}, HiGHS ${pack(found.cost).join()} ${found.margin}`,
    );
  }
  return ms / ours[i]!;
});
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
