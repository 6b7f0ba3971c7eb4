import { readFileSync, readdirSync } from 'node:fs';
import { readFile } from '../src/core';
import { compile } from '../src/core/wiring/compile';
import { layOut } from '../src/core/wiring/lay-out';
import { workshop } from '../src/core/wiring/way';
import { budgetWith } from '../src/core/solver/budget';
import { pack } from '../src/core/solver/cost';
import { solve } from '../src/core/solver/solve';
import { drawnBuild } from '../src/core/tests/drawn-build';
import { loadHighs, solveMilp } from '../src/core/tests/milp';
import { generalSolver } from '../src/highs/general-solver';

/** Hookups of builds with 8, 12, 16 and 24 parts drawn from the demo's library, on the demo's boards, against a general solver: `npm run -s bench -- real [PROBLEMS A SIZE]`. */
const count = Number(process.argv[2] ?? 120);
const read = <K extends 'rung-shelf' | 'rung-build'>(file: string, kind: K) => {
  const said = readFile(readFileSync(file, 'utf8'), kind);
  if (!said.ok) throw new Error(file);
  return said.value;
};
const { boards, peripherals } = read('demo/shelf.json', 'rung-shelf');
const builds = readdirSync('demo/builds')
  .sort()
  .map((f) => read(`demo/builds/${f}`, 'rung-build'));
const highs = await loadHighs();
const general = await generalSolver();

const problemOf = (seed: number, parts: number) => {
  const shop = workshop(
    drawnBuild(seed, parts, builds, peripherals),
    boards[seed % boards.length]!,
    seed % 2 === 0 ? 'sure' : 'hopeful',
  );
  return compile(shop, layOut(shop), 7).problem;
};
for (let seed = 1; seed <= 40; seed++) solve(problemOf(seed, 8), budgetWith(general)); // warm-up

const sizes = [8, 12, 16, 24].map((parts) => {
  const figures = { parts, problems: count, disagreements: 0, ownShare: 0, worstMs: 0, worstDelegatedMs: 0 };
  for (let seed = 1; seed <= count; seed++) {
    const problem = problemOf(seed + parts * 1000, parts);
    const budget = budgetWith(general);
    const start = performance.now();
    const ours = solve(problem, budget);
    const ms = performance.now() - start;
    const own = budget.delegated === 0;
    if (own) figures.ownShare += 1 / count;
    figures.worstMs = Math.max(figures.worstMs, own ? ms : 0);
    figures.worstDelegatedMs = Math.max(figures.worstDelegatedMs, own ? 0 : ms);
    const theirs = solveMilp(highs, problem);
    if (pack(theirs.cost).join() !== pack(ours.cost).join() || theirs.margin !== ours.margin) {
      figures.disagreements += 1;
      console.log(
        `seed ${seed}, ${parts} parts: ours ${pack(ours.cost).join()} ${ours.margin}, HiGHS ${pack(theirs.cost).join()} ${theirs.margin}`,
      );
    }
  }
  return {
    ...figures,
    ownShare: Number(figures.ownShare.toFixed(3)),
    worstMs: Number(figures.worstMs.toFixed(1)),
    worstDelegatedMs: Math.round(figures.worstDelegatedMs),
  };
});
console.table(sizes);
console.log(JSON.stringify({ sizes }));
