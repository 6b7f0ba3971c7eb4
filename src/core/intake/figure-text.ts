export type ValueText = { value: number | boolean | string } | { low: number; high: number } | { unknown: true };

const number = (s: string) => Number(s.replace(',', '.'));

/**
 * What a person types for a figure: "?" or nothing (unknown), "7,5", "7.5..9", "7 to 9", "yes", "no", or one of `words` in any case.
 * null: not understood.
 */
export function valueFromText(typed: string, words: readonly string[]): ValueText | null {
  const text = typed.trim();
  if (text === '' || text === '?') return { unknown: true };
  const range = /^(\d+(?:[.,]\d+)?)\s*(?:\.\.|-|to)\s*(\d+(?:[.,]\d+)?)$/.exec(text);
  if (range) return number(range[1]!) <= number(range[2]!) ? { low: number(range[1]!), high: number(range[2]!) } : null;
  if (/^\d+(?:[.,]\d+)?$/.test(text)) return { value: number(text) };
  if (/^(yes|true)$/i.test(text)) return { value: true };
  if (/^(no|false)$/i.test(text)) return { value: false };
  const word = words.find((w) => w.toLowerCase() === text.toLowerCase());
  return word === undefined ? null : { value: word };
}
