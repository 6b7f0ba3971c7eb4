import { csvLines } from '../records/csv-lines';
import type { Board } from '../records/board';
import type { Entry } from '../records/build';
import { boardFigures } from '../figures/board-figures';
import { railFigures } from '../figures/rail-figures';
import { figureWords } from '../quantity/figure';
import { withWord } from '../quantity/word';

/** The voltage scale that makes the board show what the meter reads: stated scale x true volts / shown volts. */
export function voltageScale(stated: number, trueVolts: number, shownVolts: number): number {
  return (stated * trueVolts) / shownVolts;
}

/** The current scale in millivolts an amp: stated scale x shown amps / true amps, since a larger scale shows fewer amps. */
export function currentScale(stated: number, trueAmps: number, shownAmps: number): number {
  return (stated * shownAmps) / trueAmps;
}

/** The board as a reading of the logbook would have it: the figure measured, what stood there before in the history. Null where the reading is of no figure. */
export function withReading(board: Board, entry: Entry): Board | null {
  const { reading } = entry;
  if (!reading?.field) return null;
  const said = {
    value: reading.value,
    origin: 'measured' as const,
    source: `logbook${reading.instrument ? `, ${reading.instrument}` : ''}${entry.note ? `: ${entry.note}` : ''}`.slice(
      0,
      400,
    ),
    seen: entry.when,
  };
  const note = (before: string, after: string): Board['history'][number] => ({
    when: entry.when,
    field: reading.field!.slice(0, 40),
    before,
    after,
    who: 'measured, from the logbook',
  });
  const rail = /^rails\[(\d+)\]\.source\.(ratedAmps|outVolts|dropOutVolts)$/.exec(reading.field);
  if (rail) {
    const at = board.rails[Number(rail[1])];
    if (at?.source.kind !== 'regulator') return null;
    const key = rail[2] as 'ratedAmps' | 'outVolts' | 'dropOutVolts';
    const measured = withWord(at.source[key], said);
    const rails = board.rails.map((r) =>
      r === at ? ({ ...r, source: { ...r.source, [key]: measured } } as typeof r) : r,
    );
    return {
      ...board,
      rails,
      history: [...board.history, note(figureWords(at.source[key]), String(reading.value))].slice(-500),
    };
  }
  const figure = boardFigures.find((f) => f.field === reading.field);
  if (!figure) return null;
  return {
    ...figure.set(board, withWord(figure.get(board), said) as never),
    history: [
      ...board.history,
      note(figureWords(figure.get(board), figure.unit), figureWords(said, figure.unit)),
    ].slice(-500),
  };
}

/** The figures of a board that a reading can be of. */
export function measurable(board: Board): { field: string; says: string; unit: string }[] {
  return [...boardFigures, ...railFigures(board)]
    .filter((f) => f.logged && f.get(board))
    .map(({ field, says, unit }) => ({ field, says, unit }));
}

export function logCsv(log: readonly Entry[]): string {
  return csvLines(
    ['date', 'about', 'kind', 'value', 'unit', 'instrument', 'note'],
    log.map((e) => [
      e.when,
      e.about,
      e.kind,
      e.reading?.value ?? '',
      e.reading?.unit ?? '',
      e.reading?.instrument ?? '',
      e.note,
    ]),
  );
}

export function logMarkdown(log: readonly Entry[]): string {
  return log
    .map(
      (e) =>
        `- ${e.when}, ${e.about}: ${e.kind}${e.reading ? `, ${e.reading.value} ${e.reading.unit}${e.reading.instrument ? ` (${e.reading.instrument})` : ''}` : ''}${e.note ? `. ${e.note}` : ''}`,
    )
    .join('\n');
}

/** When all of an order has arrived: the day it was ordered plus the slowest parcel. */
export function arrivesOn(orderedOn: string, days: number): string {
  return new Date(Date.parse(orderedOn) + days * 86_400_000).toISOString().slice(0, 10);
}
