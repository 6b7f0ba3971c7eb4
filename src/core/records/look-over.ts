/** What one file may hold at most. Far above any real file, and low enough that reading one takes a moment and not the server. */
export const fileMost = { depth: 24, entries: 20_000, values: 200_000, characters: 4_000 } as const;

/** Lists of a shelf, whose entries are read one by one. */
export const listKeys = ['boards', 'peripherals'] as const;
export type ListKey = (typeof listKeys)[number];

/** Where an entry of a list stands in the text, its end not included. */
export interface Stretch {
  from: number;
  to: number;
}

export type LookedOver =
  | {
      ok: true;
      /** The text without the entries of its lists. */
      frame: string;
      /** Where a place of the frame stands in the whole text. */
      placeOf: (at: number) => number;
      lists: Record<ListKey, Stretch[]>;
    }
  | { ok: false; sentence: string };

/**
 * Goes over the text of a JSON file once, before anything is built from it: how deep, how long and how many. The entries of a shelf's lists are only
 * marked. Whether the text is sound JSON is left to the parser; what parses piece by piece here parses as a whole.
 */
export function lookOver(text: string): LookedOver {
  const lists: Record<ListKey, Stretch[]> = { boards: [], peripherals: [] };
  const cut: Stretch[] = [];
  /** Entries so far of each thing that is open. */
  const entries: number[] = [];
  let values = 0;
  let key = '';
  let list: ListKey | null = null;
  let from = 0;
  const tooMuch = (at: number, what: string): LookedOver => ({
    ok: false,
    sentence: `${what} near line ${lineAt(text, at)}; no Rung file needs that. Nothing was read.`,
  });

  const start = text.search(/\S/);
  if (start < 0) return { ok: false, sentence: 'This is not JSON: the text is empty.' };
  if (text[start] !== '{')
    return {
      ok: false,
      sentence: `Expected an object with a "format" field; the file begins with "${text.slice(start, start + 12)}".`,
    };
  for (let i = start; i < text.length; i++) {
    switch (text.charCodeAt(i)) {
      case 0x22: {
        const end = closing(text, i);
        if (end === null)
          return tooMuch(i, `A text of more than ${fileMost.characters.toLocaleString('en')} characters stands`);
        if (end < 0)
          return {
            ok: false,
            sentence: `This is not JSON: the text that starts near line ${lineAt(text, i)} has no end.`,
          };
        if (entries.length === 1 && end - i < 40) key = text.slice(i + 1, end);
        i = end;
        break;
      }
      case 0x5b:
      case 0x7b: {
        const found = entries.length === 1 && text[i] === '[' ? listKeys.find((k) => k === key) : undefined;
        if (found) {
          if (lists[found].length > 0) return { ok: false, sentence: `"${found}" stands twice in this file.` };
          list = found;
          from = i + 1;
          cut.push({ from, to: from });
        }
        entries.push(0);
        if (entries.length > fileMost.depth) return tooMuch(i, `More than ${fileMost.depth} levels lie in one another`);
        if (++values > fileMost.values)
          return tooMuch(i, `More than ${fileMost.values.toLocaleString('en')} values stand in one thing`);
        break;
      }
      case 0x5d:
      case 0x7d:
        entries.pop();
        if (list && entries.length === 1) {
          if (
            lists[list].length > 0 ||
            text.slice(from, Math.min(i, from + 100)).trim() !== '' ||
            text.slice(from, i).trim() !== ''
          )
            lists[list].push({ from, to: i });
          cut.at(-1)!.to = i;
          list = null;
        }
        break;
      case 0x2c: {
        const depth = entries.length - 1;
        if (depth < 0) break;
        entries[depth]! += 1;
        if (entries[depth]! >= fileMost.entries)
          return tooMuch(i, `A list or thing with more than ${fileMost.entries.toLocaleString('en')} entries stands`);
        if (list && depth === 1) {
          lists[list].push({ from, to: i });
          from = i + 1;
          values = 0;
        } else if (++values > fileMost.values)
          return tooMuch(i, `More than ${fileMost.values.toLocaleString('en')} values stand in one thing`);
        break;
      }
    }
  }
  return {
    ok: true,
    frame: without(text, cut),
    placeOf: (at) => cut.reduce((place, { from, to }) => (place >= from ? place + to - from : place), at),
    lists,
  };
}

/** Where the text that starts at `quote` closes; -1 where it does not, null where it is too long. */
function closing(text: string, quote: number): number | null {
  for (let end = text.indexOf('"', quote + 1); end >= 0; end = text.indexOf('"', end + 1)) {
    if (end - quote > fileMost.characters) return null;
    let slashes = 0;
    while (text.charCodeAt(end - 1 - slashes) === 0x5c) slashes++;
    if (slashes % 2 === 0) return end;
  }
  return -1;
}

function without(text: string, cut: readonly Stretch[]): string {
  let kept = '';
  let at = 0;
  for (const { from, to } of cut) {
    kept += text.slice(at, from);
    at = to;
  }
  return kept + text.slice(at);
}

/** The line a place stands in, the first being 1. */
export function lineAt(text: string, at: number): number {
  let line = 1;
  for (let i = text.indexOf('\n'); i >= 0 && i < at; i = text.indexOf('\n', i + 1)) line++;
  return line;
}
