/** Solves linear programmes in whole numbers that are given as text (the LP format of CPLEX). Loaded by whoever calls the core, so that the core stays pure. */
export type GeneralSolver = (programme: string) => {
  status: 'optimal' | 'infeasible' | 'unknown';
  objective: number;
  valueOf: (variable: string) => number;
};

/** What one climb may spend on searching: steps and not seconds, so that equal questions get equal answers. */
export interface Budget {
  steps: number;
  /** What takes over where our own search is not done within its share. */
  general: GeneralSolver | null;
  /** Questions that the general solver has answered. */
  delegated: number;
}

/** A climb of the demo takes some hundreds of steps, one with 16 parts of its library seldom more than a few thousand. */
export const usualSteps = 150_000;

export function budgetWith(general: GeneralSolver | null = null, steps = usualSteps): Budget {
  return { steps, general, delegated: 0 };
}

/** Thrown where a question cannot be answered within the budget, and caught where the board is set aside. */
export class OutOfSteps extends Error {
  constructor() {
    super('not answered within the steps of one climb');
  }
}

/** What a question to the general solver counts for. */
const generalSteps = 10_000;

/** Counts an answer of the general solver. */
export function delegate(budget: Budget): void {
  budget.delegated += 1;
  spend(budget, generalSteps);
}

/** Takes steps off a budget; throws where it is used up. */
export function spend(budget: Budget, steps: number): void {
  budget.steps -= steps;
  if (budget.steps < 0) throw new OutOfSteps();
}

/** What some work comes to; null where it runs out of steps. */
export function withinSteps<T>(work: () => T): T | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof OutOfSteps) return null;
    throw error;
  }
}
