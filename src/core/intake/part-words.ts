import { numberWords } from './reader/number-words';

/** A figure and its volts as pages of parts write them. */
export const N = '(\\d{1,3}(?:[.,]\\d{1,3})?)';
export const V = 'v(?:olts?)?';

export const countWords = [...numberWords.keys()].join('|');

/** "2" and "two"; not a number where nothing is said. */
export function countOf(said: string | undefined): number {
  return numberWords.get(said ?? '') ?? Number(said ?? Number.NaN);
}
