/** A figure and its volts as pages of parts write them. */
export const N = '(\\d{1,3}(?:[.,]\\d{1,3})?)';
export const V = 'v(?:olts?)?';

const counts = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];
export const countWords = counts.join('|');

/** "2" and "two"; not a number where nothing is said. */
export function countOf(said: string | undefined): number {
  const at = counts.indexOf(said ?? '');
  return at < 0 ? Number(said ?? Number.NaN) : at + 1;
}
