import type { Board } from '../records/board';
import { openFile, readData, readFile, type Read, type Unread } from '../records/file';
import type { Fault } from '../records/fault';
import type { Peripheral } from '../records/peripheral';
import { isPeripheralsCsv, readBoardsCsv, readPeripheralsCsv, type RowFault, type Tell } from './csv';

/** What a file brings to the shelf, and what of it cannot be read: the sound rows stand whatever the others say. */
export interface ShelfFile {
  boards: Board[];
  peripherals: Peripheral[];
  faults: RowFault[];
}

/** Reads CSV or JSON of boards or peripherals. Never throws. */
export function readShelfFile(text: string, tell?: Tell): ShelfFile {
  if (/^\uFEFF?\s*[{[]/.test(text)) return fromJson(text, tell);
  if (isPeripheralsCsv(text)) {
    const { items, faults } = readPeripheralsCsv(text, tell);
    return { boards: [], peripherals: items.map((i) => i.item), faults };
  }
  const { items, faults } = readBoardsCsv(text, tell);
  return { boards: items.map((i) => i.item), peripherals: [], faults };
}

function fromJson(text: string, tell?: Tell): ShelfFile {
  const opened = openFile(text);
  if (!opened.ok || (opened.value.frame as { format?: unknown } | null)?.format !== 'rung-shelf') return oneFile(text);
  // Entry by entry, so that one bad board does not keep a thousand sound ones out.
  const { boards, peripherals } = opened.value.lists;
  const found: ShelfFile = { boards: [], peripherals: [], faults: [] };
  const entry = <F extends 'rung-board' | 'rung-peripheral', T>(unread: Unread, format: F, row: number, into: T[]) => {
    const data = unread();
    const read = data.ok ? (readData(data.value, format) as Read<T>) : data;
    if (read.ok) into.push(read.value);
    else found.faults.push(...read.faults.map((f) => asRow(row, f)));
  };
  boards.forEach((b, i) => {
    tell?.(i, boards.length);
    entry(b, 'rung-board', i + 1, found.boards);
  });
  peripherals.forEach((p, i) => entry(p, 'rung-peripheral', boards.length + i + 1, found.peripherals));
  return found;
}

function oneFile(text: string): ShelfFile {
  const read = readFile(text);
  if (!read.ok) return { boards: [], peripherals: [], faults: read.faults.map((f) => asRow(0, f)) };
  const file = read.value;
  if (file.format === 'rung-board') return { boards: [file], peripherals: [], faults: [] };
  if (file.format === 'rung-peripheral') return { boards: [], peripherals: [file], faults: [] };
  return {
    boards: [],
    peripherals: [],
    faults: [{ row: 0, column: 'format', found: file.format, expected: 'rung-shelf, rung-board or rung-peripheral' }],
  };
}

function asRow(row: number, fault: Fault): RowFault {
  return { row, column: fault.field || 'file', found: fault.sentence, expected: 'as in the published schema' };
}
