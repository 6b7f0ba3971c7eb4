import { originOf, type FlagFigure, type NumberFigure, type Origin } from '../model/figure';

/** A figure that a verdict leaned on, ready to be shown: for "says who?". */
export interface Ground {
  what: string;
  figure: string;
  origin: Origin | 'unknown';
  source?: string;
  seen?: string;
}

type AnyFigure = NumberFigure | FlagFigure | { value: string; origin: Origin; source?: string; seen?: string } | { unknown: true; source?: string };

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

export function figureWords(figure: AnyFigure, unit = ''): string {
  if ('unknown' in figure) return 'unknown';
  if ('low' in figure) return `${figure.low} to ${figure.high} ${unit}`.trim();
  if (typeof figure.value === 'boolean') return figure.value ? 'yes' : 'no';
  return `${figure.value} ${unit}`.trim();
}
