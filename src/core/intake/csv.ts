import Papa from 'papaparse';
import { openFile, readData } from '../records/file';
import { newestVersion } from '../records/words';
import { unsaidSupply } from './own-part';
import type { Fault } from '../records/fault';
import type { Board } from '../records/board';
import { idFrom } from '../records/words';
import { originSchema } from '../quantity/figure-schema';
import { isUnknown, type NumberFigure, type Origin } from '../quantity/figure';
import type { Peripheral } from '../records/peripheral';
import { valueFromText } from './figure-text';
import { boardFigures, type BoardFigure } from '../figures/board-figures';
import { newBoard } from '../records/new-board';

/** A row of a CSV file that cannot be read: which row (the first after the heading is 1), which column, what stands there, what was expected. */
export interface RowFault {
  row: number;
  column: string;
  found: string;
  expected: string;
}

/** Is told how much of how much is done: rows, or characters where rows are not counted yet. */
export type Tell = (done: number, total: number) => void;

export interface CsvRead<T> {
  items: { row: number; item: T }[];
  faults: RowFault[];
}

type Column<T> = {
  field: string;
  says: string;
  unit: string;
  words?: readonly string[];
  get: (t: T) => ReturnType<BoardFigure['get']>;
  set: (t: T, f: never) => T;
};

/** How boards or peripherals lie in rows: plain words, figures with their origin, and all else as JSON in the last column. */
interface Table<T> {
  format: 'rung-board' | 'rung-peripheral';
  plain: readonly (keyof T & string)[];
  figures: readonly Column<T>[];
  /** Without what the columns hold, so that the two together are the whole. */
  restOf: (t: T) => object;
  /** What a row starts from, before its figures. */
  start: (cells: Record<string, string>, rest: Record<string, unknown>) => T;
}

const { rails, ...skeleton } = newBoard('draft', 'draft', 'draft');

const boards: Table<Board> = {
  format: 'rung-board',
  plain: ['id', 'name', 'maker', 'revision', 'kind'],
  figures: boardFigures,
  restOf: (b) => ({
    ...b,
    // The columns hold one pattern: none, or several, stand whole.
    mounting: b.mounting.patterns.length === 1 ? undefined : { patterns: b.mounting.patterns },
    packCells: undefined,
    esc: b.esc && without(b.esc, ['channels', 'continuousAmps', 'burstAmps', 'burstSeconds']),
    currentSensor: b.currentSensor && without(b.currentSensor, ['fullScaleAmps']),
    video: b.video && without(b.video, ['overlayChip']),
  }),
  start: (cells, rest) => {
    const words = {
      name: cells.name!.trim(),
      maker: cells.maker!.trim(),
      ...(cells.revision ? { revision: cells.revision } : {}),
      ...(cells.kind ? { kind: cells.kind } : {}),
    };
    return {
      ...skeleton,
      ...('rails' in rest ? {} : { rails }),
      ...rest,
      mounting: { ...skeleton.mounting, ...(rest.mounting as object | undefined) },
      ...words,
      id: cells.id?.trim() || idFrom(`${words.maker} ${words.name} ${cells.revision ?? ''}`, 'board'),
    } as Board;
  },
};

/** The first supply of a part's first way: most parts have one of each. */
const ofSupply = (
  key: 'minVolts' | 'maxVolts' | 'typicalAmps' | 'peakAmps',
  says: string,
  unit: string,
): Column<Peripheral> => ({
  field: `supply.${key}`,
  says,
  unit,
  get: (p) => p.modes[0]?.supplies[0]?.[key],
  set: (p, f: NumberFigure) => ({
    ...p,
    modes: p.modes.map((m, i) => {
      if (i > 0) return m;
      const [first = unsaidSupply, ...others] = m.supplies;
      return { ...m, supplies: [{ ...first, [key]: f }, ...others] };
    }),
  }),
});
const unknown = { unknown: true as const };

const peripherals: Table<Peripheral> = {
  format: 'rung-peripheral',
  plain: ['id', 'name', 'maker', 'kind'],
  figures: [
    { field: 'massG', says: 'Mass', unit: 'g', get: (p) => p.massG, set: (p, f) => ({ ...p, massG: f }) },
    ofSupply('minVolts', 'Least volts', 'V'),
    ofSupply('maxVolts', 'Most volts', 'V'),
    ofSupply('typicalAmps', 'Steady', 'A'),
    ofSupply('peakAmps', 'Peak', 'A'),
  ],
  restOf: (p) => ({
    ...p,
    modes: p.modes.map((m, i) => ({
      ...m,
      supplies: m.supplies.map((s, n) =>
        i === 0 && n === 0 ? without(s, ['minVolts', 'maxVolts', 'typicalAmps', 'peakAmps']) : s,
      ),
    })),
  }),
  start: (cells, rest) => {
    const words = { name: cells.name!.trim(), maker: cells.maker!.trim(), kind: cells.kind || 'other' };
    const bare = {
      format: 'rung-peripheral',
      version: newestVersion,
      massG: unknown,
      cents: 0,
      modes: [{ id: 'way', label: 'as it comes', links: [], supplies: [] }],
    };
    return {
      ...bare,
      ...rest,
      ...words,
      id: cells.id?.trim() || idFrom(`${words.maker} ${words.name}`, 'part'),
    } as unknown as Peripheral;
  },
};

export const boardsToCsv = (list: readonly Board[]): string => toCsv(boards, list);
export const peripheralsToCsv = (list: readonly Peripheral[]): string => toCsv(peripherals, list);
/** Reads a CSV of boards. Never throws; a row with any fault is left out and each fault is named. */
export const readBoardsCsv = (text: string, tell?: Tell): CsvRead<Board> => readCsv(boards, text, tell);
export const readPeripheralsCsv = (text: string, tell?: Tell): CsvRead<Peripheral> => readCsv(peripherals, text, tell);
/** The columns of the two files (RFC 4180), as Table Schema descriptors of the Data Package standard. */
export const tableSchema = (of: 'boards' | 'peripherals'): object =>
  of === 'boards' ? schemaOf(boards) : schemaOf(peripherals);

/** Does the heading of a CSV name a column that only peripherals have? */
export function isPeripheralsCsv(text: string): boolean {
  return /(^|,)"?supply\./.test(text.slice(0, 4000).split('\n')[0]!);
}

function schemaOf<T>({ plain, figures, format }: Table<T>): object {
  return {
    fields: [
      ...plain.map((name) => ({
        name,
        type: 'string',
        constraints: { required: name === 'name' || name === 'maker' },
      })),
      ...figures.map((f) => ({
        name: f.field,
        type: 'string',
        title: f.says,
        description: `A value${f.unit ? ` in ${f.unit}` : ''}, "low..high", or "?"; behind it, in brackets, whose word it is, the day, and where it was read: 45 (claim 2026-11-09; shop page)`,
      })),
      {
        name: 'rest',
        type: 'string',
        description: `JSON: all else (ports, pads, rails, modes, offers ...), as in ${format}`,
      },
    ],
    primaryKey: 'id',
    missingValues: [''],
  };
}

function toCsv<T>({ plain, figures, restOf }: Table<T>, list: readonly T[]): string {
  const columns = [...plain, ...figures.map((f) => f.field), 'rest'];
  const rest = (t: T) => {
    const all = restOf(t) as Record<string, unknown>;
    return Object.fromEntries(
      Object.entries(all).filter(([k]) => !columns.includes(k) && k !== 'format' && k !== 'version'),
    );
  };
  const rows = list.map((t) => [
    ...plain.map((c) => t[c]),
    ...figures.map((f) => cellOf(f.get(t))),
    JSON.stringify(rest(t)),
  ]);
  return Papa.unparse({ fields: columns, data: rows }, { newline: '\r\n' });
}

function cellOf(f: ReturnType<BoardFigure['get']>): string {
  if (!f) return '';
  let value: string;
  if (isUnknown(f)) value = '?';
  else if ('low' in f) value = `${f.low}..${f.high}`;
  else value = String(f.value);
  const said = [
    isUnknown(f) ? '' : [f.origin, 'seen' in f ? f.seen : undefined].filter(Boolean).join(' '),
    f.source ?? '',
  ];
  return said[0] || said[1] ? `${value} (${said[0]}${said[1] ? `; ${said[1]}` : ''})` : value;
}

function without(o: object, keys: string[]): object {
  return Object.fromEntries(Object.entries(o).filter(([k]) => !keys.includes(k)));
}

function readCsv<T>(table: Table<T>, text: string, tell?: Tell): CsvRead<T> {
  const result: CsvRead<T> = { items: [], faults: [] };
  let row = 0;
  // Row by row: all cells of a large file at once would fill the memory.
  Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    step: ({ data: cells, meta }, parser) => {
      row++;
      if (row === 1) result.faults.push(...missingColumns(meta.fields ?? []));
      if (row === 1 && result.faults.length > 0) return parser.abort();
      tell?.(meta.cursor, text.length);
      const faults: RowFault[] = [];
      const item = fromRow(table, cells, row, faults);
      if (item && faults.length === 0) result.items.push({ row, item });
      result.faults.push(...faults);
    },
  });
  if (row === 0)
    result.faults.push({ row: 0, column: 'file', found: 'no rows', expected: 'a heading and at least one row' });
  return result;
}

function missingColumns(columns: readonly string[]): RowFault[] {
  return ['name', 'maker']
    .filter((needed) => !columns.includes(needed))
    .map((needed) => ({ row: 0, column: needed, found: 'no such column', expected: `a heading "${needed}"` }));
}

function fromRow<T>(
  { format, figures, start }: Table<T>,
  cells: Record<string, string>,
  row: number,
  faults: RowFault[],
): T | null {
  const bad = (column: string, expected: string) =>
    void faults.push({ row, column, found: (cells[column] ?? '').slice(0, 60) || 'nothing', expected });
  for (const needed of ['name', 'maker']) if (!cells[needed]?.trim()) bad(needed, `a ${needed}`);
  if (faults.length > 0) return null;
  let rest: Record<string, unknown> = {};
  if (cells.rest) {
    const opened = openFile(cells.rest);
    if (!opened.ok) {
      bad('rest', 'JSON, as Rung writes it');
      return null;
    }
    rest = opened.value.frame as Record<string, unknown>;
  }
  let made = start(cells, rest);
  for (const f of figures) {
    const cell = cells[f.field]?.trim();
    if (!cell) continue;
    const figure = figureFrom(cell, f.words ?? [], f.unit);
    if (!figure)
      bad(
        f.field,
        f.words ? `${f.words.join(', ')} or "?"` : `a value${f.unit ? ` in ${f.unit}` : ''}, "low..high" or "?"`,
      );
    else made = f.set(made, figure as never);
  }
  if (faults.length > 0) return null;
  const read = readData(made, format);
  if (read.ok) return read.value as T;
  for (const fault of read.faults)
    faults.push({ row, column: columnOf(fault, cells), found: fault.sentence, expected: fault.field });
  return null;
}

function columnOf(fault: Fault, cells: Record<string, string>): string {
  return Object.keys(cells).find((c) => c !== 'rest' && fault.field.startsWith(c)) ?? 'rest';
}

function figureFrom(cell: string, words: readonly string[], unit: string): object | null {
  const match = /^([^()]*?)\s*(?:\(([^;)]*)(?:;\s*([\s\S]*))?\))?$/.exec(cell);
  if (!match) return null;
  const [, value = '', said = '', source] = match;
  const [origin, seen] = said.trim().split(/\s+/);
  if (origin && !originSchema.safeParse(origin).success) return null;
  const read = source ? { source } : {};
  if (value === '?') return { unknown: true, ...read };
  const typed = valueFromText(value, words, unit);
  return !typed || 'unknown' in typed
    ? null
    : { ...typed, origin: (origin as Origin | undefined) || 'claim', ...read, ...(seen ? { seen } : {}) };
}
