import { marginSteps } from './margin-steps';
import type { Option } from './seats';
import { rowMargin, type Problem } from './problem';

/** The smallest margin of a hookup, in whole per cent and no more than `cap`. */
export function marginOf(problem: Problem, options: Option[], cap: number): number {
  const used = problem.rows.map(() => 0);
  for (const o of options) for (const [row, amount] of o.uses) used[row]! += amount;
  return Math.min(cap, ...problem.rows.map((row, r) => rowMargin(row, used[r]!)), ...options.map((o) => o.margin));
}

/** The widest margin step that can be had, from the one at hand upwards. `ask` answers with the step it found, or null. */
export function widestStep(at: number, ask: (step: number) => number | null): number {
  let low = marginSteps.findIndex((s) => s === at);
  // The next one first: mostly it cannot be had, and that ends it.
  for (let high: number = marginSteps.length, next = low + 1; high - low > 1; next = Math.floor((low + high) / 2)) {
    const found = ask(marginSteps[next]!);
    if (found === null) high = next;
    else
      low = Math.max(
        next,
        marginSteps.findIndex((s) => s === found),
      );
  }
  return marginSteps[low]!;
}
