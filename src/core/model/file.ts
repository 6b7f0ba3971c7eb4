import { z } from 'zod';
import { boardSchema } from './board';
import { checkBoard } from './board-links';
import { buildSchema } from './build';
import { peripheralSchema } from './peripheral';
import { shelfSchema } from './shelf';

/** Every open file format of Rung, by the word in its `format` field. */
export const fileSchemas = {
  'rung-build': buildSchema,
  'rung-board': boardSchema,
  'rung-peripheral': peripheralSchema,
  'rung-shelf': shelfSchema,
} as const;
export type FileFormat = keyof typeof fileSchemas;
export type RungFile = { [F in FileFormat]: z.infer<(typeof fileSchemas)[F]> }[FileFormat];

/** A fault in a file: which field, what stands there, what was expected. */
export interface Fault {
  field: string;
  sentence: string;
}

export type Read<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

const newest = 1;

/** The JSON Schema (2020-12) of a format, made from the same definition that reads the file. */
export function jsonSchemaOf(format: FileFormat): object {
  return { ...z.toJSONSchema(fileSchemas[format], { io: 'input', target: 'draft-2020-12' }), title: format };
}

/**
 * Reads the text of a Rung file. Never throws; every fault names its field.
 * A file of a newer version is refused by name instead of being half understood.
 */
export function readFile<F extends FileFormat>(text: string, expected: F): Read<z.infer<(typeof fileSchemas)[F]>>;
export function readFile(text: string): Read<RungFile>;
export function readFile(text: string, expected?: FileFormat): Read<RungFile> {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return oneFault('', `This is not JSON: ${jsonPlace(error, text)}.`);
  }
  return readData(data, expected);
}

/** The same for data that is already parsed. */
export function readData<F extends FileFormat>(data: unknown, expected: F): Read<z.infer<(typeof fileSchemas)[F]>>;
export function readData(data: unknown, expected?: FileFormat): Read<RungFile>;
export function readData(data: unknown, expected?: FileFormat): Read<RungFile> {
  const formats = Object.keys(fileSchemas).join(', ');
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return oneFault('', `Expected an object with a "format" field (${expected ?? formats}).`);
  }
  const { format, version } = data as { format?: unknown; version?: unknown };
  if (typeof format !== 'string' || !(format in fileSchemas)) {
    return oneFault('format', `Expected ${expected ?? `one of ${formats}`}; found ${show(format)}.`);
  }
  if (expected && format !== expected) return oneFault('format', `Expected ${expected}; found ${show(format)}.`);
  if (typeof version === 'number' && version > newest) {
    return oneFault('version', `This file has version ${version}; this Rung reads up to ${newest}. Bring Rung up to date.`);
  }
  const parsed = fileSchemas[format as FileFormat].safeParse(data);
  if (!parsed.success) return { ok: false, faults: parsed.error.issues.slice(0, 20).flatMap((i) => faultsOf(i, data)) };
  const faults = danglingFaults(parsed.data);
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: parsed.data };
}

function danglingFaults(file: RungFile): Fault[] {
  if (file.format === 'rung-board') return checkBoard(file, '');
  if (file.format === 'rung-shelf') return file.boards.flatMap((b, i) => checkBoard(b, `boards[${i}].`)).slice(0, 20);
  return [];
}

function oneFault(field: string, sentence: string): { ok: false; faults: Fault[] } {
  return { ok: false, faults: [{ field, sentence }] };
}

/** Unions report every branch; the branch with the deepest complaint is the one that was meant. */
function faultsOf(issue: z.core.$ZodIssue, data: unknown): Fault[] {
  if (issue.code === 'invalid_union' && issue.errors.length > 0) {
    const meant = [...issue.errors].sort((a, b) => depth(b) - depth(a) || a.length - b.length)[0] ?? [];
    if (depth(meant) > 0) return meant.flatMap((i) => faultsOf({ ...i, path: [...issue.path, ...i.path] }, data));
  }
  const field = issue.path.map((p, i) => (typeof p === 'number' ? `[${p}]` : `${i > 0 ? '.' : ''}${String(p)}`)).join('');
  const found = issue.path.reduce<unknown>((at, key) => (at as Record<PropertyKey, unknown> | undefined)?.[key], data);
  const message = issue.message.replace(/^Invalid input: /, '').replace(/^./, (c) => c.toUpperCase());
  const tail = issue.code === 'unrecognized_keys' ? '' : `; found ${show(found)}`;
  return [{ field, sentence: `${message.replace(/\.$/, '')}${tail}.` }];
}

function depth(issues: readonly z.core.$ZodIssue[]): number {
  return Math.max(0, ...issues.filter((i) => i.code !== 'unrecognized_keys').map((i) => i.path.length));
}

function show(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text = JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}...` : text;
}

function jsonPlace(error: unknown, text: string): string {
  if (text.trim() === '') return 'the text is empty';
  const message = error instanceof Error ? error.message : '';
  const position = /position (\d+)/.exec(message)?.[1];
  // Node names either the position or a snippet of what stands before and after it.
  const snippet = /^Unexpected token .+?, (?:\.\.\.)?"(.*?)"(?:\.\.\.)? is not valid JSON$/s.exec(message)?.[1];
  const at = position !== undefined ? Number(position) : snippet ? text.indexOf(snippet) + snippet.length / 2 : -1;
  if (at < 0) return 'it ends too early or has a stray character';
  return `something is wrong near line ${text.slice(0, at).split('\n').length}`;
}
