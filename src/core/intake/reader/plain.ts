const swaps: Record<string, string> = {
  '\r': ' ',
  '`': ' ',
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
  '（': '(',
  '）': ')',
  '／': '/',
  '　': ' ',
  '\u00a0': ' ',
  '\u202f': ' ',
  '\u2007': ' ',
  '\u2009': ' ',
  '\u200a': ' ',
  '\u200b': ' ',
  '\ufeff': ' ',
  '\u2011': '-',
  '\u2012': '-',
  '…': '-',
  '»': ':',
  '«': ' ',
  '’': "'",
  '‘': "'",
  '“': '"',
  '”': '"',
  '„': '"',
  '″': '"',
  '¹': ' ',
  '²': ' ',
  '³': ' ',
  '、': ',',
  '；': ';',
  '☑': '✓',
  '✔': '✓',
  '✅': '✓',
  '❎': '✗',
  '√': '✓',
  '✘': '✗',
  '❌': '✗',
  '✖': '✗',
  φ: 'ø',
  '⌀': 'ø',
  Φ: 'ø',
  Ø: 'ø',
  '∅': 'ø',
  '⎓': '@',
};

/**
 * The text in small ASCII letters as far as it goes, one character for each of the original, so that every offset stays true:
 * full-width characters become narrow, the many crosses, dashes and bullets become one of each.
 */
export function plain(text: string): string {
  // Two or three stars are bold type, one before a line is a bullet, else it may stand for "times".
  const swapped = text
    .replace(/\*{2,3}|(?<=\p{L})\*(?=[ :,;.)\n]|$)|(?<=^|\n)\*(?=[ \t])/gu, (stars) => ' '.repeat(stars.length))
    .replace(/[·•・‧∙]/g, (_, at: number) => dot(text, at))
    .replace(/[^\x00-\x7f]|[*~\r`]/g, (c) => swaps[c] ?? narrow(c));
  const small = swapped.toLowerCase();
  // Some capitals become two letters when made small; then each is done on its own.
  return latinUnits(
    small.length === text.length
      ? small
      : [...swapped].map((c) => (c.toLowerCase().length === c.length ? c.toLowerCase() : c)).join(''),
  );
}

/** A dot in the middle: a decimal point between digits, between pieces of a line a comma, at its beginning nothing. */
function dot(text: string, at: number): string {
  const before = text.slice(Math.max(0, at - 3), at);
  if (/\d$/.test(before) && /^\d/.test(text.slice(at + 1, at + 2))) return '.';
  return /\S[ \t]{0,2}$/.test(before) &&
    !/[·•・‧∙.][ \t]?$/.test(before) &&
    !/^[ \t]?[·•・‧∙.]/.test(text.slice(at + 1, at + 3))
    ? ','
    : ' ';
}

const cyrillic: Record<string, string> = { в: 'v', а: 'a', г: 'g', м: 'm', б: 'b', с: 's' };

/** Units and threads in Cyrillic letters: "5В 2А", "30,5 мм", "М3". */
function latinUnits(text: string): string {
  return text.replace(
    /(\d ?)([вагс]|мм|мб|ма)(?![а-яё])|(?<=\d ?)х(?= ?\d)|(?<![а-яё])м(?=[23]\b)/g,
    (all, digit?: string, unit?: string) =>
      digit === undefined ? { х: 'x', м: 'm' }[all]! : digit + [...unit!].map((c) => cyrillic[c]).join(''),
  );
}

function narrow(c: string): string {
  const code = c.charCodeAt(0);
  if (code < 0xff01 || code > 0xff5e) return c;
  const ascii = String.fromCharCode(code - 0xfee0);
  return swaps[ascii] ?? ascii;
}
