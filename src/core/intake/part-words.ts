/** A figure and its volts as pages of parts write them. */
export const N = '(\\d{1,3}(?:[.,]\\d{1,3})?)';
export const V = 'v(?:olts?)?';
