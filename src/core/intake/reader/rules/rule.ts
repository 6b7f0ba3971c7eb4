import type { SpecField } from '../../../figures/spec-field';
import type { Reading } from '../../reading';

export interface Found {
  field: SpecField;
  value: Reading['value'];
  /** Why there is doubt; without it the text names the field by its own word. */
  why?: string;
  /** A piece of what was matched that is itself the value, in the words of the original. */
  words?: string;
}

/** One way of the trade to write something. `read` may refuse by returning nothing; the groups of the match come with it. */
export interface Rule {
  at: RegExp;
  read: (groups: (string | undefined)[], around: Around) => Found[];
}

/** The text before and after a figure on its own line, and the piece of the line with both. */
export interface Around {
  readonly before: string;
  readonly after: string;
  readonly line: string;
  readonly text: string;
}

// Every repeat is bounded, so that no text can make a rule run longer than its length.
export const W = '[ \\t]{0,6}';
/** The unit of a current, behind its number. */
export const AMP = 'a(?:mp(?:ere)?s?)?(?:\\b|(?=x ?4))';
export const N = '(\\d{1,5}(?:[.,]\\d{1,4})?)';
export const MM = '(?:mm|millimet(?:re|er)s?)';
export const rule = (pattern: string, read: Rule['read']): Rule => ({ at: new RegExp(pattern, 'g'), read });
/** "7,4" and "7.4" are the same number. */
export const num = (s: string | undefined) => Number((s ?? '').replace(',', '.'));
export const one = (field: SpecField, value: Reading['value'], why?: string): Found[] => [
  { field, value, ...(why ? { why } : {}) },
];
export const sane = (field: SpecField, n: number, low: number, high: number, why?: string): Found[] =>
  n >= low && n <= high ? one(field, n, why) : [];

/** Does the text say that what it names is not there? */
export function denied({ before, after }: Pick<Around, 'before' | 'after'>): boolean {
  // "baro no  osd yes": the no is the value of what stands before it. "w/ osd no baro": it is about what follows.
  return (
    (deniedBefore(before) && !(valueFollows.test(after) && noOfAnother.test(before))) ||
    (deniedAfter(after) && !noOfNext.test(after))
  );
}

const FEATURE =
  '(?:baro(?:meter)?|osd|flash|blackbox|log(?:ging)?|memory|compass|magnetometer|overlay|led|usb|esc|bec|9v)';
const noOfAnother = new RegExp(`\\b(?:${FEATURE}[ :]{1,3}|[a-z]{2,12}[ \\t]{0,3}[:=][ \\t]{0,3})no[ \\t]{1,8}$`);
const noOfNext = new RegExp(`^[ \\t]{0,3}[|,;/]?[ \\t]{0,3}no ${FEATURE}\\b(?![ :]{1,3}(?:yes|no|y|n)\\b)`);
const valueFollows = /^[ \t]{0,3}[:=]?[ \t]{0,3}(?:yes|no|none|y|n|✓|✗)\b/;

const deniedBefore = (before: string) =>
  /^[ \t]{0,3}✗[ \t]{0,3}$/.test(before) ||
  /(?:\b(?:no|not|not for|without|w\/o|lacks?|lacking|missing|left out|leaves? out|omit(?:s|ted)?|drop(?:s|ped)|remov(?:es|ed)|skip(?:s|ped)|did away with|does away with|minus|less|neither|nor(?: (?:is|are) there)?|never|zero|except|excluding|(?<=^|[.;:\n] ?)add)|n't(?: (?:have|got|take|support|accept|expect|include|look for|fit|need|like|come with)){0,2}|\b(?:do|does|is|can) ?not(?: (?:have|take|support|accept|expect|include|look for|fit|need|come with)){1,2}|\bcannot(?: (?:take|use))?|\bnot (?:compatible with|suitable for|meant for)|\bneither (?:an? |the )?[a-z -]{2,20} (?:n?or)|\bnone (?:of them )?(?:with|has|have)|\bno [a-z]{2,12} (?:or|and no|nor)|\b(?:not included|without|missing|lacks?|not fitted|(?:do|does) not have|has not|not on (?:it|the board|this board))[ \t]{0,3}:(?:[^.\n:]{0,50},)?)[ \t]{1,3}(?:an? |the |any |analog(?:ue)? |onboard |on-board |built-in |integrated |separate )*$/.test(
    before,
  );

const deniedAfter = (after: string) =>
  /^[ \t]{0,6}(?:chip|sensor|module|flash|memory|socket|plug|input|output|function|footprint)?(?:[ \t]{0,6}(?:\([a-z0-9]{0,8}\))?)(?:[ \t]{0,6}[:=|?-]){0,3}[ \t]{0,6}(?:option )?(?:(?:is |are |was )?(?:(?:footprint|place|pads?) only|footprint(?=[ \t]*(?:$|[\n,;|]))|not stuffed|unstuffed|dnp\b|no(?!\.? ?\d{1,3}\b(?! ?(?:mb|g|mm|v|a|s|x|uarts?)\b))|none|nope|n\/a|n(?=[ \t]*(?:$|\n|[,;|]))|without|absent|missing|unpopulated|empty|removed|dropped|gone|left out|0(?=[ \t]*(?:$|\n|[,;|]))|not (?:there|fitted|included|supported|available|present|populated|installed|on ?board|equipped|mounted)|isn't|not)\b(?! sure| only)|isn't (?:included|fitted|there|present)|✗|x(?=[ \t]*(?:$|\n|[,;|]))|-(?=[ \t]*(?:$|\n|\|)))/.test(
    after,
  ) ||
  /^(?: [a-z0-9]{1,10}){0,6} ?\?[ \t]{0,3}(?:a\d{0,2}: ?)?(?:sorry|unfortunately|leider|no\b|not\b|none\b|nope|it (?:has|does) not|there is (?:not|none))/.test(
    after,
  );

/** Words by which a text leaves open whether this very board has what it names. */
const leavesOpen =
  /\b(?:optional(?:ly)?|options?|some (?:versions?|boards|batches)|depend(?:s|ing) on|external|separate(?:ly)?|upgrade|add-on|(?:pro|plus|max) (?:version|only|model)|on the (?:pro|plus|max)(?: version| model)?|with or without|please choose|choose|sold (?:apart|separately)|on request|can be had|can be ordered|either)\b/;
const hedged =
  /\b(?:i think|should be|should weigh|said to|maybe|perhaps|probably|i guess|not sure|supposedly|target|might be|i believe|allegedly)\b/;
const ofBefore = /\b(?:was|were|formerly|previously|used to (?:be|have)|the old|last one had|older)\b/;

/** Why what is said here is in doubt, if it is. */
export function openness(around: Around): string | undefined {
  const clause = clauseOf(around);
  const open = leavesOpen.exec(clause)?.[0];
  if (open) return `the text says "${open}": ask whether this very board has it`;
  const unsure = hedge(around);
  if (unsure) return unsure;
  if (/^ ?or (?:even |maybe |perhaps )?\d/.test(around.after) || /\d ?or $/.test(around.before))
    return 'the text says "or"';
  if (/^ ?\(?\?\)?(?= ?(?:[,;.)]|$))/.test(around.after)) return 'the text puts a question mark behind it';
  const past = ofBefore.exec(clauseOf({ ...around, after: '' }))?.[0];
  return past && `the text says "${past}": of an earlier one`;
}

/** A "no" somewhere in the sentence, which may be meant for what is named in it. */
export function unsettled(around: Around): string | undefined {
  const no = /\b(?:no|not|none|nothing|without|neither|nor|never)\b(?! only)|n't\b/.exec(
    `${sentenceOf(around)}${/^[^.?!]{0,3}\?/.test(around.after) ? around.after.slice(0, 24) : ''}`,
  )?.[0];
  return no && `there is a "${no}" in its sentence: look whether the board has it`;
}

/** The words by which somebody says that he is not sure. */
export function hedge(around: Around): string | undefined {
  const words = hedged.exec(sentenceOf(around))?.[0];
  return words && `the text says "${words}"`;
}

/** The words around a figure up to the next comma, bracket or end of a sentence. */
function clauseOf({ before, text, after }: Around): string {
  const a = Math.max(...[', ', '; ', '. ', '|', '(', ')'].map((end) => before.lastIndexOf(end)));
  const b = /[,;|)]|\. |$/.exec(after)!.index;
  return `${before.slice(a < 0 ? 0 : a)}${text}${after.slice(0, b)}`;
}

export function sentenceOf({ before, text, after }: Around): string {
  const a = Math.max(before.lastIndexOf('. '), before.lastIndexOf('; '), before.lastIndexOf('|'));
  const b = /[;|]|\. |$/.exec(after)!.index;
  return `${before.slice(a + 1)}${text}${after.slice(0, b)}`;
}

const another =
  /\b(?:(?:my|the|our|its|your) (?:old|previous|last|former) [^.;:\n]{0,24}|(?<=^|[.;\n] ?)old [a-z][^.\n]{0,24}:(?:[^.\n]|\.\d){0,80}|(?:(?:the|an) (?:earlier|first|last|previous)|\d{4}) (?:lot|batch|run|version) [^.;:\n]{0,24}|(?:others|other boards|competitors?|most boards|predecessor)\b(?:(?!\b(?:ours?|this|we|new)\b)[^.;:\n]){0,30})$/;

/** Words of a running sentence; the unit of a current is none of them. */
const running =
  /(?<![\d.] ?)\ba\b|\b(?:the|an|is|are|it|its|that|this|of|has|have|was|were|than|from|you|we|i|my|our|there|when|others?|not|no|without|never|neither|on|by|for|der|die|das|la|le|el|il)\b/;
/** "Barometer: no" is said behind a label, not in a sentence. */
const bareNo = /[:=|-][ \t]{0,3}(?:no|not [a-z]{3,12})\b(?=[ \t]{0,3}(?:$|[,;|)]))/g;

/**
 * Does it stand in a running sentence, not in a list or behind a label? What does is read right less often: of what the reader called sure on three rounds of pages that it had not seen
 * 95 in a hundred against 99 (docs/method-reader.md).
 */
export function inSentence(around: Around): boolean {
  return running.test(sentenceOf(around).replace(bareNo, ''));
}

/** Is the subject of the sentence so far another board? */
export function ofAnotherBoard({ before }: Pick<Around, 'before'>): boolean {
  return another.test(before);
}
