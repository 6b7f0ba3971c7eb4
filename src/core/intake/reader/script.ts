/**
 * A text on its way to the reader: what it was turned into, and for each character of that where it stands in the original. So a page may be translated, its tables
 * laid out in lines and its number words written as digits, and still every figure can show the place that it was read from.
 */
export interface Script {
  readonly text: string;
  /** Of each character: where its original begins, and where that ends. What was put in stands for nothing: both are the same. */
  readonly from: readonly number[];
  readonly to: readonly number[];
}

/** A piece of a script and what stands in its place; `own` are offsets within `text` that stand for offsets of the script. */
export interface Edit {
  start: number;
  end: number;
  text: string | Piece[];
}

/** Words that were put in, or a piece of the script as it stands. */
export type Piece = string | { start: number; end: number };

/** A script that stands for itself, character by character. */
export function scriptOf(text: string): Script {
  const from = Array.from({ length: text.length }, (_, i) => i);
  return { text, from, to: from.map((at) => at + 1) };
}

/** The script with the edits made; they come in order and do not overlap. */
export function edited(script: Script, edits: readonly Edit[]): Script {
  if (edits.length === 0) return script;
  const parts: string[] = [];
  const from: number[] = [];
  const to: number[] = [];
  const keep = (start: number, end: number) => {
    parts.push(script.text.slice(start, end));
    for (let i = start; i < end; i++) {
      from.push(script.from[i]!);
      to.push(script.to[i]!);
    }
  };
  const put = (words: string, start: number, end: number) => {
    parts.push(words);
    const [a, b] = sourceOf(script, start, end);
    for (let i = 0; i < words.length; i++) {
      from.push(a);
      to.push(b);
    }
  };
  let at = 0;
  for (const { start, end, text } of edits) {
    if (start < at) continue;
    keep(at, start);
    if (typeof text === 'string') put(text, start, end);
    else
      text.forEach((piece, i) => {
        if (typeof piece !== 'string') return keep(piece.start, piece.end);
        // Put in before what follows it, so that a mark never reaches over to a place far away.
        const next = text.slice(i + 1).find((p) => typeof p !== 'string');
        const place = typeof next === 'object' ? next.start : end;
        put(piece, place, place);
      });
    at = end;
  }
  keep(at, script.text.length);
  return { text: parts.join(''), from, to };
}

/** Where a piece of the script stands in the original. */
export function sourceOf(script: Script, start: number, end: number): [number, number] {
  if (start >= end) {
    const at = script.from[start] ?? script.to[script.to.length - 1] ?? 0;
    return [at, at];
  }
  let a = Infinity;
  let b = 0;
  for (let i = start; i < end; i++) {
    if (script.from[i]! === script.to[i]!) continue;
    a = Math.min(a, script.from[i]!);
    b = Math.max(b, script.to[i]!);
  }
  return a < b ? [a, b] : [script.from[start]!, script.from[start]!];
}

/** Every match of a pattern replaced; what the function gives nothing for stays. */
export function replaced(
  script: Script,
  pattern: RegExp,
  by: (groups: (string | undefined)[], match: { start: number; end: number; text: string }) => Edit['text'] | undefined,
): Script {
  const edits: Edit[] = [];
  for (const found of script.text.matchAll(pattern)) {
    const [whole, ...groups] = found;
    const place = { start: found.index, end: found.index + whole.length };
    const text = by(groups, { ...place, text: whole });
    if (text !== undefined) edits.push({ ...place, text });
  }
  return edited(script, edits);
}
