/** Digits as a person would write them: no more than `digits` behind the point, no trailing zeros. */
export function num(value: number, digits = 1): string {
  return Number.isFinite(value) ? String(Math.round(value * 10 ** digits) / 10 ** digits) : 'unknown';
}

export function span(low: number, high: number, unit: string, digits = 1): string {
  return low === high ? `${num(low, digits)} ${unit}` : `${num(low, digits)} to ${num(high, digits)} ${unit}`;
}

/** A number of things in words: 1 board, 2 boards, 3 entries. */
export function counted(n: number, thing: string): string {
  return `${num(n, 0)} ${n === 1 ? thing : thing.replace(/(?<![aeou])y$/, 'ie').concat('s')}`;
}

export function list(words: readonly string[]): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

export function capital(text: string): string {
  return text.replace(/^./, (c) => c.toUpperCase());
}

/** Behind a colon: "Two-wire" is "two-wire", "RC" stays. */
export function uncapital(text: string): string {
  return text.replace(/^[A-Z](?=[a-z])/, (c) => c.toLowerCase());
}
