import { plain } from '../reader/plain';
import type { Pad } from '../../records/board';
import { padPrint, padWords, type PadUse } from './pad-print';

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

const edges: Record<string, Pad['edge']> = {
  left: 'left',
  right: 'right',
  front: 'front',
  rear: 'rear',
  back: 'rear',
  behind: 'rear',
  top: 'front',
  bottom: 'rear',
  inner: 'inner',
  inside: 'inner',
  middle: 'inner',
};
const edgeWord = new RegExp(`\\b(${Object.keys(edges).join('|')})\\b`);
const under = /\b(?:bottom|under|lower|rear) ?(?:side|face|layer)\b|\bunderside\b/;

/**
 * The pads that a page lists: rows of a table (print, what it is for, side), "Left: 5V G T1 R1", or "T1 - UART1 TX". Nothing where it lists fewer than four. The offsets are of
 * the text as it was given. Time grows with its length.
 */
export function readPinout(text: string): PadRead[] {
  const found: PadRead[] = [];
  let at = 0;
  let heading: { edge: Pad['edge'] | null; face: Pad['face'] } = { edge: null, face: 'top' };
  for (const line of text.split('\n')) {
    // The mark of a list, dots and full stops at the ends of a line are no print.
    const small = plain(line).replace(/^[ \t]{0,8}[-+>] |[.;,][ \t]*$/g, (mark) => ' '.repeat(mark.length));
    if (found.length < mostPads && small.length <= 300) {
      const head = headingOf(small);
      if (head) heading = head;
      const pads = listed(small) ?? row(small);
      for (const { label, use, words, from, to } of pads ?? []) {
        const edge = edgeWord.exec(words)?.[1];
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
  return found.length >= leastPads ? found : [];
}

interface Found {
  label: string;
  use: PadUse;
  words: string;
  from: number;
  to: number;
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

/** "Left: 5V G T1 R1 | T2 R2", "UART2: T2, R2": a name, and behind it nothing but prints. */
function listed(line: string): Found[] | null {
  const [, head, rest] = /^[ \t*-]{0,6}([a-z0-9 ()/-]{2,40}?)[ \t]{0,3}[:=][ \t]{0,3}(.+)$/.exec(line) ?? [];
  if (!head || !rest) return null;
  const offset = line.length - rest.length;
  const tokens = [...rest.matchAll(/[^\s,|/;()]+/g)].filter((m) => m[0] !== '-' && m[0] !== 'and');
  const pads = tokens.map((m) => ({ m, use: padPrint(m[0]) }));
  const known = pads.filter((p) => p.use);
  if (known.length < 2 || known.length < pads.length * 0.7) return null;
  return known.map(({ m, use }) => ({
    label: m[0],
    use: use!,
    words: head,
    from: offset + m.index,
    to: offset + m.index + m[0].length,
  }));
}

/** A row of a table: the print first, then words; or "T1 - UART1 TX". */
function row(line: string): Found[] | null {
  const cells = line
    .replace(/^[ \t|]+|[ \t|]+$/g, (s) => ' '.repeat(s.length))
    .split(/[ \t]*[|\t;][ \t]*| {3,}| [-=] |: /);
  const words = cells.map((c) => c.trim()).filter((c) => c !== '');
  const [label, ...rest] = words;
  if (!label || rest.length === 0 || label.length > 12) return null;
  const said = rest.join(' | ');
  const use = padPrint(label);
  // The words tell, where they do: "S5" may be a motor's line. A print alone must have a side or a word of its kind beside it.
  const meant =
    padWords(said) ??
    (use && (edgeWord.test(said) || padPrint(rest[0]!) || /pad|pin|hole|out|in\b|power|supply|free|v\b/.test(said))
      ? use
      : null);
  if (!meant || (!use && !/^[a-z0-9+./ -]{1,8}$/.test(label))) return null;
  const from = line.indexOf(label);
  return [{ label, use: meant, words: said, from, to: from + label.length }];
}

function tolerated(words: string): number | null {
  const [, volts] = /\b(3[.,]3|5) ?v(?:olt)?[ -]?(?:tolerant|level|logic|signal)/.exec(words) ?? [];
  return volts ? Number(volts.replace(',', '.')) : null;
}
