import { isUnknown, type AnyFigure } from './figure';

type Known = Exclude<AnyFigure, { unknown: true }>;
type Word = Omit<Known, 'also'>;

const mostWords = 12;

function withoutOthers(figure: Known): Word {
  const { also: _, ...word } = figure;
  return word;
}

/**
 * The figure as `next` says it from now on. What stood there stays beside it as another word, with what stood beside that, unless it is the same speaker's word put right.
 * Unknown is nobody's word: what was known then stays nowhere.
 */
export function withWord(now: AnyFigure | undefined, next: AnyFigure): AnyFigure {
  if (isUnknown(next) || !now || isUnknown(now)) return next;
  const corrected = now.origin === next.origin && now.source === next.source;
  const others = [...(corrected ? [] : [withoutOthers(now)]), ...(now.also ?? [])].slice(0, mostWords);
  return others.length > 0 ? ({ ...withoutOthers(next), also: others } as AnyFigure) : next;
}

/** The figure with the word at `at` of those beside it counting instead; the same figure where there is none. */
export function countingWord(now: AnyFigure, at: number): AnyFigure {
  if (isUnknown(now)) return now;
  const next = now.also?.[at];
  if (!next) return now;
  const others = [withoutOthers(now), ...now.also!.filter((_, i) => i !== at)];
  return { ...next, also: others } as AnyFigure;
}
