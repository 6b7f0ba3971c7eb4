import type { Highs } from 'highs';
import type { GeneralSolver } from '../core';

/** One question may take so long; what takes longer is not answered. */
const mostSeconds = 10;

let loaded: Promise<GeneralSolver> | null = null;

async function load(): Promise<Highs> {
  const { default: start } = (await import('highs')) as unknown as { default: () => Promise<Highs> };
  return start();
}

/** HiGHS (WebAssembly), without its presolve, which called a programme impossible that is not (`bench -- hookup`, problem 485). Loaded when it is first wanted: no build and board of the demo ever needs it. */
export function generalSolver(): Promise<GeneralSolver> {
  loaded ??= load().then((highs): GeneralSolver => (programme) => {
    const { Status, ObjectiveValue, Columns } = highs.solve(programme, {
      presolve: 'off',
      mip_rel_gap: 0,
      mip_abs_gap: 0.5,
      time_limit: mostSeconds,
    });
    let status: 'unknown' | 'optimal' | 'infeasible';
    if (Status === 'Optimal') status = 'optimal';
    else if (Status === 'Infeasible') status = 'infeasible';
    else status = 'unknown';
    const columns = Columns as Record<string, { Primal?: number }>;
    return { status, objective: ObjectiveValue, valueOf: (variable) => columns[variable]?.Primal ?? 0 };
  });
  return loaded;
}
