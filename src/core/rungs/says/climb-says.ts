/** What is said of a rung where nothing of the trade was found. */
export type ClimbSays =
  | { code: 'nothing to judge' }
  | { code: 'stops before' }
  | { code: 'too many steps'; steps: number }
  | { code: 'climb failed'; why: string };
