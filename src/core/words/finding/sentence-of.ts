import type { Finding, RungState } from '../../rungs/finding';
import type { Says } from '../../rungs/says/says';
import { climbWords } from './climb-words';
import { comfortWords } from './comfort-words';
import { doubtWords } from './doubt-words';
import { frameWords } from './frame-words';
import { limitWords } from './limit-words';
import { loadWords } from './load-words';
import { motorWords } from './motor-words';
import { packWords } from './pack-words';
import { setWords } from './set-words';
import { unmetWords } from './unmet-words';
import { wiredWords } from './wired-words';
import type { WordsOf } from './words-of';

const words: WordsOf<Says> = {
  ...frameWords,
  ...packWords,
  ...motorWords,
  ...setWords,
  ...wiredWords,
  ...unmetWords,
  ...loadWords,
  ...doubtWords,
  ...limitWords,
  ...comfortWords,
  ...climbWords,
};

/** What tells most of a rung; empty where there is none. */
export function firstSentence(rung: { findings: readonly Finding[] } | null | undefined): string {
  const first = rung?.findings[0];
  return first ? sentenceOf(first) : '';
}

/** A finding in one English sentence with its figures in it. */
export function sentenceOf({ says, state }: Pick<Finding, 'says' | 'state'>): string {
  return (words[says.code] as (says: Says, state: RungState) => string)(says, state);
}
