import { plain } from '../reader/plain';
import type { Pad } from '../../records/board';
import { padWords, type PadUse } from './pad-print';
import { barePrints, believed, type PadLine } from './bare-prints';
import { edgeWord, edges, padsOfLine, type PadSaid } from './pads-of-line';

/** One pad of a table or a list, as it is to stand on the board. */
export interface PadRead {
  label: string;
  use: PadUse;
  edge: Pad['edge'] | null;
  face: Pad['face'];
  /** Highest signal level it stands, where the row says so. */
  toleratesVolts: number | null;
  start: number;
  end: number;
  quote: string;
}

/** Fewer than these are words of a sentence, no list of pads. */
const leastPads = 4;
const mostPads = 120;

/** An inverter before the pad, where the words say that and not that there may be one. */
const inverted = /^(?!.*\b(?:no|not|non|un|or|without|plain|normal|both)\b).*\binvert(?:ed|er)\b/;
const under = /\b(?:bottom|under|lower|rear) ?(?:side|face|layer)\b|\bunderside\b|\bon (?:the )?bottom\b/;

/**
 * The pads that a page lists: rows of a table (print, what it is for, side), "Left: 5V G T1 R1", "T1 - UART1 TX", "UART1_TX -> T1", "T1/R1: UART1", "Pin 1: GND". Nothing where
 * it lists fewer than four. The offsets are of the text as it was given. Time grows with its length.
 */
export function readPinout(text: string): PadRead[] {
  const found: PadRead[] = [];
  let heading: { edge: Pad['edge'] | null; face: Pad['face'] } = { edge: null, face: 'top' };
  const lines = linesOf(text);
  const company = believed(lines);
  const seen = new Set<string>();
  for (const [i, { line, at, head, sure, bare }] of lines.entries()) {
    if (head) heading = head;
    if (found.length >= mostPads) break;
    const read = sure.length > 0 || !company.has(i) ? sure : bare.pads;
    const pads = read.filter((p) => !isAnySupply(p, read));
    const own = pads.filter((p) => !isShared(p));
    // What is said a second time, to wire a part by, is no second pad; nor is the supply beside it.
    if (own.length > 0 && own.every((p) => seen.has(nameOf(p)))) continue;
    for (const pad of pads) {
      const { label, use, words, from } = pad;
      if (!isShared(pad) && seen.has(nameOf(pad))) continue;
      seen.add(nameOf(pad));
      const below = under.test(words);
      const edge = edgeWord.exec(below ? words.replace(/\bbottom\b/, '') : words)?.[1];
      const to = from + label.length;
      found.push({
        label: line.slice(from, to).trim().slice(0, 40) || label,
        use: use.kind === 'hears' && inverted.test(words) ? { ...use, sense: 'inverted' } : use,
        edge: edge ? edges[edge]! : heading.edge,
        face: below ? 'bottom' : heading.face,
        toleratesVolts: tolerated(words),
        start: at + from,
        end: at + to,
        quote: line.trim().slice(0, 200),
      });
    }
  }
  return found.length >= leastPads ? withSignals(found) : [];
}

/** "VCC" of a plug for a part is whatever feeds it; only beside lines of ESCs, or where the words say so, it is the pack. */
function isAnySupply({ label, use, words }: PadSaid, beside: readonly PadSaid[]): boolean {
  return (
    use.kind === 'pack' &&
    label === 'vcc' &&
    padWords(words)?.kind !== 'pack' &&
    !beside.some((p) => p.use.kind === 'motor' || p.use.kind === 'current' || p.use.kind === 'telemetry')
  );
}

/** A supply and ground have many pads of one print. */
function isShared({ use }: PadSaid): boolean {
  return use.kind === 'volts' || use.kind === 'ground' || use.kind === 'pack';
}

function nameOf({ label, use }: PadSaid): string {
  return JSON.stringify([label, use]);
}

/** Each line with the pads that it lists; an empty one is none. */
function linesOf(text: string): (PadLine & { line: string; at: number; head: ReturnType<typeof headingOf> })[] {
  let at = 0;
  return text.split('\n').flatMap((line) => {
    const start = at;
    at += line.length + 1;
    if (line.length > 300 || !/\S/.test(line)) return [];
    // The mark of a list, a box to tick, dots and full stops at the ends of a line are no print.
    const small = plain(line).replace(/^[ \t]{0,8}(?:[-+>]|\[[ x]?\]) |[.;,][ \t]*$/g, (mark) =>
      ' '.repeat(mark.length),
    );
    const head = headingOf(small);
    const sure = padsOfLine(small);
    const bare = sure.length > 0 ? { pads: [], loose: false } : barePrints(small);
    return [{ line, at: start, head, sure, bare, between: head !== null || !/[a-z0-9]/.test(small) }];
  });
}

/** "S1" to "S8" on a board that prints no "M1": signals, for motors as well; common practice of the trade, no source. */
function withSignals(pads: PadRead[]): PadRead[] {
  const isSignal = ({ label, use, quote }: PadRead) =>
    use.kind === 'servo' && /^s ?\d/i.test(label) && !/servo/i.test(quote);
  if (pads.some((p) => p.use.kind === 'motor') || pads.filter(isSignal).length < 4) return pads;
  return pads.map((p) => (isSignal(p) && 'number' in p.use ? { ...p, use: { ...p.use, kind: 'signal' } } : p));
}

/** "Left edge", "Bottom side:": what follows lies there. */
function headingOf(line: string): { edge: Pad['edge'] | null; face: Pad['face'] } | null {
  const words = line.replace(/[^a-z ]/g, ' ').trim();
  if (
    words.length > 40 ||
    !/^(?:pads? (?:on|at|of) (?:the )?)?(?:left|right|front|rear|back|top|bottom|inner|under)[a-z ]*$/.test(words)
  )
    return null;
  const [edge, ...more] = words.match(new RegExp(edgeWord, 'g')) ?? [];
  // "Left row, right row" is no edge of all that follows, nor is a face of the board.
  const none = !edge || more.length > 0 || under.test(words) || /face|side up|^top side/.test(words);
  return {
    edge: none ? null : edges[edge]!,
    face: under.test(words) ? 'bottom' : 'top',
  };
}

function tolerated(words: string): number | null {
  const [, volts] = /\b(3[.,]3|5) ?v(?:olt)?[ -]?(?:tolerant|level|logic|signal)/.exec(words) ?? [];
  return volts ? Number(volts.replace(',', '.')) : null;
}
