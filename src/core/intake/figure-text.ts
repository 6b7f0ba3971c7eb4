import { typedNumber } from './typed-number';

export type ValueText = { value: number | boolean | string } | { low: number; high: number } | { unknown: true };

/**
 * What a person types for a figure that is kept in `unit`: "?" or nothing (unknown), "7,5", "0.3 oz", "7.5..9", "7 to 9 g", "8 ± 0.3", "yes", "no", or one of `words` in any case, also as a
 * part or a page prints it ("STM32F722", "USB-C"). null: not understood.
 */
export function valueFromText(typed: string, words: readonly string[], unit = ''): ValueText | null {
  const text = typed.trim().replace(/[–—−]/g, '-');
  if (/^(?:\??|unknown)$/i.test(text)) return { unknown: true };
  const word = wordMeant(text, words);
  if (word !== undefined) return { value: word };
  if (/^(?:yes|true|y)$/i.test(text)) return { value: true };
  if (/^(?:no|false|n)$/i.test(text)) return { value: false };
  const about = /^(.+?)\s*(?:±|\+\/-)\s*(.+)$/.exec(text);
  if (about) {
    const [middle, off] = both(about[1]!, about[2]!, unit);
    return rangeOf(Number((middle - off).toPrecision(6)), Number((middle + off).toPrecision(6)));
  }
  const ends = /^(.+?)\s*(?:\.{2,3}|…|-|\bto\b)\s*(.+)$/i.exec(text);
  if (ends) return rangeOf(...both(ends[1]!, ends[2]!, unit));
  const value = typedNumber(text, unit);
  return value !== null && value >= 0 ? { value } : null;
}

/** "8 to 9 oz": the unit of the second is that of the first. */
function both(a: string, b: string, unit: string): [number, number] {
  const said = /^\s*[\d.,]+\s*$/.test(a) ? (/[^\d.,\s].*$/.exec(b)?.[0] ?? '') : '';
  return [typedNumber(`${a} ${said}`, unit) ?? NaN, typedNumber(b, unit) ?? NaN];
}

function rangeOf(low: number, high: number): ValueText | null {
  return low >= 0 && low <= high ? { low, high } : null;
}

function wordMeant(text: string, words: readonly string[]): string | undefined {
  const small = text.toLowerCase();
  const bare = small
    .replace(/^(?:stm32|at32|usb|type)[ -]?/, '')
    .replace(/^type[ -]?/, '')
    .replace(/[ -]usb$/, '');
  return words.find((w) => {
    const word = w.toLowerCase();
    return (
      word === small || word === bare || (/^[a-z]\d$/.test(word) && new RegExp(`^${word}\\d{2}[a-z0-9]*$`).test(bare))
    );
  });
}
