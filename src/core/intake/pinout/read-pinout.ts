import { plain } from '../reader/plain';
import type { Pad } from '../../records/board';
import type { PadUse } from './pad-print';
import { edgeWord, edges, padsOfLine } from './pads-of-line';

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

const under = /\b(?:bottom|under|lower|rear) ?(?:side|face|layer)\b|\bunderside\b/;

/**
 * The pads that a page lists: rows of a table (print, what it is for, side), "Left: 5V G T1 R1", "T1 - UART1 TX", "UART1_TX -> T1", "T1/R1: UART1", "Pin 1: GND". Nothing where
 * it lists fewer than four. The offsets are of the text as it was given. Time grows with its length.
 */
export function readPinout(text: string): PadRead[] {
  const found: PadRead[] = [];
  let at = 0;
  let heading: { edge: Pad['edge'] | null; face: Pad['face'] } = { edge: null, face: 'top' };
  for (const line of text.split('\n')) {
    if (found.length < mostPads && line.length <= 300) {
      // The mark of a list, dots and full stops at the ends of a line are no print.
      const small = plain(line).replace(/^[ \t]{0,8}[-+>] |[.;,][ \t]*$/g, (mark) => ' '.repeat(mark.length));
      const head = headingOf(small);
      if (head) heading = head;
      for (const { label, use, words, from } of padsOfLine(small)) {
        const edge = edgeWord.exec(words)?.[1];
        const to = from + label.length;
        found.push({
          label: line.slice(from, to).trim().slice(0, 40) || label,
          use,
          edge: edge ? edges[edge]! : heading.edge,
          face: under.test(words) ? 'bottom' : heading.face,
          toleratesVolts: tolerated(words),
          start: at + from,
          end: at + to,
          quote: line.trim().slice(0, 200),
        });
      }
    }
    at += line.length + 1;
  }
  return found.length >= leastPads ? withSignals(found) : [];
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
  const edge = edgeWord.exec(words)?.[1];
  return {
    edge: under.test(words) || /face|side up/.test(words) || !edge ? null : edges[edge]!,
    face: under.test(words) ? 'bottom' : 'top',
  };
}

function tolerated(words: string): number | null {
  const [, volts] = /\b(3[.,]3|5) ?v(?:olt)?[ -]?(?:tolerant|level|logic|signal)/.exec(words) ?? [];
  return volts ? Number(volts.replace(',', '.')) : null;
}
