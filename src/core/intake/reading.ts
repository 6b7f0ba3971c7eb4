import { boardFigures } from '../figures/board-figures';
import type { SpecField } from '../figures/spec-field';

/** The unit of what a spec sheet says; empty for words, counts, and yes or no. */
export function specUnit(field: SpecField): string {
  return boardFigures.find((f) => f.spec === field)?.unit ?? '';
}

/** One figure understood in a text: where it stands, what it means, and how sure the reader is. */
export interface Reading {
  field: SpecField;
  value: number | string | boolean;
  /** Offsets into the text as it was pasted. */
  start: number;
  end: number;
  quote: string;
  /** sure: named by its own word; likely: read from its shape; contradicted: the text says something else as well. */
  doubt: 'sure' | 'likely' | 'contradicted';
  /** Which of several versions that the page sells, by the head of its column or row. */
  version?: string;
  /** It is doubted for being of one of several versions, and for nothing else. */
  onlyOfVersions?: true;
  /** Why there is doubt. */
  why?: string;
}
