import type { Reading } from '../reading';

/** A reading with what is known of the place where it stood. */
export interface Read extends Reading {
  /** What was around it, in the words of the rules. */
  line: string;
  /** The rest of its line, in the words of the rules. */
  after: string;
  /** The sentence is about another board. */
  ofAnother: boolean;
  inSentence: boolean;
}
