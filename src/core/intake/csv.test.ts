import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readFile } from '../records/file';
import { makeBoard, says } from '../tests/make';
import { applyReadings } from './apply-readings';
import { boardsToCsv, peripheralsToCsv, readBoardsCsv, readPeripheralsCsv, tableSchema } from './csv';
import { differencesOf } from './differences';
import { boardFigures } from '../figures/board-figures';
import { completenessOf } from '../figures/completeness';
import { addGroup, newBoard, padGroups, removePad } from '../records/new-board';
import { readSpec } from './read-spec';
import { readShelfFile } from './shelf-file';

const shelf = readFile(readFileSync('demo/shelf.json', 'utf8'), 'rung-shelf');
if (!shelf.ok) throw new Error('demo shelf');
const { boards, peripherals } = shelf.value;

describe('CSV (RFC 4180)', () => {
  test('the whole demo shelf goes out and comes back without loss', () => {
    const read = readBoardsCsv(boardsToCsv(boards));
    expect(read.faults).toEqual([]);
    expect(read.items.map((b) => b.item)).toEqual(boards);
  });
  test('quotes, commas and line breaks inside a cell survive', () => {
    const odd = { ...boards[0]!, name: 'A "B", c', summary: 'two\nlines' };
    expect(readBoardsCsv(boardsToCsv([odd])).items[0]!.item).toEqual(odd);
  });
  test('each fault names row, column, what stands there and what was expected; the sound rows are kept', () => {
    const read = readBoardsCsv(
      'name,maker,massG,esc.burstAmps\nGood,Maker,8.2,\nBad,Maker,heavy,\n,Maker,8,\nRange,Maker,"7,5..9",\n',
    );
    expect(read.items.map((b) => b.item.name)).toEqual(['Good', 'Range']);
    expect(read.items[1]!.item.massG).toEqual({ low: 7.5, high: 9, origin: 'claim' });
    expect(read.faults.map((f) => [f.row, f.column, f.found])).toEqual([
      [2, 'massG', 'heavy'],
      [3, 'name', 'nothing'],
    ]);
  });
  test('a file without the needed headings says which', () =>
    expect(readBoardsCsv('a,b\n1,2').faults.map((f) => f.column)).toEqual(['name', 'maker']));
  test('every column of either file stands in its descriptor', () => {
    const fields = (of: 'boards' | 'peripherals') =>
      (tableSchema(of) as { fields: { name: string }[] }).fields.map((f) => f.name);
    expect(fields('boards')).toEqual(boardsToCsv([]).trim().split(','));
    expect(fields('peripherals')).toEqual(peripheralsToCsv([]).trim().split(','));
  });
  test('all peripherals of the demo go out and come back without loss', () => {
    const read = readPeripheralsCsv(peripheralsToCsv(peripherals));
    expect(read.faults).toEqual([]);
    expect(read.items.map((p) => p.item)).toEqual(peripherals);
  });
  test('a peripheral by hand: a part of 5 V in one row, its draw said, all else unknown', () => {
    const read = readPeripheralsCsv(
      'name,maker,kind,supply.minVolts,supply.maxVolts,supply.peakAmps\nGlint,Maker,camera,4.5,5.5,"0,35"\nBad,Maker,toaster,,,\n',
    );
    expect(read.items[0]!.item).toMatchObject({ id: 'maker-glint', kind: 'camera', massG: { unknown: true } });
    expect(read.items[0]!.item.modes[0]!.supplies[0]).toMatchObject({
      peakAmps: { value: 0.35, origin: 'claim' },
      typicalAmps: { unknown: true },
    });
    expect(read.faults.map((f) => [f.row, f.column])).toEqual([[2, 'kind']]);
  });
});

describe('a file for the shelf', () => {
  test('which of the three it is is seen by its content', () => {
    expect(readShelfFile(boardsToCsv(boards)).boards).toHaveLength(boards.length);
    expect(readShelfFile(peripheralsToCsv(peripherals)).peripherals).toHaveLength(peripherals.length);
    expect(readShelfFile(JSON.stringify(boards[0])).boards).toEqual([boards[0]]);
    const all = readShelfFile(JSON.stringify(shelf.value));
    expect([all.boards.length, all.peripherals.length, all.faults]).toEqual([boards.length, peripherals.length, []]);
  });
  test('one bad board in a JSON shelf is named by its row and keeps no other out', () => {
    const read = readShelfFile(
      JSON.stringify({ ...shelf.value, boards: [boards[0], { ...boards[1], massG: 'heavy' }, boards[2]] }),
    );
    expect(read.boards.map((b) => b.id)).toEqual([boards[0]!.id, boards[2]!.id]);
    expect(read.faults.map((f) => [f.row, f.column])).toEqual([[2, 'massG']]);
  });
  test('no text breaks it, and what it brings can always be stored', () => {
    const piece = fc.oneof(
      fc.string(),
      fc.constantFrom(
        'name,maker,massG\n',
        'a,b,8\n',
        '"',
        ',',
        '\r\n',
        '{',
        '[',
        '"format":"rung-shelf"',
        '"boards":[',
        '{"__proto__":{"x":1}}',
        '}',
        ']',
        '=1+1',
        '\u0000',
        '(claim; x)',
        '9..1',
        'supply.minVolts',
      ),
    );
    fc.assert(
      fc.property(
        fc.array(piece, { maxLength: 30 }).map((p) => p.join('')),
        (text) => {
          const { boards: found, peripherals: parts } = readShelfFile(text);
          for (const b of found) expect(readFile(JSON.stringify(b), 'rung-board').ok).toBe(true);
          for (const p of parts) expect(readFile(JSON.stringify(p), 'rung-peripheral').ok).toBe(true);
        },
      ),
      { numRuns: 2000, seed: 6 },
    );
  });
  test('a build, or no file at all, is refused in words', () => {
    expect(readShelfFile(readFileSync('demo/builds/belfry-six.json', 'utf8')).faults).toMatchObject([
      { column: 'format', found: 'rung-build' },
    ]);
    expect(readShelfFile('{"format": "rung-').faults).toHaveLength(1);
    expect(readShelfFile('').faults.length).toBeGreaterThan(0);
  });
});

describe('from a spec sheet to a board', () => {
  const text = 'MCU F722\nUART x5 (UART3 for wireless)\nBEC 5V@3A\n3-6S\n30.5*30.5mm/M3\n8.5 g (w/o cable)';
  const board = applyReadings(newBoard('x', 'X', 'Maker'), readSpec(text), { origin: 'claim', seen: '2026-11-25' });
  test('each confirmed reading lands with origin, quote and date', () => {
    expect(board.massG).toEqual({ value: 8.5, origin: 'claim', source: '8.5 g (w/o cable)', seen: '2026-11-25' });
    expect([board.ports.length, board.ports[2]!.taken?.by.includes('UART3')]).toEqual([5, true]);
    expect(board.rails.find((r) => r.label === '5 V')!.source).toMatchObject({ ratedAmps: { value: 3 } });
    expect(readFile(JSON.stringify(board), 'rung-board').ok).toBe(true);
  });
  test('the history says who, when, and what stood there before', () => {
    expect(board.history.find((h) => h.field === 'massG')).toEqual({
      when: '2026-11-25',
      field: 'massG',
      before: 'unknown',
      after: '8.5 g',
      who: 'claim: "8.5 g (w/o cable)"',
    });
  });
  test('completeness counts what is known and lists what to ask', () => {
    const before = completenessOf(newBoard('x', 'X', 'Maker'));
    const after = completenessOf(board);
    expect(before.known).toBe(0);
    expect(after.known).toBeGreaterThan(5);
    expect(after.missing.map((m) => m.field)).toContain('heightMm');
    expect(after.known + after.missing.length).toBe(after.total);
  });
  test('two revisions show what differs', () => {
    expect(differencesOf(board, { ...board, massG: says(9) })).toEqual([
      { field: 'massG', says: 'Mass', before: '8.5 g', after: '9 g' },
    ]);
    expect(differencesOf(board, board)).toEqual([]);
  });
});

test('every group of pads gives a board that reads back, and taking its pads away leaves one that does', () => {
  for (const group of padGroups) {
    const board = addGroup(addGroup(newBoard('x', 'X', 'M'), 'port', 'left'), group, 'right', 'bottom');
    const read = readFile(JSON.stringify(board), 'rung-board');
    expect(read.ok ? '' : JSON.stringify(read.faults), group).toBe('');
    const bare = board.pads.reduce((b, p) => removePad(b, p.id), board);
    expect(readFile(JSON.stringify(bare), 'rung-board').ok, group).toBe(true);
  }
});

test('each figure that can be named can be read back where it was put', () => {
  for (const f of boardFigures) expect(f.get(f.set(makeBoard(), says(7) as never)), f.field).toEqual(says(7));
});
