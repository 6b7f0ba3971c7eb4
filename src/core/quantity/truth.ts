import { type FlagFigure, type Interval, isUnknown } from './figure';

/** Strong Kleene logic (S. C. Kleene, Introduction to Metamathematics, 1952, section 64): unknown is neither yes nor no. */
export type Truth = 'yes' | 'no' | 'unknown';

const rank = { no: 0, unknown: 1, yes: 2 } as const;

export function both(a: Truth, b: Truth): Truth {
  return rank[a] <= rank[b] ? a : b;
}

export function either(a: Truth, b: Truth): Truth {
  return rank[a] >= rank[b] ? a : b;
}

export function not(a: Truth): Truth {
  if (a === 'yes') return 'no';
  if (a === 'no') return 'yes';
  return 'unknown';
}

export function all(truths: Iterable<Truth>): Truth {
  let result: Truth = 'yes';
  for (const t of truths) result = both(result, t);
  return result;
}

export function any(truths: Iterable<Truth>): Truth {
  let result: Truth = 'no';
  for (const t of truths) result = either(result, t);
  return result;
}

/** Is `given` at least `needed`, whatever values the two ranges hide? Equal counts as yes. */
export function atLeast(given: Interval, needed: Interval): Truth {
  if (given.low >= needed.high) return 'yes';
  if (given.high < needed.low) return 'no';
  return 'unknown';
}

export function flag(figure: FlagFigure): Truth {
  if (isUnknown(figure)) return 'unknown';
  return figure.value ? 'yes' : 'no';
}
