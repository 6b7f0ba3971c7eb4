import { padPrint, padWords, printBeside, type PadUse } from './pad-print';
import { cut, withoutNumber, type Cell, type PadSaid } from './pads-of-line';

/** What a feature says of itself ("LED: yes", "5V: 2 A"), or the name of a plug ("Camera port"), and no pad. */
const noPad =
  /^[^a-z0-9(]*(?:(?:ports?|connectors?|plugs?|sockets?|headers?|buchse|stecker|yes|no|none|supported|included|optional|ja|nein|oui|non|si)\b|\d+(?:[.,]\d+)? ?m?a\b)/;
/** A pad that leads nowhere is none to solder to. */
const unused = /\b(?:not (?:used|connected|brought out|populated)|unused|n\/?c|do not (?:use|connect)|reserved)\b/;
const aboutRegulator = /^v\b|\b(?:ldo|becs?|regulators?|converter|buck|boost|fed|linear)\b/;
/** Pads of which a page of features does not speak. */
const ofPinouts: ReadonlySet<PadUse['kind']> = new Set([
  'talks',
  'hears',
  'ground',
  'motor',
  'servo',
  'data',
  'clock',
  'can high',
  'can low',
]);

/** The pads of a line by their prints. `loose`: nothing but a space stands between print and words, or there are none, so that it may be any sentence. */
export interface Bare {
  pads: PadSaid[];
  loose: boolean;
}

const none: Bare = { pads: [], loose: false };

/**
 * Pads that one line may list, by nothing but a print at its head or behind an arrow: "SCL | compass", "GND Masse", "Camera -> CAM". Such a line may as well be a feature, so the caller believes it in the
 * company of others only (`believed`). The line small and plain.
 */
export function barePrints(line: string): Bare {
  const whole = { text: withoutNumber(line).replace(/[ \t|]+$/, ''), from: 0 };
  const [before, behind, ...more] = cut(whole, /[ \t]*(?:->|=>|→)[ \t]*/g);
  if (before && behind) return { pads: more.length > 0 ? [] : atArrow(before, behind), loose: false };
  return atHead(whole) ?? { pads: inRow(whole), loose: false };
}

/** The pad stands behind the arrow; what says another thing before it is a wire between two boards. */
function atArrow(before: Cell, behind: Cell): PadSaid[] {
  const named = padPrint(before.text);
  const [prints, words] = cut(behind, / ?(?=\()/g);
  const pads = printed(prints!, `${before.text} ${words?.text ?? ''}`);
  return named && !pads.some(({ use }) => use.kind === named.kind) ? [] : pads;
}

/** A print, then words, whatever stands between them; before it may stand the number of its pin, or its port with the prints in brackets. null: there is none. */
function atHead(whole: Cell): Bare | null {
  for (const between of [/[ \t]*[|;\t][ \t]*| {2,}/g, / [-=] |: | (?=\()/g]) {
    const cells = cut(whole, between);
    for (const at of [0, 1]) {
      const [first, ...rest] = cells.slice(at);
      if (!first || (at === 0 ? rest.length === 0 : !/^[a-z]{0,5}\d{1,3}$/.test(cells[0]!.text))) continue;
      const words = [...cells.slice(0, at), ...rest].map((c) => c.text).join(' | ');
      const pads = printed(inBrackets(first), words);
      if (pads.length > 0) return noPad.test(words) || unused.test(words) ? none : { pads, loose: false };
    }
  }
  const [first, ...rest] = cut(whole, / (?=[a-z0-9+-])/g);
  if (!first) return null;
  const words = rest.map((c) => c.text).join(' ');
  const pads = printed(first, words);
  if (pads.length === 0) return null;
  // "3.3 V LDO fed from 5 V" is about a regulator, not its pad.
  const ofRegulator = pads.some(({ use }) => use.kind === 'volts') && aboutRegulator.test(words);
  if (noPad.test(words) || unused.test(words) || ofRegulator) return none;
  // Words that say what the print says are no chance.
  const said = padWords(words)?.kind;
  return { pads, loose: pads.every(({ use }) => use.kind !== said) };
}

function inBrackets(cell: Cell): Cell {
  const [, inner] = /^\(([^()]{1,20})\)$/.exec(cell.text) ?? [];
  return inner === undefined ? cell : { text: inner, from: cell.from + 1 };
}

/** All prints of a cell, if it is nothing but prints; a lone dash is none. */
function printed(cell: Cell, words: string): PadSaid[] {
  for (const between of [/ ?[/,] ?/g, / /g]) {
    const pieces = cut(cell, between).filter((c) => c.text !== 'only');
    const pads = pieces.flatMap((c) => {
      const use = c.text === '-' ? null : meant(c.text, words);
      return use ? [{ label: c.text, use, words, from: c.from }] : [];
    });
    if (pads.length > 0 && pads.length === pieces.length) return pads;
  }
  return [];
}

/** What the print says; of an output the words beside it know better: "S1: motor 1", "S8: LED strip". */
function meant(label: string, words: string): PadUse | null {
  const print = printBeside(label, words) ?? padPrint(label);
  if (print?.kind !== 'servo' && print?.kind !== 'motor') return print;
  const said = padWords(words);
  return said && ['motor', 'servo', 'light'].includes(said.kind) ? said : print;
}

/** "From front to rear 5V, GND, TX3 and RX3": three prints and more in a row within a sentence, at least one of them of a pinout. */
function inRow(whole: Cell): PadSaid[] {
  const rows = cut(whole, /[.] (?=\S)/g).flatMap(rowsOf);
  return rows.some((row) => row.some(({ use }) => ofPinouts.has(use.kind))) ? rows.flat() : [];
}

function rowsOf(sentence: Cell): PadSaid[][] {
  const rows: PadSaid[][] = [[]];
  for (const word of cut(sentence, /[\s,/;:()]+(?:(?:and|und|et|y|e) )?/g)) {
    // A word of more letters is no print: "pack, ground, current".
    const use = /^(?:[a-z]{5,}|-)$/.test(word.text) ? null : padPrint(word.text);
    if (use) rows.at(-1)!.push({ label: word.text, use, words: sentence.text, from: word.from });
    else if (rows.at(-1)!.length > 0) rows.push([]);
  }
  // Screws are called as motors are.
  const first = (row: PadSaid[]) => row.some(({ use }) => !('number' in use) || use.number === 1);
  return rows.filter((row) => row.length >= 3 && first(row));
}

/** Lines that list pads, for certain or by a print alone; a few others may stand between two of them. */
export interface PadLine {
  sure: PadSaid[];
  bare: Bare;
  /** A heading, or a rule of a table. */
  between: boolean;
}

const leastLines = 4;
const leastShare = 0.6;
const mostMissed = 3;

/** Of lines in their order: at which a bare print may be believed, since most lines around it list pads and some of those can be nothing else. */
export function believed(lines: readonly PadLine[]): ReadonlySet<number> {
  const found = new Set<number>();
  let [run, missed, others]: [number[], number, number] = [[], 0, 0];
  const isLoose = (i: number) => lines[i]!.bare.loose && lines[i]!.sure.length === 0;
  const end = () => {
    // What follows a list may begin as its lines do.
    while (run.length > 0 && isLoose(run.at(-1)!)) run.pop();
    const pads = run.flatMap((i) => [...lines[i]!.sure, ...(lines[i]!.bare.loose ? [] : lines[i]!.bare.pads)]);
    const telling = pads.filter(({ use }) => ofPinouts.has(use.kind)).length;
    const kinds = new Set(pads.map(({ use }) => use.kind)).size;
    const many = run.length >= leastLines && kinds >= 2 && run.length >= leastShare * (run.length + others);
    if (telling >= 2 && many) for (const i of run) found.add(i);
    [run, missed, others] = [[], 0, 0];
  };
  lines.forEach(({ sure, bare, between }, i) => {
    if (sure.length + bare.pads.length > 0) {
      if (run.length > 0) others += missed;
      run.push(i);
      missed = 0;
    } else if (!between && ++missed > mostMissed) end();
  });
  end();
  // Three prints in a row stand for themselves.
  lines.forEach(({ bare }, i) => {
    if (bare.pads.length >= 3 && bare.pads.some(({ use }) => ofPinouts.has(use.kind))) found.add(i);
  });
  return found;
}
