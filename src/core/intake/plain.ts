const swaps: Record<string, string> = {
  '×': 'x',
  '✕': 'x',
  '＊': 'x',
  '*': 'x',
  '–': '-',
  '—': '-',
  '‐': '-',
  '−': '-',
  '~': '-',
  '～': '-',
  '〜': '-',
  '，': ',',
  '。': '.',
  '：': ':',
  '；': ';',
  '（': '(',
  '）': ')',
  '／': '/',
  '　': ' ',
  '\u00a0': ' ',
  '•': ' ',
  '·': ' ',
  '|': ' ',
  '±': ' ',
};

/**
 * The text in small ASCII letters as far as it goes, one character for each of the original, so that every offset stays true:
 * full-width characters become narrow, the many crosses, dashes and bullets become one of each.
 */
export function plain(text: string): string {
  const swapped = text.replace(/[^\x00-\x7f]|[*~|]/g, (c) => swaps[c] ?? narrow(c));
  const small = swapped.toLowerCase();
  // Some capitals become two letters when made small; then each is done on its own.
  return small.length === text.length
    ? small
    : [...swapped].map((c) => (c.toLowerCase().length === c.length ? c.toLowerCase() : c)).join('');
}

function narrow(c: string): string {
  const code = c.charCodeAt(0);
  if (code < 0xff01 || code > 0xff5e) return c;
  const ascii = String.fromCharCode(code - 0xfee0);
  return swaps[ascii] ?? ascii;
}

/** "7,4" and "7.4" are the same number. */
export function numberOf(written: string): number {
  return Number(written.replace(',', '.'));
}
