import { boardSchema, type Board } from '../records/board';
import { figureWords, type Origin } from '../quantity/figure';
import { valueFromText } from './figure-text';
import { boardFigures, type BoardFigure } from '../figures/board-figures';
import { railFigures } from '../figures/rail-figures';
import { withPrice } from './typed-offer';

/** A board's figures and those of its regulators by name. */
export function figureOf(board: Board, field: string): BoardFigure | undefined {
  return [...boardFigures, ...railFigures(board)].find((f) => f.field === field);
}

/**
 * The board with a figure, or its price (`offers`), as somebody typed it, and what stood there before in its history; null when the text is no value of this figure.
 * `said`: whose word it is, the day, and where it was read.
 */
export function withTyped(
  board: Board,
  field: string,
  typed: string,
  said: { origin: Origin; seen: string; source?: string | undefined; who: string },
): Board | null {
  if (field === 'offers') return withPrice(board, typed, said.seen);
  const figure = figureOf(board, field);
  const value = figure && valueFromText(typed, figure.words ?? []);
  if (!value) return null;
  const now = figure.get(board);
  const { origin, seen, source } = said;
  const next = 'unknown' in value ? value : { ...value, origin, seen, ...(source ? { source } : {}) };
  const entry = {
    when: seen,
    field: field.slice(0, 40),
    before: figureWords(now, figure.unit),
    after: figureWords(next as never, figure.unit),
    who: said.who,
  };
  const changed = figure.set(board, next as never);
  const made = entry.before === entry.after ? changed : { ...changed, history: [...board.history, entry].slice(-500) };
  return boardSchema.safeParse(made).success ? made : null;
}
