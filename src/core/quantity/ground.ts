import { figureWords, originOf, type AnyFigure, type NumberFigure, type Origin } from './figure';

/** A figure that a verdict leaned on, ready to be shown: for "says who?". */
export interface Ground {
  what: string;
  figure: string;
  origin: Origin | 'unknown';
  source?: string;
  seen?: string;
}

/** `unit` follows the number; empty for words. */
export function ground(what: string, figure: AnyFigure, unit = ''): Ground {
  return {
    what,
    figure: figureWords(figure, unit),
    origin: originOf(figure as NumberFigure),
    ...('source' in figure && figure.source ? { source: figure.source } : {}),
    ...('seen' in figure && figure.seen ? { seen: figure.seen } : {}),
  };
}
