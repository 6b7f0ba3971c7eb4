import { withoutAsides } from './reader/asides';
import { currentsNamed } from './reader/currents';
import {
  answersJoined,
  asLabels,
  labelsJoined,
  labelsPaired,
  leadersShort,
  listed,
  railsSaid,
  tickedOnly,
} from './reader/data-forms';
import { inEnglish } from './reader/languages';
import { inDigits } from './reader/number-words';
import { withoutMarkup } from './reader/markup';
import { plain } from './reader/plain';
import { extrasRules, portRules, processorRule } from './reader/rules/board-rules';
import { holeRules, massRules, sizeRules } from './reader/rules/mechanics-rules';
import { currentRules, packRules, regulatorRules, sensorRules } from './reader/rules/power-rules';
import { inSentence, ofAnotherBoard, type Around, type Rule } from './reader/rules/rule';
import { sourceOf, type Script } from './reader/script';
import { asMeant } from './reader/spelling';
import { inLines, type Version } from './reader/tables';
import { unwrapped } from './reader/wrapped';
import type { Read } from './reader/read';
import { weighed } from './reader/weighed';
import type { Reading } from './reading';

/** In the order in which they take their piece of the text; what one has taken the next ones do not see. */
const rules: Rule[] = [
  processorRule,
  ...portRules,
  ...sensorRules,
  ...regulatorRules,
  ...packRules,
  ...currentRules,
  ...holeRules,
  ...sizeRules,
  ...massRules,
  ...extrasRules,
];

/** No sheet of one board holds nearly so many figures: what stands behind them is left unread. */
const mostReadings = 2000;
const pieceChars = 20_000;

/**
 * Marks every figure of a spec sheet that it understands, in the order in which they stand. Deterministic, no services; a figure it is not sure of says
 * so, and where the text says two things of one field both are kept and marked. Time grows with the length of the text; it ends after 2,000 figures.
 */
export function readSpec(text: string): Reading[] {
  const page = prepared(text);
  const { length } = page.script.text;
  const found: Read[] = [];
  for (let from = 0; from < length && found.length < mostReadings;) {
    const to = pieceEnd(page.script.text, from);
    found.push(...readPiece(text, page, from, to));
    from = to;
  }
  return weighed(found, page.own, page.talk).sort((a, b) => a.start - b.start || a.end - b.end);
}

/** No figure reaches over the end of a line; a line without end is cut at a space. */
function pieceEnd(text: string, from: number): number {
  if (text.length - from <= pieceChars) return text.length;
  const line = text.lastIndexOf('\n', from + pieceChars);
  if (line > from) return line + 1;
  const space = text.lastIndexOf(' ', from + pieceChars);
  return space > from ? space + 1 : from + pieceChars;
}

interface Page {
  /** The page in the words and the order that the rules read. */
  script: Script;
  /** Places of cells that are of one of several versions. */
  versions: Version[];
  /** The page as it stands, small and plain. */
  own: string;
  /** Pieces of `own` in which others speak. */
  talk: [number, number][];
}

function prepared(text: string): Page {
  const own = plain(text);
  const english = inEnglish(currentsNamed(asMeant(unwrapped(withoutMarkup(text), text))));
  const about = withoutAsides(english.text);
  const script = tickedOnly(
    leadersShort(
      labelsPaired(labelsJoined(inDigits(answersJoined(listed(asLabels({ ...english, text: about.text })))))),
    ),
  );
  const lines = inLines(script);
  return {
    ...lines,
    script: railsSaid(lines.script),
    // The marks of bold type and of code are no gap between cells.
    own: own.replace(/ /g, (space, at: number) => (/[*`]/.test(text[at] ?? '') ? text[at]! : space)),
    talk: about.talk.map(([from, to]) => sourceOf(english, from, to)),
  };
}

function readPiece(text: string, { script, versions }: Page, from: number, to: number): Read[] {
  const n = script.text.slice(from, to);
  const taken = new Uint8Array(n.length + 1);
  const readings: Read[] = [];
  for (const { at, read } of rules) {
    for (const match of n.matchAll(at)) {
      const end = match.index + match[0].length;
      if (isTaken(taken, match.index, end)) continue;
      const [, ...groups] = match;
      const words = around(n, match.index, end);
      const found = read(groups, words);
      if (found.length === 0) continue;
      taken.fill(1, match.index, end);
      const place = [from + match.index, from + end] as const;
      const [a, b] = placeOf(script, ...place);
      if (a >= b) continue;
      const version = versionAt(script, versions, place)?.name;
      for (const f of found)
        readings.push({
          field: f.field,
          value: f.words === undefined ? f.value : inOriginal(script, text, match[0], f.words, place[0]),
          start: a,
          end: b,
          quote: text.slice(a, b).trim(),
          doubt: f.why ? 'likely' : 'sure',
          ...(f.why ? { why: f.why } : {}),
          ...(version === undefined ? {} : { version }),
          line: words.line,
          after: words.after,
          ofAnother: ofAnotherBoard(words),
          inSentence: inSentence(words),
        });
    }
  }
  return readings;
}

/** Whose cell a match stands in or, where it is only the label of one, before. */
function versionAt(script: Script, versions: Version[], [start, end]: readonly [number, number]): Version | undefined {
  if (versions.length === 0) return undefined;
  const lineEnd = script.text.indexOf('\n', end);
  const [, last] = sourceOf(
    script,
    start,
    Math.max(end, lineEnd < 0 ? script.text.length : Math.min(lineEnd, end + 200)),
  );
  return versions.find((v) => last > v.from && last <= v.to);
}

/** Where a match stands in the original; where it is a label that the head of a table put in, its cell is shown. */
function placeOf(script: Script, start: number, end: number): [number, number] {
  const [a, b] = sourceOf(script, start, end);
  if (a < b) return [a, b];
  const line = script.text.indexOf('\n', start);
  return sourceOf(script, start, line < 0 ? script.text.length : line);
}

/** Words of a match as the page has them. */
function inOriginal(script: Script, text: string, match: string, words: string, start: number): string {
  const at = start + match.lastIndexOf(words);
  const [a, b] = sourceOf(script, at, at + words.length);
  return text.slice(a, b).trim() || words;
}

function isTaken(taken: Uint8Array, start: number, end: number): boolean {
  for (let i = start; i < end; i++) if (taken[i]) return true;
  return false;
}

/** So many characters around a figure are looked at for words: never to the end of the line, which may be the whole text. */
const reach = 60;

/** Worked out only by the few rules that look around. */
function around(n: string, start: number, end: number): Around {
  return {
    text: n.slice(start, end),
    get before() {
      return sameLine(n, start - reach, start, 'before');
    },
    get after() {
      return sameLine(n, end, end + reach, 'after');
    },
    get line() {
      return `${this.before}${this.text}${this.after}`;
    },
  };
}

/** What lies before or after a figure on its own line. */
function sameLine(n: string, from: number, to: number, side: 'before' | 'after'): string {
  const piece = n.slice(Math.max(0, from), to);
  if (side === 'before') return piece.slice(piece.lastIndexOf('\n') + 1);
  const end = piece.indexOf('\n');
  return end < 0 ? piece : piece.slice(0, end);
}
