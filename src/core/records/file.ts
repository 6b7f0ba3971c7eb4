import { z } from 'zod';
import { boardSchema } from './board';
import { checkBoard } from './board-links';
import { buildSchema } from './build';
import type { Fault } from './fault';
import { migrated } from './migrate';
import { peripheralSchema } from './peripheral';
import { lineAt, lookOver, type ListKey, type Stretch } from './look-over';
import { storableJson } from './storable';
import { shelfSchema, type Shelf } from './shelf';
import { newestVersion } from './words';

/** Every open file format of Rung, by the word in its `format` field. */
export const fileSchemas = {
  'rung-build': buildSchema,
  'rung-board': boardSchema,
  'rung-peripheral': peripheralSchema,
  'rung-shelf': shelfSchema,
} as const;
export type FileFormat = keyof typeof fileSchemas;
export type RungFile = { [F in FileFormat]: z.infer<(typeof fileSchemas)[F]> }[FileFormat];

export type Read<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

/** The JSON Schema (2020-12) of a format, made from the same definition that reads the file. */
export function jsonSchemaOf(format: FileFormat): object {
  return {
    ...z.toJSONSchema(fileSchemas[format], { io: 'input', target: 'draft-2020-12', reused: 'ref' }),
    title: format,
  };
}

/**
 * Reads the text of a Rung file. Never throws; every fault names its field. How deep, long and many is looked at before anything is built, the entries
 * of a shelf are read one by one, and reading ends once there are twenty faults: a bad file is refused soon, whatever it holds.
 * A file of a newer version is refused by name instead of being half understood.
 */
export function readFile<F extends FileFormat>(text: string, expected: F): Read<z.infer<(typeof fileSchemas)[F]>>;
export function readFile(text: string): Read<RungFile>;
export function readFile(text: string, expected?: FileFormat): Read<RungFile> {
  const opened = openFile(text);
  if (!opened.ok) return opened;
  const { frame, lists } = opened.value;
  if (formatOf(frame) !== 'rung-shelf') return readData(frame, expected);
  return readShelf(frame as object, lists, expected);
}

/** One entry of a shelf, not yet read; a fault where it is not JSON. */
export type Unread = () => Read<unknown>;

export interface OpenedFile {
  /** What the file says, the lists of a shelf left empty. */
  frame: unknown;
  lists: Record<ListKey, Unread[]>;
}

/** Opens a JSON file without building more than its frame. */
export function openFile(text: string): Read<OpenedFile> {
  const bare = storableJson(text.replace(/^\uFEFF/, ''));
  const seen = lookOver(bare);
  if (!seen.ok) return oneFault('', seen.sentence);
  const frame = parsed(bare, seen.frame, (at) => seen.placeOf(at));
  if (!frame.ok) return frame;
  const unread = (list: readonly Stretch[]): Unread[] =>
    list.map(
      ({ from, to }) =>
        () =>
          parsed(bare, bare.slice(from, to), (at) => from + at),
    );
  return {
    ok: true,
    value: {
      frame: frame.value,
      lists: { boards: unread(seen.lists.boards), peripherals: unread(seen.lists.peripherals) },
    },
  };
}

/** The same for data that is already parsed. */
export function readData<F extends FileFormat>(data: unknown, expected: F): Read<z.infer<(typeof fileSchemas)[F]>>;
export function readData(data: unknown, expected?: FileFormat): Read<RungFile>;
export function readData(data: unknown, expected?: FileFormat): Read<RungFile> {
  const fault = notAFile(data, expected);
  if (fault) return { ok: false, faults: [fault] };
  const format = formatOf(data) as FileFormat;
  if (format === 'rung-shelf') return readShelf(data as object, { boards: [], peripherals: [] }, expected);
  const read = parsedBy(fileSchemas[format], migrated(data as Record<string, unknown>));
  if (!read.ok || read.value.format !== 'rung-board') return read;
  const faults = checkBoard(read.value, '');
  return faults.length > 0 ? { ok: false, faults } : read;
}

function formatOf(data: unknown): unknown {
  return (data as { format?: unknown } | null)?.format;
}

function notAFile(data: unknown, expected?: FileFormat): Fault | null {
  const formats = Object.keys(fileSchemas).join(', ');
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return { field: '', sentence: `Expected an object with a "format" field (${expected ?? formats}).` };
  }
  const { format, version } = data as { format?: unknown; version?: unknown };
  if (typeof format !== 'string' || !Object.hasOwn(fileSchemas, format)) {
    return { field: 'format', sentence: `Expected ${expected ?? `one of ${formats}`}; found ${show(format)}.` };
  }
  if (expected && format !== expected)
    return { field: 'format', sentence: `Expected ${expected}; found ${show(format)}.` };
  if (typeof version !== 'number' || version < 1 || !Number.isInteger(version)) {
    return { field: 'version', sentence: `Expected a version from 1 to ${newestVersion}; found ${show(version)}.` };
  }
  if (version > newestVersion) {
    return {
      field: 'version',
      sentence: `This file has version ${version}; this Rung reads up to ${newestVersion}. Bring Rung up to date.`,
    };
  }
  return null;
}

const mostFaults = 20;

/** A shelf is read entry by entry, those of its frame (data that came parsed) before those that are still text. */
function readShelf(frame: object, lists: OpenedFile['lists'], expected?: FileFormat): Read<Shelf> {
  const fault = notAFile(frame, expected);
  if (fault) return { ok: false, faults: [fault] };
  const { boards, peripherals } = frame as { boards?: unknown; peripherals?: unknown };
  const head = parsedBy(shelfSchema, {
    ...migrated(frame as Record<string, unknown>),
    ...(Array.isArray(boards) ? { boards: [] } : {}),
    ...(Array.isArray(peripherals) ? { peripherals: [] } : {}),
  });
  const faults: Fault[] = head.ok ? [] : head.faults;
  const entries = <F extends 'rung-board' | 'rung-peripheral'>(key: ListKey, there: unknown, format: F) => {
    const sound: z.infer<(typeof fileSchemas)[F]>[] = [];
    const unread = [
      ...(Array.isArray(there) ? there.map((data): Unread => () => ({ ok: true, value: data })) : []),
      ...lists[key],
    ];
    for (const [i, open] of unread.entries()) {
      const text = open();
      const read = text.ok ? readData(text.value, format) : text;
      if (read.ok) sound.push(read.value);
      else
        faults.push(
          ...read.faults.map((f) => ({
            ...f,
            field: `${key}[${i}]${f.field && !f.field.startsWith('[') ? '.' : ''}${f.field}`,
          })),
        );
      if (faults.length >= mostFaults) break;
    }
    return sound;
  };
  const sound = {
    boards: entries('boards', boards, 'rung-board'),
    peripherals: entries('peripherals', peripherals, 'rung-peripheral'),
  };
  return head.ok && faults.length === 0
    ? { ok: true, value: { ...head.value, ...sound } }
    : { ok: false, faults: faults.slice(0, mostFaults) };
}

function parsedBy<S extends z.ZodType>(schema: S, data: unknown): Read<z.infer<S>> {
  const parsed = schema.safeParse(data);
  return parsed.success
    ? { ok: true, value: parsed.data }
    : {
        ok: false,
        faults: parsed.error.issues
          .slice(0, mostFaults)
          .flatMap((i) => faultsOf(i, data))
          .slice(0, mostFaults),
      };
}

/** Parses a piece of a text; `placeOf` says where a place of the piece stands in the whole. */
function parsed(text: string, piece: string, placeOf: (at: number) => number): Read<unknown> {
  try {
    return { ok: true, value: JSON.parse(piece) };
  } catch (error) {
    const at = jsonPlace(error, piece);
    const where =
      at === null
        ? 'it ends too early or has a stray character'
        : `something is wrong near line ${lineAt(text, placeOf(at))}`;
    return oneFault('', `This is not JSON: ${where}.`);
  }
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
  const field = issue.path
    .map((p, i) => (typeof p === 'number' ? `[${p}]` : `${i > 0 ? '.' : ''}${String(p)}`))
    .join('');
  const found = issue.path.reduce<unknown>((at, key) => (at as Record<PropertyKey, unknown> | undefined)?.[key], data);
  const message = cutAt(issue.message, 300)
    .replace(/^Invalid input: /, '')
    .replace(/^./, (c) => c.toUpperCase());
  const tail = issue.code === 'unrecognized_keys' ? '' : `; found ${show(found)}`;
  return [{ field, sentence: `${message.replace(/\.$/, '')}${tail}.` }];
}

function depth(issues: readonly z.core.$ZodIssue[]): number {
  return Math.max(0, ...issues.filter((i) => i.code !== 'unrecognized_keys').map((i) => i.path.length));
}

function show(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (typeof value === 'string') return cutAt(JSON.stringify(value.slice(0, 60)), 60);
  if (typeof value !== 'object' || value === null) return String(value);
  // What stands inside may be deeper than anything can write.
  return cutAt(
    JSON.stringify(value, (key, inner: unknown) => (key !== '' && isNested(inner) ? '...' : inner)),
    60,
  );
}

function isNested(value: unknown): boolean {
  return (
    typeof value === 'object' && value !== null && Object.values(value).some((v) => typeof v === 'object' && v !== null)
  );
}

function cutAt(text: string, most: number): string {
  return text.length > most ? `${text.slice(0, most - 3)}...` : text;
}

/** Where in its text JSON stops making sense; null where the engine does not say. */
function jsonPlace(error: unknown, text: string): number | null {
  const message = error instanceof Error ? error.message : '';
  const position = /position (\d+)/.exec(message)?.[1];
  // Node names either the position or a snippet of what stands before and after it.
  const snippet = /^Unexpected token .+?, (?:\.\.\.)?"(.*?)"(?:\.\.\.)? is not valid JSON$/s.exec(message)?.[1];
  let at: number;
  if (position !== undefined) at = Number(position);
  else if (snippet) at = text.indexOf(snippet) + snippet.length / 2;
  else at = -1;
  return at < 0 ? null : at;
}
