import highsLoader, { type Highs } from 'highs';
import { noCost, type Cost } from '../solver/cost';
import type { Problem } from '../solver/problem';
import { marginSteps } from '../solver/margin-steps';

let solver: Promise<Highs> | null = null;

/** HiGHS (WebAssembly), loaded once. */
export function loadHighs(): Promise<Highs> {
  solver ??= (highsLoader as unknown as () => Promise<Highs>)();
  return solver;
}

const levels: (keyof Cost | 'margin')[] = [
  'must',
  'should',
  'doubts',
  'hazards',
  'cents',
  'deciGrams',
  'effort',
  'nice',
  'compromises',
  'margin',
  'ports',
];

/**
 * The same choice problem as a mixed-integer programme, straight from its definition: no options are merged, no
 * dominance is used. The objective is taken level by level, each level held at its optimum before the next is asked.
 */
export function solveMilp(highs: Highs, problem: Problem): { cost: Cost; margin: number; solves: number } {
  const binaries: string[] = [];
  const base: string[] = [];
  const terms: Record<string, string[]> = Object.fromEntries(levels.map((l) => [l, []]));
  const rowTerms: string[][] = problem.rows.map(() => []);
  const used = new Set<string>();
  const steps = marginSteps.slice(1);
  const price = (variable: string, cost: Cost) => {
    for (const key of Object.keys(noCost) as (keyof Cost)[])
      if (cost[key] !== 0) terms[key]!.push(`${cost[key]} ${variable}`);
  };
  const tagged = (variable: string, tags: readonly (readonly [number, number])[]) => {
    for (const [t, v] of tags) {
      base.push(`${variable} - z_${t}_${v} <= 0`);
      used.add(`z_${t}_${v}`);
    }
  };

  problem.parts.forEach((part, p) => {
    binaries.push(`u_${p}`);
    price(`u_${p}`, part.unmet);
    tagged(`u_${p}`, part.unmetTags ?? []);
    base.push(`${[`u_${p}`, ...part.modes.map((_, m) => `x_${p}_${m}`)].join(' + ')} = 1`);
    part.modes.forEach((mode, m) => {
      binaries.push(`x_${p}_${m}`);
      price(`x_${p}_${m}`, mode.cost);
      mode.needs.forEach((need, n) => {
        const ys = need.choices.map((c, i) => {
          const y = `y_${p}_${m}_${n}_${i}`;
          binaries.push(y);
          price(y, c.cost);
          tagged(y, c.tags);
          for (const [r, a] of c.uses) rowTerms[r]!.push(`${a} ${y}`);
          // g_i: the margin reaches step i.
          steps.forEach((step, i) => c.margin < step && base.push(`${y} + g_${i} <= 1`));
          return y;
        });
        base.push(`${ys.length > 0 ? `${ys.join(' + ')} - ` : '- '}x_${p}_${m} = 0`);
      });
    });
  });
  problem.rows.forEach((row, r) => {
    if (rowTerms[r]!.length === 0) return;
    base.push(`${rowTerms[r]!.join(' + ')} <= ${row.limit}`);
    // used <= comfort * (100 - step) / 100, where that step is to be reached.
    if (row.comfort !== undefined)
      steps.forEach((step, i) => {
        const cut = Math.min(row.limit, Math.floor((row.comfort! * (100 - step)) / 100 + 1e-9));
        base.push(`${rowTerms[r]!.join(' + ')} + ${row.limit - cut} g_${i} <= ${row.limit}`);
      });
  });
  problem.tags.forEach((tag, t) => {
    const zs = tag.once.map((_, v) => `z_${t}_${v}`).filter((z) => used.has(z));
    tag.once.forEach((once, v) => {
      if (used.has(`z_${t}_${v}`)) price(`z_${t}_${v}`, once);
    });
    if (zs.length > 0) base.push(`${zs.join(' + ')} <= 1`);
  });
  binaries.push(...used);

  steps.forEach((_, i) => i > 0 && base.push(`g_${i} - g_${i - 1} <= 0`));
  binaries.push(...steps.map((_, i) => `g_${i}`));

  const result = { ...noCost };
  let margin: number = marginSteps[0];
  let solves = 0;
  const held: string[] = [];
  for (const level of levels) {
    const sum = level === 'margin' ? steps.map((_, i) => `g_${i}`).join(' + ') : terms[level]!.join(' + ');
    if (sum === '') continue;
    const text = [
      level === 'margin' ? 'Maximize' : 'Minimize',
      ` obj: ${sum}`,
      'Subject To',
      ...[...base, ...held].map((c, i) => ` c${i}: ${c}`),
      'Binary',
      ` ${binaries.join(' ')}`,
      'End',
    ].join('\n');
    const solution = highs.solve(text, { mip_rel_gap: 0, mip_abs_gap: 0.5 });
    solves += 1;
    if (solution.Status !== 'Optimal') throw new Error(`HiGHS: ${solution.Status}`);
    const best = Math.round(solution.ObjectiveValue);
    if (level === 'margin') margin = marginSteps[best]!;
    else result[level] = best;
    held.push(level === 'margin' ? `${sum} >= ${best}` : `${sum} <= ${best}`);
  }
  return { cost: result, margin, solves };
}
