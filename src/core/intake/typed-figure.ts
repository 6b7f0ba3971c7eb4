import { boardSchema, type Board } from '../records/board';
import { figureWords, type AnyFigure, type Origin } from '../quantity/figure';
import { countingWord, withWord } from '../quantity/word';
import { valueFromText } from './figure-text';
import { boardFigures, type BoardFigure } from '../figures/board-figures';
import { circuitFigures } from '../figures/circuit-figures';
import { railFigures } from '../figures/rail-figures';
import { withPrice } from './typed-offer';

/** A board's figures, those of its regulators, and what its circuit leaves open, by name. */
export function figureOf(board: Board, field: string): BoardFigure | undefined {
  return [...boardFigures, ...railFigures(board), ...circuitFigures(board)].find((f) => f.field === field);
}

/**
 * The board with a figure, or its price (`offers`), as somebody typed it, and what stood there before in its history; null when the text is no value of this figure.
 * `said`: whose word it is, the day, where it was read, and the currency of a price that names none.
 */
export function withTyped(
  board: Board,
  field: string,
  typed: string,
  said: { origin: Origin; seen: string; source?: string | undefined; who: string; currency?: string },
): Board | null {
  if (field === 'offers') return withPrice(board, typed, said.seen, said.currency);
  const figure = figureOf(board, field);
  const value = figure && valueFromText(typed, figure.words ?? [], figure.unit);
  if (!value) return null;
  const now = figure.get(board);
  const { origin, seen, source } = said;
  const word = 'unknown' in value ? value : { ...value, origin, seen, ...(source ? { source } : {}) };
  // The same value with another speaker puts right whose word it is.
  const others = now && 'also' in now && now.also ? { also: now.also } : {};
  const sameValue = figureWords(now) === figureWords(word as AnyFigure);
  const made = sameValue ? { ...word, ...others } : withWord(now, word as AnyFigure);
  return placed(board, figure, made as AnyFigure, seen, said.who);
}

/** The board with another of the words on a figure counting, `at` in their order; null when there is none. */
export function withWordCounting(board: Board, field: string, at: number, seen: string): Board | null {
  const figure = figureOf(board, field);
  const now = figure?.get(board);
  if (!figure || !now) return null;
  const next = countingWord(now, at);
  return next === now ? null : placed(board, figure, next, seen, 'another word counts');
}

function placed(board: Board, figure: BoardFigure, next: AnyFigure, seen: string, who: string): Board | null {
  const now = figure.get(board);
  const entry = {
    when: seen,
    field: figure.field.slice(0, 40),
    before: figureWords(now, figure.unit),
    after: figureWords(next, figure.unit),
    who,
  };
  const changed = figure.set(board, next as never);
  const made = entry.before === entry.after ? changed : { ...changed, history: [...board.history, entry].slice(-500) };
  return boardSchema.safeParse(made).success ? made : null;
}
