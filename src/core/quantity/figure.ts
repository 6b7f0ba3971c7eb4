import type { FlagFigure, NumberFigure, Origin } from './figure-schema';
import type { Place } from './place';

export type { FlagFigure, NumberFigure, Origin };

export interface Interval {
  low: number;
  high: number;
}

export function isUnknown(figure: object): figure is { unknown: true; source?: string } {
  return 'unknown' in figure;
}

/** Both ends of what the figure may be; an unknown one may be anything. */
export function interval(figure: NumberFigure): Interval {
  if ('value' in figure) return { low: figure.value, high: figure.value };
  if ('low' in figure) return { low: figure.low, high: figure.high };
  return { low: -Infinity, high: Infinity };
}

/** A number that is known to be just this. */
export function exactly(n: number): Interval {
  return { low: n, high: n };
}

/** True when the figure pins down at least one finite end. */
export function isKnown(figure: NumberFigure | undefined): figure is Exclude<NumberFigure, { unknown: true }> {
  return figure !== undefined && !isUnknown(figure);
}

export function originOf(
  figure: NumberFigure | FlagFigure | { origin: Origin } | { unknown: true },
): Origin | 'unknown' {
  return 'origin' in figure ? figure.origin : 'unknown';
}

/** A figure made by one of Rung's own named rules. */
export function assumed(value: number, source: string): NumberFigure {
  return { value, origin: 'assumed', source };
}

/** A figure after somebody typed over it, empty for unknown: what is typed counts as a manual's word, and what was said of the number before goes with that number. */
export function typedOver(figure: NumberFigure, value: number | null): NumberFigure {
  if (value === null) return { unknown: true };
  return 'value' in figure && figure.value === value ? figure : { value, origin: 'manual' };
}

interface Word<T> {
  value: T;
  origin: Origin;
  source?: string | undefined;
  seen?: string | undefined;
  place?: Place | undefined;
  ofRevision?: string | undefined;
  chosen?: true | undefined;
  reports?: number | undefined;
  also?: Omit<Word<T>, 'also'>[] | undefined;
}

/** Any figure of a file: a number, yes or no, or a word. */
export type AnyFigure = NumberFigure | FlagFigure | Word<string> | { unknown: true; source?: string | undefined };

/** A figure as a person reads it, and may type it. `unit` follows the number. */
export function figureWords(f: AnyFigure | undefined, unit = ''): string {
  if (!f || isUnknown(f)) return 'unknown';
  const u = unit ? ` ${unit}` : '';
  if ('low' in f) return `${f.low} to ${f.high}${u}`;
  if (typeof f.value === 'boolean') {
    if (f.value) return 'yes';
    return 'no';
  }
  return `${f.value}${u}`;
}
