import { isUnknown, type AnyFigure, type Origin } from './figure';

type Known = Exclude<AnyFigure, { unknown: true }>;
export type Word = Omit<Known, 'also'>;

const mostWords = 12;

/** Who is believed before whom, in words: shown wherever several words stand beside each other. */
export const ruleOfWords =
  "Of several words on one figure that of this very revision counts before another one's; then what you measured, what others measured, the manual, what is printed on the board, a report, a claim; then the newest. Reports that differ make a range.";

const ranks: Record<Origin, number> = { measured: 6, tested: 5, manual: 4, print: 3, report: 2, claim: 1, assumed: 0 };

function withoutOthers(figure: Known): Word {
  const { also: _, ...word } = figure;
  return word;
}

/** Above nought where `a` is believed before `b`. */
function believed(a: Word, b: Word): number {
  const revision = Number(!a.ofRevision) - Number(!b.ofRevision);
  return revision || ranks[a.origin] - ranks[b.origin] || (a.seen ?? '').localeCompare(b.seen ?? '');
}

/** All single words of a figure, without what was made of several of them. */
function wordsOf(figure: AnyFigure | undefined): Word[] {
  if (!figure || isUnknown(figure)) return [];
  return [withoutOthers(figure), ...(figure.also ?? [])].filter((w) => w.reports === undefined);
}

/** The figure with `first` counting and the others beside it. */
function led(first: Word, others: readonly Word[]): Known {
  const beside = others.filter((w) => w !== first).slice(0, mostWords);
  return (beside.length > 0 ? { ...first, also: beside } : first) as Known;
}

/** The same speaker's word from the same source, put right: the older one goes. */
const withoutCorrected = (words: readonly Word[], next: Word) =>
  words.filter((w) => w.origin !== next.origin || w.source !== next.source || w.ofRevision !== next.ofRevision);

/**
 * The figure as `next` says it from now on. What stood there stays beside it as another word, with what stood beside that, unless it is the same speaker's word put right.
 * Unknown is nobody's word: what was known then stays nowhere. Where the rule would have another word count, this one is marked as chosen.
 */
export function withWord(now: AnyFigure | undefined, next: AnyFigure): AnyFigure {
  if (isUnknown(next) || !now || isUnknown(now)) return next;
  const others = withoutCorrected(wordsOf(now), next).map(unchosen);
  return led(
    others.some((w) => believed(w, next) > 0) ? { ...withoutOthers(next), chosen: true } : withoutOthers(next),
    others,
  );
}

/** The figure with one more word on it; the rule says which counts, unless somebody has chosen one. */
export function heard(now: AnyFigure | undefined, next: AnyFigure): AnyFigure {
  if (isUnknown(next)) return now ?? next;
  if (!now || isUnknown(now)) return next;
  const words = [withoutOthers(next), ...withoutCorrected(wordsOf(now), next)];
  return byRule(words);
}

/** The word that counts of several by the rule, with the others beside it. */
function byRule(words: readonly Word[]): Known {
  const chosen = words.find((w) => w.chosen);
  if (chosen) return led(chosen, words);
  const first = words.reduce((best, w) => (believed(w, best) > 0 ? w : best));
  const range = rangeOf(words.filter((w) => w.origin === first.origin && !w.ofRevision === !first.ofRevision));
  return range ? led(range, words) : led(first, words);
}

/** What several people's reports or measurements add up to: from the least to the most of them. */
function rangeOf(words: readonly Word[]): Word | null {
  const { origin } = words[0]!;
  if (words.length < 2 || (origin !== 'report' && origin !== 'tested')) return null;
  const ends = words.flatMap((w) => {
    const { low, high } = w as { low?: number; high?: number };
    if (low !== undefined && high !== undefined) return [low, high];
    return 'value' in w && typeof w.value === 'number' ? [w.value] : [];
  });
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  if (ends.length < words.length || low === high) return null;
  const seen = words.map((w) => w.seen ?? '').reduce((a, b) => (a > b ? a : b));
  return { low, high, origin, reports: words.length, ...(seen ? { seen } : {}) } as Word;
}

const unchosen = ({ chosen: _, ...word }: Word): Word => word as Word;

/** The figure with the word at `at` of those beside it counting instead; the same figure where there is none. */
export function countingWord(now: AnyFigure, at: number): AnyFigure {
  if (isUnknown(now)) return now;
  const next = now.also?.[at];
  if (!next) return now;
  const others = [withoutOthers(now), ...now.also!.filter((_, i) => i !== at)]
    .filter((w) => w.reports === undefined)
    .map(unchosen);
  const word = unchosen(next);
  // Back to what the rule says anyway: then nobody has chosen.
  const ruled = withoutOthers(byRule([word, ...others]));
  return led(JSON.stringify(ruled) === JSON.stringify(word) ? word : ({ ...word, chosen: true } as Word), others);
}
