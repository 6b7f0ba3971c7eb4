import { airOver } from './air-over';
import type { Read } from './read';

/** "BEC 9 V 2 A | no", "(OSD): no, only digital". */
const noBehind = /^[^|:=\n]{0,24}(?:[|:=]|[.]{2,3}|-)[ \t]{0,3}(?:no|none|not [a-z]+|n|✗|-)[ \t]{0,3}(?:$|[\n,;|.:(])/;

/** What else has figures of its own beside those of the board, and words by which they are held against each other. */
const ofElse =
  /\b(?:cameras?|vtx|video transmitter|motors?|prop(?:eller)?s?|servos?|gps|spares?|spare parts|bundle|replacements?|measured|nominal|recommended|compatible|works? with|old(?:er)?|previous|instead|rather than|others?|another|planned|preliminary|upcoming|claims?|claimed)\b/;

/** "30.5 x 47": a pattern of which the figure is only one side. */
const oneSideOf = (side: number, line: string) =>
  [...line.matchAll(/(?<![\d.,])(\d{2}(?:[.,]\d{1,2})?) ?(?:mm)? ?x ?(\d{2}(?:[.,]\d{1,2})?)(?!\d|[.,]\d)/g)].some(
    ([, a, b]) => a !== b && [a, b].some((s) => Number(s!.replace(',', '.')) === side),
  );

const escAmps = ['continuousAmps', 'burstAmps', 'burstSeconds'];

/** Limits that many things have: they are the board's where the line begins with their name. */
const named: Partial<Record<Read['field'], RegExp>> = {
  packMaxVolts: /^[^a-z]{0,4}(?:input|supply|battery|pack|power|voltage|vin|vbat|lipo|operating|cells?|max)/,
  sensorAmps: /^[^a-z]{0,4}(?:current|hall|sensor|meter|amp)/,
  burstAmps: /^[^a-z]{0,4}(?:esc|burst|peak|max|amps|current|continuous|[^|:]{2,24}: ?\d+ ?a)/,
  burstSeconds: /^[^a-z]{0,4}(?:esc|burst|peak|max|amps|current|continuous|time)/,
};

/**
 * Why a figure is only likely although it stands behind its own word: what was called sure of its kind on pages not seen before was wrong too often (docs/method-reader.md). undefined: it stays sure.
 */
export function oftenMistaken({ field, value, line, after, quote }: Read): string | undefined {
  if (value !== false && value !== 0 && noBehind.test(after)) return 'a no stands behind it in its line';
  const beside = ofElse.exec(line)?.[0];
  if (beside) return `"${beside}" stands in its line: it may be said of that`;
  if (field === 'patternMm' && oneSideOf(Number(value), line))
    return 'another side is given with it: it may be no square';
  if (field === 'massIncludes') return 'look which weight it is said of';
  if (named[field] && !named[field].test(line)) return 'its line does not begin with its name';
  if (field === 'storageMb' && /\d ?Mb\b/.test(quote)) return 'Mb may be megabits, eight of which are a megabyte';
  if (field === 'burstSeconds' && /\d ?S\b/.test(quote)) return 'S may be seconds or cells';
  if (!escAmps.includes(field)) return undefined;
  if (airOver.test(line)) return 'with air over it only';
  const before = line.slice(0, Math.max(0, line.indexOf(quote.toLowerCase())));
  if (/\b\d{1,2}(?:[.,]\d)? ?v\d?\b[^|\n]*$/.test(before)) return 'behind volts: it may be said of a regulator';
  if (/\bpads?\b|\bsensor\b|\b(?:compatible|works? with|for motors|over all|in all|total)\b/.test(line))
    return 'of pads, of all motors, or of what it goes with: look which';
  const all = new Set([...line.matchAll(/\b(\d{1,3}(?:[.,]\d)?) ?a\b/g)].map((m) => m[1]));
  return all.size > 2 ? 'several currents in one line: look which it is' : undefined;
}
