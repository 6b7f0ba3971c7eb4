import { replaced, type Script } from './script';

/** A line of a table, a file, a list, a form or a heading: it ends where it ends. */
const byItself =
  /[|\t]| {3,}\S|(?:[,;][^ ,;]{1,12}){3}|^[ ]{0,4}(?:[-+>#=]|\d{1,2}[.)] |\d{1,2}:\d{2}|[a-z][a-z0-9 /]{1,24} ?[:=])|^[^a-z0-9]{0,12}$/;
const goesOn = /,$|\b(?:at|of|to|and|or|is|are|for|from|up|by|gives|weighs|has|about)$/;
/** A figure at the end of a line and its unit, or its amps, at the beginning of the next. */
const torn =
  /(?:^|[^\d])\d{1,4}(?:[.,]\d{1,2})?\n *(?:g|grams|mm|v|volts|a|amps|s|sec|seconds|mb|cells|%)(?![a-z0-9])|\d ?v\n *\d(?:[.,]\d)? ?a\b/;
/** A figure with its unit, and a limit of its own on the next line. */
const limits = /\d ?(?:g|mm|v|a|s|mb|cells)\n *(?:max|min)\b/;
const narrowest = 40;

/**
 * Prose that was broken into lines of one width, as mail and PDF come, put together again: a line goes on in the next, where that begins small and its
 * first word would not have had room.
 */
export function unwrapped(script: Script, original: string): Script {
  const lines = script.text.split('\n').map((line) => line.trimEnd());
  // All small, a page says nothing by it.
  const capitals = /(?:^|\n)[ \t]{0,8}\p{Lu}/u.test(original);
  const joined = new Set<number>();
  let end = -1;
  lines.forEach((line, i) => {
    end = script.text.indexOf('\n', end + 1);
    const next = lines[i + 1];
    if (next === undefined || line.length < narrowest || line.length > 120 || /[.:;!?]$/.test(line)) return;
    if (torn.test(`${line.slice(-8)}\n${next.slice(0, 16)}`)) joined.add(end);
    if (limits.test(`${line.slice(-8)}\n${next.slice(0, 16)}`)) return;
    if (byItself.test(next) || /[|\t]| {3,}\S|(?:[,;][^ ,;]{1,12}){3}/.test(line)) return;
    const first = original[script.from[end + 1 + next.search(/\S/)] ?? 0] ?? '';
    const open = line.lastIndexOf('(') > line.lastIndexOf(')');
    if (!(capitals && /\p{Ll}/u.test(first)) && first !== '(' && !open && !(goesOn.test(line) && /\d/.test(first)))
      return;
    const word = next.trimStart().split(' ', 1)[0]!;
    const width = Math.max(...[lines[i - 1] ?? '', line, next].map((l) => l.length).filter((n) => n <= 120));
    if (line.length + 1 + word.length > width) joined.add(end);
  });
  return replaced(script, /[ \t]{0,8}\n[ \t]{0,8}/g, (_, { start, text }) =>
    joined.has(start + text.indexOf('\n')) ? ' ' : undefined,
  );
}
