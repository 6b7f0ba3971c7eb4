import { describe, expect, test } from 'vitest';
import type { Board } from '../records/board';
import { makeBoard, makeBuild, says, unknown } from '../tests/make';
import { checkPack } from './pack';
import { sentenceOf } from '../words/finding/sentence-of';

// Common practice, no source: a full cell is 4.20 V, one of the high-voltage kind 4.35 V.
const full = { lipo: 4.2, 'high-voltage lipo': 4.35 } as const;
type Chemistry = keyof typeof full;

const pack = (cells: number, chemistry: Chemistry = 'lipo') =>
  makeBuild({ pack: { cells, chemistry, massG: says(100) } });
const board = (min: number, max: number, limit?: number) =>
  makeBoard({
    packCells: { min: says(min), max: says(max) },
    ...(limit === undefined ? {} : { packMaxVolts: says(limit) }),
  });
const find = (cells: number, chemistry: Chemistry, of: Board, about: 'Full pack' | 'Empty pack') =>
  checkPack(pack(cells, chemistry), of).find((f) => f.about === about)!;

describe('the full pack: every pack on every board', () => {
  test('a board for so many cells stands so many plain ones at 4.20 V, as many high-voltage ones perhaps, and no more', () => {
    for (let cells = 1; cells <= 8; cells++) {
      for (let max = 1; max <= 8; max++) {
        const state = (chemistry: Chemistry) => find(cells, chemistry, board(1, max), 'Full pack').state;
        const where = `${cells} on ${max}`;
        expect(state('lipo'), where).toBe(cells <= max ? 'holds' : 'breaks');
        const perhaps = cells === max ? 'unknown' : 'breaks';
        expect(state('high-voltage lipo'), where).toBe(cells < max ? 'holds' : perhaps);
      }
    }
  });
  test('what nobody says of high-voltage cells a limit in volts decides', () => {
    const high = (limit?: number) => find(2, 'high-voltage lipo', board(1, 2, limit), 'Full pack');
    expect([8.6, 8.7, 9.5].map((limit) => high(limit).state)).toEqual(['breaks', 'strained', 'holds']);
    expect(sentenceOf(high())).toBe(
      '2 cells reach 8.7 V when full; the board takes 2 cells at most, 8.4 V full: whether it survives cells of a higher voltage, nobody says.',
    );
    expect(high().grounds.map((g) => [g.what, g.origin])).toContainEqual(['Limit', 'unknown']);
  });
  test('a limit in volts decides before the cells, and less than 5 % above the full pack is strained', () => {
    const state = (limit: number) => find(4, 'lipo', board(2, 3, limit), 'Full pack').state;
    // 16.8 V full; 16.8 x 1.05 = 17.64 V.
    expect([16.7, 16.8, 17.6, 17.7, 30].map(state)).toEqual(['breaks', 'strained', 'strained', 'holds', 'holds']);
  });
  test('the sentence has both figures', () => {
    expect(sentenceOf(find(6, 'lipo', board(2, 4), 'Full pack'))).toBe(
      '6 cells reach 25.2 V when full; the board takes 4 cells at most, 16.8 V full: the full pack would destroy it.',
    );
    expect(sentenceOf(find(4, 'lipo', board(2, 6, 17), 'Full pack'))).toContain('17 V at most');
  });
});

describe('the empty pack', () => {
  test('a board starts on as many cells as it asks for, and not on fewer', () => {
    for (let cells = 1; cells <= 8; cells++)
      for (let min = 1; min <= 8; min++)
        expect(find(cells, 'lipo', board(min, 8), 'Empty pack').state, `${cells} from ${min}`).toBe(
          cells >= min ? 'holds' : 'breaks',
        );
  });
});

describe('unknown is never yes', () => {
  const of = (change: object) => checkPack(pack(4), makeBoard(change)).map((f) => f.state);
  test('neither end said', () =>
    expect(of({ packCells: { min: unknown, max: unknown } })).toEqual(['unknown', 'unknown']));
  test('a limit in volts says nothing of the least', () =>
    expect(of({ packCells: { min: unknown, max: unknown }, packMaxVolts: says(30) })).toEqual(['holds', 'unknown']));
  test('a range is judged at its worst end, and is open between', () => {
    const range = (low: number, high: number) =>
      of({ packCells: { min: says(2), max: { low, high, origin: 'print' } } })[0];
    expect([range(4, 6), range(3, 6), range(2, 3)]).toEqual(['holds', 'unknown', 'breaks']);
  });
});
