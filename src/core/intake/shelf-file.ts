import type { Board } from '../model/board';
import { readData, readFile, type Fault } from '../model/file';
import type { Peripheral } from '../model/peripheral';
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
  const shelf = shelfIn(text);
  if (!shelf) {
    const read = readFile(text);
    if (!read.ok) return { boards: [], peripherals: [], faults: read.faults.map((f) => asRow(0, f)) };
    const file = read.value;
    if (file.format === 'rung-board') return { boards: [file], peripherals: [], faults: [] };
    if (file.format === 'rung-peripheral') return { boards: [], peripherals: [file], faults: [] };
    return { boards: [], peripherals: [], faults: [{ row: 0, column: 'format', found: file.format, expected: 'rung-shelf, rung-board or rung-peripheral' }] };
  }
  // Entry by entry, so that one bad board does not keep a thousand sound ones out.
  const found: ShelfFile = { boards: [], peripherals: [], faults: [] };
  shelf.boards.forEach((b, i) => {
    tell?.(i, shelf.boards.length);
    const read = readData(b, 'rung-board');
    if (read.ok) found.boards.push(read.value);
    else found.faults.push(...read.faults.map((f) => asRow(i + 1, f)));
  });
  shelf.peripherals.forEach((p, i) => {
    const read = readData(p, 'rung-peripheral');
    if (read.ok) found.peripherals.push(read.value);
    else found.faults.push(...read.faults.map((f) => asRow(shelf.boards.length + i + 1, f)));
  });
  return found;
}

function shelfIn(text: string): { boards: unknown[]; peripherals: unknown[] } | null {
  try {
    const data = JSON.parse(text.replace(/^\uFEFF/, '')) as { format?: unknown; boards?: unknown; peripherals?: unknown } | null;
    const list = (x: unknown): unknown[] => (Array.isArray(x) ? (x as unknown[]) : []);
    return data?.format === 'rung-shelf' ? { boards: list(data.boards), peripherals: list(data.peripherals) } : null;
  } catch {
    return null;
  }
}

function asRow(row: number, fault: Fault): RowFault {
  return { row, column: fault.field || 'file', found: fault.sentence, expected: 'as in the published schema' };
}
