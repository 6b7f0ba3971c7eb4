import { plain } from './plain';
import { edited, scriptOf, type Edit, type Script } from './script';

/** Struck out; slanted, as pairs around what they mark; bold, code and the like, wherever they stand. */
const marks =
  /~~[^~\n]{1,80}~~|<(del|strike|s)>[^<\n]{1,80}<\/\1>|(?<![\w*])\*([^\s*](?:[^*\n]{0,60}[^\s*])?)\*(?![\w*])|(?<!\w)_([^\s_](?:[^_\n]{0,60}[^\s_])?)_(?!\w)|\*{2,}|__|`{1,3}|<\/?(?:b|strong|em|i|u|span|code|mark|font|small)\b[^>\n]{0,200}>/gi;

/**
 * A text, small and plain, without the marks of its type ("**12 g**", "`5 V`", "_38 mm_", "<b>6S</b>"), and without what it has struck out. The script still stands
 * for the original character by character.
 */
export function withoutMarkup(original: string): Script {
  const edits: Edit[] = [];
  for (const found of original.matchAll(marks)) {
    const [start, end] = [found.index, found.index + found[0].length];
    const slanted = found[2] ?? found[3];
    if (slanted === undefined) {
      const within =
        /[\p{L}\p{N}]$/u.test(original.slice(Math.max(0, start - 2), start)) &&
        /^[\p{L}\p{N}]/u.test(original.slice(end, end + 2));
      edits.push({ start, end, text: within ? ' ' : '' });
    } else edits.push({ start, end, text: [{ start: start + 1, end: end - 1 }] });
  }
  return edited(scriptOf(plain(original)), edits);
}
