import type { Reading } from '../reading';
import { foreignHeading } from './headings';
import { heldAgainstPack } from './full-pack';
import { oftenMistaken } from './often-mistaken';
import type { Read } from './read';
import { remarks } from './tables';

/** What the readings are worth when held against each other and against where they stand. */
export function weighed(found: Read[], text: string, talk: readonly [number, number][]): Reading[] {
  const beside = (r: Read) => talk.some(([from, to]) => r.start >= from && r.end <= to);
  const ofThis = found.filter((r) => !r.ofAnother);
  const own = new Set(ofThis.filter((r) => !beside(r)).map(key));
  // What others say beside the page counts only where the page itself says nothing.
  const placed = ofThis
    .filter((r) => !beside(r) || !(own.has(key(r)) || (r.field === 'massIncludes' && own.has('massG'))))
    .map((r) => (beside(r) ? doubted(r, 'the words of somebody else beside the page') : r));
  const older = heldAgainstPack(placed).map((r) => underHeading(olderRevision(r, text), text));
  const parts = sectioned(older, text);
  return ofSeveral(contradicted(parts.map(versioned)), text).map((r) => {
    const why = r.inSentence
      ? 'said in a sentence: look whether it is said of this board'
      : (ofASparePart(text) ??
        oftenMistaken(r) ??
        chosen(r, text) ??
        (r.version === undefined ? besideOthers(r, text) : undefined));
    const last = why ? doubted(r, why) : r;
    const { line: _, after: __, ofAnother: ___, inSentence: ____, ...reading } = last;
    return reading;
  });
}

/** "Spare USB board for the Harrier": what is sold is not the board. */
function ofASparePart(text: string): string | undefined {
  const title = /^\s*(?:#+ )?([^\n]{3,120})/.exec(text)?.[1] ?? '';
  return /^(?:spare|replacement)\b(?!s? parts? (?:list|for)\b).*\bfor\b/.test(title)
    ? 'the page is about a spare part: look what is said of the board'
    : undefined;
}

const mayBeChosen =
  'options?|optional\\w{0,2}|extras?|add-ons?|upgrades?|variants?|choose|select|available (?:as|with|in)|on request|next|later|soon|planned|coming|upcoming|future|wish(?:ed|list)?|wanted|needed|what (?:i|we) (?:need|want)';
const ofChoice = new RegExp(`^[ \\t#*=_-]{0,6}(?:${mayBeChosen})\\b`);
const choiceWithin = new RegExp(`[/;|.][ \\t]{0,3}(?:${mayBeChosen})[^:/;|\\n]{0,20}:`);

/** "Options: barometer +2.50, 9 V 2 A +4.00", "next spring: 9 V as well", or a heading of that kind above it: whatever stands there. */
function chosen(r: Read, text: string): string | undefined {
  const from = text.lastIndexOf('\n', r.start) + 1;
  const above = text
    .slice(Math.max(0, from - 400), from)
    .split('\n')
    .slice(-6, -1);
  const heading = above.findLast((line) => /^[ \t]{0,4}#|:[ \t*]{0,4}$/.test(line));
  const own = text.slice(from, Math.min(r.start, from + 300));
  const end = text.indexOf('\n', r.start);
  // "+ barometer ....... 3.00": what comes on top, and its price.
  const extra = /^[ \t]*\+ .*\d[.,]\d\d[ \t]*(?:\S{1,3})?[ \t]*$/.test(
    text.slice(from, end < 0 ? undefined : end).slice(0, 300),
  );
  return extra ||
    ofChoice.test(text.slice(from, from + 30)) ||
    choiceWithin.test(own) ||
    (heading && ofChoice.test(heading))
    ? 'its line is about what may be chosen or is to come: ask whether this very board has it'
    : undefined;
}

/** What stands below a heading that says nothing of the board is never sure: a list of the headings that begin something else is never complete. */
function underHeading(r: Read, text: string): Read {
  const words = foreignHeading(text, r.start);
  return words ? doubted(r, `it stands under "${words}": look whether that is about this board`) : r;
}

/** In a row of three cells and more a figure may be of another column than its label says; a column of remarks is none. */
function besideOthers(r: Read, text: string): string | undefined {
  const from = text.lastIndexOf('\n', r.start) + 1;
  const end = text.indexOf('\n', r.end);
  const cells = cellsOf(text.slice(from, end < 0 ? undefined : end));
  if (cells.length < 3) return undefined;
  const above = text
    .slice(Math.max(0, from - 3000), from)
    .split('\n')
    .slice(0, -1);
  const first = above.findLastIndex((line) => cellsOf(line).length < 2 && !/\|[ \t:|-]+\|/.test(line)) + 1;
  const remarked = cellsOf(above[first] ?? '').some((cell) => remarks.test(cell));
  return cells.length > (remarked ? 3 : 2) ? 'its row has several cells: look which it belongs to' : undefined;
}
/** The cells of a line that say something by themselves: no dashes, no units. */
const cellsOf = (line: string) =>
  line
    .slice(0, 600)
    .split(/[|\t]| {3,}/)
    .map((cell) => cell.trim())
    .filter((cell) => /[^\s:-]/.test(cell) && !/^(?:mm|g|v|a|ma|mb|s|pcs|v ?\/ ?a)$/.test(cell));

const doubted = (r: Read, why: string): Read => (r.doubt === 'sure' ? { ...r, doubt: 'likely', why } : r);
const ofOneOf = (r: Read): Read =>
  r.doubt === 'sure'
    ? { ...r, doubt: 'likely', why: 'the page sells several versions: ask which', onlyOfVersions: true }
    : r;
/** What is said of one version is sure where every version that the page speaks of has it. */
const versioned = (r: Read, _: number, all: Read[]): Read => {
  if (r.version === undefined) return r;
  const same = all.filter((o) => key(o) === key(r) && o.value === r.value).map((o) => o.version);
  return all.every((o) => o.version === undefined || same.includes(o.version)) ? r : ofOneOf(r);
};

/** "v1: first lot, F722": of a revision that is not the one on sale. */
function olderRevision(r: Read, text: string): Read {
  const line = text.slice(text.lastIndexOf('\n', r.start) + 1, r.start + 1);
  const of = /^[ \t*-]{0,4}(?:rev(?:ision)?\.? ?|v)(\d(?:\.\d)?)[ \t]{0,3}[:=-]/.exec(line)?.[1];
  if (!of) return r;
  const current = /\b(?:current|newest|latest|this) (?:revision|version)[ :]{1,3}v?(\d(?:\.\d)?)/.exec(text)?.[1];
  return current === of ? r : doubted(r, `said of revision ${of}`);
}

/** Which board of a stack the line belongs to, by the last heading above it or by its own words. */
function sectionAt(text: string, r: Read): 'controller' | 'esc' | 'stack' | null {
  const before = r.line.slice(0, r.line.indexOf(r.quote.toLowerCase()) + 1) || r.line;
  if (r.field === 'massG' || r.field === 'lengthMm' || r.field === 'widthMm') {
    const own =
      /(?:\b(fc|flight controller|controller) (?:board|weight|size|mass)|\b(esc) (?:board|weight|size|mass)|\b(total|stack|together|both|set)\b)[^,;|]{0,16}$/.exec(
        `${before}${r.quote.toLowerCase()}`.replace(/[\d.,x ]+(?:mm|g|grams)\b.*$/, ''),
      );
    if (own?.[1]) return 'controller';
    if (own?.[2]) return 'esc';
    if (own) return 'stack';
  }
  const above = text.slice(Math.max(0, r.start - 1500), text.lastIndexOf('\n', r.start) + 1).split('\n');
  for (const line of above.reverse()) {
    const head = line.replace(/[^a-z0-9 -]/g, ' ').trim();
    if (head.length === 0 || head.length > 28 || /\d ?(?:a|v|mm|g|s)\b/.test(head)) continue;
    if (/^(?:both|stack|whole stack|complete stack|the stack|together|general|common)$/.test(head)) return 'stack';
    if (/^(?:fc|(?:flight )?controller)(?: board)?$/.test(head)) return 'controller';
    if (/^(?:escs?|4 ?in ?1(?: esc)?|speed controllers?)(?: board)?$/.test(head)) return 'esc';
  }
  return null;
}

/** Of a stack the whole counts for mass, and the larger board for length and width; what is said of one board of it is in doubt. */
function sectioned(all: Read[], text: string): Read[] {
  const fields = ['massG', 'lengthMm', 'widthMm'];
  const several = fields.filter((f) => new Set(all.filter((r) => r.field === f).map((r) => r.value)).size > 1);
  if (several.length === 0) return all;
  const at = new Map(all.filter((r) => several.includes(r.field)).map((r) => [r, sectionAt(text, r)] as const));
  const whole = all.some((r) => r.field === 'massG' && at.get(r) === 'stack');
  return all.map((r) => {
    const of = at.get(r);
    if (of !== 'controller' && of !== 'esc') return r;
    const piece = of === 'esc' ? 'the ESC' : 'the controller';
    if (r.field === 'massG')
      return whole ? doubted(r, `of ${piece} alone; the stack's own is given too`) : doubted(r, `of ${piece} alone`);
    const larger = Math.max(...all.filter((o) => o.field === r.field).map((o) => Number(o.value)));
    return doubted(r, r.value === larger ? `of ${piece}, the larger board of the stack` : `of ${piece} alone`);
  });
}

/** Lines that say another thing of three figures each are of as many boards: what only one of them says is no surer for that. */
function ofSeveral(readings: Read[], text: string): Read[] {
  const lineOf = (r: Read) => text.lastIndexOf('\n', r.start);
  const against = new Map<number, Set<string>>();
  for (const r of readings)
    if (r.doubt === 'contradicted') against.set(lineOf(r), (against.get(lineOf(r)) ?? new Set()).add(key(r)));
  const lines = new Set([...against].flatMap(([line, keys]) => (keys.size >= 3 ? [line] : [])));
  return lines.size < 2
    ? readings
    : readings.map((r) => (lines.has(lineOf(r)) ? doubted(r, 'the page lists several boards: ask which') : r));
}

const key = (r: Reading) => (r.field === 'regulators' ? `regulators ${String(r.value).split('@')[0]}` : r.field);
const mayBeMany = new Set(['takenPort', 'massIncludes']);

/** A field that has one value but is given two is marked on both; what is in doubt already does not unsettle what is not. */
function contradicted(readings: Read[]): Read[] {
  const said = new Map<string, Set<Reading['value']>>();
  for (const r of readings)
    if (r.doubt === 'sure' && !mayBeMany.has(r.field)) said.set(key(r), (said.get(key(r)) ?? new Set()).add(r.value));
  return readings.map((r) => {
    const all = said.get(key(r));
    return r.doubt === 'sure' && all && all.size > 1
      ? { ...r, doubt: 'contradicted', why: `the text says ${[...all].slice(0, 3).join(' and ')}` }
      : r;
  });
}
