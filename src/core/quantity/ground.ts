import type { Place } from './place';
import { figureWords, originOf, type AnyFigure, type NumberFigure, type Origin } from './figure';

/** A figure that a verdict leaned on, ready to be shown: for "says who?". */
export interface Ground {
  what: string;
  figure: string;
  /** `plan`: the buyer says so in the build. */
  origin: Origin | 'unknown' | 'plan';
  source?: string;
  seen?: string;
  /** Where in a source of the board. */
  place?: Place;
  /** What others say of it, which did not count. */
  also?: Ground[];
}

/** `unit` follows the number; empty for words. */
export function ground(what: string, figure: AnyFigure, unit = ''): Ground {
  return {
    what,
    figure: figureWords(figure, unit),
    origin: originOf(figure as NumberFigure),
    ...('source' in figure && figure.source ? { source: figure.source } : {}),
    ...('seen' in figure && figure.seen ? { seen: figure.seen } : {}),
    ...('place' in figure && figure.place ? { place: figure.place } : {}),
    ...('also' in figure && figure.also ? { also: figure.also.map((word) => ground(what, word, unit)) } : {}),
  };
}
