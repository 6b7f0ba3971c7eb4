import { compare, pack } from '../solver/cost';
import { rowMargin, type Pick, type Problem, type Solution } from '../solver/problem';
import { priceOf } from '../solver/solve';
import { marginCapPercent, marginStep } from '../solver/margin-steps';

/** Tries every combination: the oracle for small problems. Shares only the price list with the search. */
export function bruteForce(problem: Problem): Judged {
  let best: Judged | null = null;
  const picks: Solution['picks'] = [];
  const walk = (p: number) => {
    if (p === problem.parts.length) {
      const found = judge(problem, picks);
      if (found && (!best || better(found, best))) best = found;
      return;
    }
    for (const pick of waysOf(problem, p)) {
      picks.push(pick);
      walk(p + 1);
      picks.pop();
    }
  };
  walk(0);
  return best!;
}

interface Judged {
  cost: Solution['cost'];
  margin: number;
}

function waysOf(problem: Problem, p: number): (Pick | null)[] {
  const ways: (Pick | null)[] = [null];
  problem.parts[p]!.modes.forEach((mode, m) => {
    let partial: number[][] = [[]];
    for (const need of mode.needs) partial = partial.flatMap((c) => need.choices.map((_, i) => [...c, i]));
    ways.push(...partial.map((choices) => ({ mode: m, choices })));
  });
  return ways;
}

function judge(problem: Problem, picks: Solution['picks']): Judged | null {
  const used = problem.rows.map(() => 0);
  const tags = new Map<number, number>();
  let margin: number = marginCapPercent;
  for (let p = 0; p < picks.length; p++) {
    const part = problem.parts[p]!;
    const pick = picks[p];
    const choices = pick ? part.modes[pick.mode]!.needs.map((n, i) => n.choices[pick.choices[i]!]!) : [];
    const all = pick ? choices.flatMap((c) => c.tags) : (part.unmetTags ?? []);
    for (const [tag, value] of all) {
      if ((tags.get(tag) ?? value) !== value) return null;
      tags.set(tag, value);
    }
    for (const c of choices) {
      margin = Math.min(margin, marginStep(c.margin));
      for (const [row, amount] of c.uses) used[row]! += amount;
    }
  }
  for (let r = 0; r < used.length; r++) {
    if (used[r]! > problem.rows[r]!.limit) return null;
    margin = Math.min(margin, rowMargin(problem.rows[r]!, used[r]!));
  }
  return { cost: priceOf(problem, picks), margin };
}

function better(a: Judged, b: Judged): boolean {
  const [x, y] = [pack(a.cost), pack(b.cost)];
  return (x[0] - y[0] || x[1] - y[1] || b.margin - a.margin || compare(x, y)) < 0;
}
