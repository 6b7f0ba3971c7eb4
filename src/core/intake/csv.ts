import Papa from 'papaparse';
import { readData, type Fault } from '../model/file';
import type { Board } from '../model/board';
import { originSchema, isUnknown, type Origin } from '../model/figure';
import { valueFromText } from './figure-text';
import { boardFigures } from './figures';
import { newBoard } from './new-board';

/** A row of a CSV file that cannot be read as a board: which row (the first after the heading is 1), which column, what stands there, what was expected. */
export interface RowFault {
  row: number;
  column: string;
  found: string;
  expected: string;
}

export interface CsvRead {
  boards: { row: number; board: Board }[];
  faults: RowFault[];
}

const plainColumns = ['id', 'name', 'maker', 'revision', 'kind'] as const;

/** The columns of the file (RFC 4180), as a Table Schema descriptor of the Data Package standard. */
export function tableSchema(): object {
  return {
    fields: [
      ...plainColumns.map((name) => ({ name, type: 'string', constraints: { required: name === 'name' || name === 'maker' } })),
      ...boardFigures.map((f) => ({ name: f.field, type: 'string', title: f.says, description: `A value${f.unit ? ` in ${f.unit}` : ''}, "low..high", or "?"; behind it, in brackets, whose word it is, the day, and where it was read: 45 (claim 2026-11-09; shop page)` })),
      { name: 'rest', type: 'string', description: 'JSON: all else of the board (ports, pads, rails, offers ...), as in rung-board' },
    ],
    primaryKey: 'id',
    missingValues: [''],
  };
}

export function boardsToCsv(boards: readonly Board[]): string {
  const columns = [...plainColumns, ...boardFigures.map((f) => f.field), 'rest'];
  const rows = boards.map((b) => [...plainColumns.map((c) => b[c]), ...boardFigures.map((f) => cellOf(f.get(b))), JSON.stringify(restOf(b))]);
  return Papa.unparse({ fields: columns, data: rows }, { newline: '\r\n' });
}

function cellOf(f: ReturnType<(typeof boardFigures)[number]['get']>): string {
  if (!f) return '';
  const value = isUnknown(f) ? '?' : 'low' in f ? `${f.low}..${f.high}` : String(f.value);
  const said = [isUnknown(f) ? '' : [f.origin, 'seen' in f ? f.seen : undefined].filter(Boolean).join(' '), f.source ?? ''];
  return said[0] || said[1] ? `${value} (${said[0]}${said[1] ? `; ${said[1]}` : ''})` : value;
}

/** The board without what the columns hold, so that the two together are the whole. */
function restOf(b: Board): object {
  const rest: Record<string, unknown> = { ...b, mounting: undefined, packCells: undefined, esc: b.esc && without(b.esc, ['channels', 'continuousAmps', 'burstAmps', 'burstSeconds']), currentSensor: b.currentSensor && without(b.currentSensor, ['fullScaleAmps']), video: b.video && without(b.video, ['overlayChip']) };
  for (const key of [...plainColumns, ...boardFigures.map((f) => f.field), 'format', 'version']) delete rest[key];
  return rest;
}

function without(o: object, keys: string[]): object {
  return Object.fromEntries(Object.entries(o).filter(([k]) => !keys.includes(k)));
}

/** Reads a CSV of boards. Never throws; a row with any fault is left out and each fault is named. */
export function readBoardsCsv(text: string): CsvRead {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: 'greedy' });
  const result: CsvRead = { boards: [], faults: [] };
  const columns = parsed.meta.fields ?? [];
  for (const needed of ['name', 'maker']) if (!columns.includes(needed)) result.faults.push({ row: 0, column: needed, found: 'no such column', expected: `a heading "${needed}"` });
  if (result.faults.length > 0) return result;
  parsed.data.forEach((cells, i) => {
    const row = i + 1;
    const faults: RowFault[] = [];
    const board = rowToBoard(cells, row, faults);
    if (board && faults.length === 0) result.boards.push({ row, board });
    result.faults.push(...faults);
  });
  return result;
}

function rowToBoard(cells: Record<string, string>, row: number, faults: RowFault[]): Board | null {
  const bad = (column: string, expected: string) => void faults.push({ row, column, found: (cells[column] ?? '').slice(0, 60) || 'nothing', expected });
  const name = cells.name?.trim() ?? '';
  const maker = cells.maker?.trim() ?? '';
  if (!name) bad('name', 'the name of the board');
  if (!maker) bad('maker', 'the maker of the board');
  if (faults.length > 0) return null;
  const id = cells.id?.trim() || idFrom(`${maker} ${name} ${cells.revision ?? ''}`);
  let rest: Record<string, unknown> = {};
  if (cells.rest) {
    try {
      rest = JSON.parse(cells.rest) as Record<string, unknown>;
    } catch {
      bad('rest', 'JSON, as Rung writes it');
      return null;
    }
  }
  const base = newBoard('draft', name, maker);
  const { rails, ...skeleton } = base;
  let made = merged({ ...skeleton, ...('rails' in rest ? {} : { rails }) }, rest) as unknown as Board;
  made = { ...made, id, name, maker, ...(cells.revision ? { revision: cells.revision } : {}), ...(cells.kind ? { kind: cells.kind as Board['kind'] } : {}) };
  for (const f of boardFigures) {
    const cell = cells[f.field]?.trim();
    if (!cell) continue;
    const figure = figureFrom(cell);
    if (!figure) bad(f.field, `a value${f.unit ? ` in ${f.unit}` : ''}, "low..high" or "?"`);
    else made = f.set(made, figure as never);
  }
  if (faults.length > 0) return null;
  const read = readData(made, 'rung-board');
  if (read.ok) return read.value;
  for (const fault of read.faults) faults.push({ row, column: columnOf(fault, cells), found: fault.sentence, expected: fault.field });
  return null;
}

/** What the row says over what a new board starts with, one level deep: `esc`, `video` and the like keep what only the columns hold. */
function merged(base: object, rest: Record<string, unknown>): object {
  return { ...base, ...rest };
}

function columnOf(fault: Fault, cells: Record<string, string>): string {
  return Object.keys(cells).find((c) => c !== 'rest' && fault.field.startsWith(c)) ?? 'rest';
}

function figureFrom(cell: string): object | null {
  const match = /^([^()]*?)\s*(?:\(([^;)]*)(?:;\s*([\s\S]*))?\))?$/.exec(cell);
  if (!match) return null;
  const [, value = '', said = '', source] = match;
  const [origin, seen] = said.trim().split(/\s+/);
  if (origin && !originSchema.safeParse(origin).success) return null;
  const words = { ...(source ? { source } : {}) };
  if (value === '?') return { unknown: true, ...words };
  const typed = valueFromText(value);
  return !typed || 'unknown' in typed ? null : { ...typed, origin: (origin as Origin | undefined) || 'claim', ...words, ...(seen ? { seen } : {}) };
}

export function idFrom(words: string): string {
  return words.toLowerCase().normalize('NFKD').replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '').slice(0, 60) || 'board';
}
