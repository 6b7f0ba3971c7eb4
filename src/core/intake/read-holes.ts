import type { Board } from '../records/board';
import type { Screw } from '../records/board-lists';
import type { Said } from './apply-readings';
import { plain } from './reader/plain';

/** One hole pattern of a page, with the screws it is for. */
export interface HolesRead {
  alongMm: number;
  /** The same where it is square. */
  acrossMm: number;
  screw: Screw | null;
  quote: string;
}

const N = '(\\d{2}(?:[.,]\\d{1,2})?)';
const MM = '(?: ?mm)?';
const pair = new RegExp(
  `(?<![\\d.,x])${N}${MM} ?(?:x|by) ?${N}${MM}(?![\\d.,]* ?(?:x|by) ?\\d)(?:[ ,/(]{0,3}(?:four |4 ?x? ?)?(?:for |with )?m([23])(?![.,]\\d))?`,
  'g',
);
/** "30.5 mm (M3)", where several stand on a line: square ones, each with its screws. */
const square = new RegExp(`(?<![\\d.,x-])${N} ?mm ?[(/,]? ?(?:for |with )?m([23])(?![.,]\\d)`, 'g');
const alongAcross = new RegExp(
  `(?<![\\d.,x])${N}${MM} (?:along|lengthways?|long)\\b[ ,;and]{1,6}${N}${MM} (?:across|wide)\\b(?:[ ,/(]{0,3}m([23])(?![.,]\\d))?`,
);
const holes = /\b(?:hole|mount|pattern|bohr|loch|fix|screw|spacing)/;
const notHoles = /\b(?:size|dimensions?|outline|board|pcb|measures)\b[^,;]{0,16}$/;

/** Hole patterns that are rectangular, or several of one board; nothing where the page speaks of one square pattern, which is a figure as others are. */
export function readHoles(text: string): HolesRead[] {
  const found: HolesRead[] = [];
  for (const line of text.slice(0, 200_000).split('\n')) {
    const small = plain(line);
    if (small.length > 300 || !holes.test(small) || /\badapter\b|\bnot compatible\b/.test(small)) continue;
    for (const match of [...small.matchAll(pair), ...besides(small)]) {
      const [whole, a, b, m] = match;
      const [alongMm, acrossMm] = [Number(a!.replace(',', '.')), Number(b!.replace(',', '.'))];
      if (notHoles.test(small.slice(0, match.index!)) || alongMm > 90 || acrossMm > 90 || alongMm < 10 || acrossMm < 10)
        continue;
      const screw =
        m ??
        /\bm([23])(?![.,]\d)/.exec(small.slice(match.index! + whole.length, match.index! + whole.length + 24))?.[1];
      const same = found.some((f) => f.alongMm === alongMm && f.acrossMm === acrossMm);
      if (!same)
        found.push({
          alongMm,
          acrossMm,
          screw: screw === undefined ? null : (`M${screw}` as Screw),
          quote: line.trim().slice(0, 200),
        });
    }
  }
  return found.length > 1 || found.some((f) => f.alongMm !== f.acrossMm) ? found.slice(0, 6) : [];
}

/** Patterns that are not said as one length by another: their match as of a pair. */
function besides(line: string): RegExpMatchArray[] {
  const rectangle = alongAcross.exec(line);
  if (rectangle) return [rectangle];
  const all = [...line.matchAll(square)];
  // "20 x 20 mm M2" is a pair already, one alone is a figure as others are, and columns are of several boards.
  const columns = /[|\t]| {2,}/.test(line.slice(all[0]?.index, all.at(-1)?.index));
  if (all.length < 2 || line.match(pair) || columns) return [];
  return all.map((m) => Object.assign([m[0], m[1]!, m[1]!, m[2]!], { index: m.index }) as RegExpMatchArray);
}

/** The board with these patterns and no others. */
export function withHoles(
  board: Board,
  patterns: readonly HolesRead[],
  { origin, seen }: Omit<Said, 'placeOf'>,
): Board {
  const word = <T>(value: T, source: string) => ({ value, origin, seen, source });
  return {
    ...board,
    mounting: {
      ...board.mounting,
      patterns: patterns.map((p) => ({
        alongMm: word(p.alongMm, p.quote),
        ...(p.acrossMm === p.alongMm ? {} : { acrossMm: word(p.acrossMm, p.quote) }),
        screw: p.screw === null ? { unknown: true as const } : word(p.screw, p.quote),
      })),
    },
    history: [
      ...board.history,
      {
        when: seen,
        field: 'mounting',
        before: `${board.mounting.patterns.length} hole patterns`,
        after: patterns.map((p) => `${p.alongMm} x ${p.acrossMm} mm`).join(', '),
        who: `${origin}: "${patterns[0]?.quote ?? ''}"`,
      },
    ].slice(-500),
  };
}
