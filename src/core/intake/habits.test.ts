import { describe, expect, test } from 'vitest';
import { boardSchema } from '../records/board';
import { newBoard } from '../records/new-board';
import { doubtedByHabit, habitsOf, withCorrection, withoutHabit } from './habits';
import { readSpec } from './read-spec';

const [read] = readSpec('5 V 3 A BEC');
const board = withCorrection(newBoard('h', 'Heron', 'Fenwick'), read!, { ...read!, value: '5@2' }, '2026-11-28');
const shelf = [board, newBoard('o', 'Other', 'Elsewhere')];

describe("what had to be put right on a maker's pages", () => {
  test('is kept with the board and doubts such figures of the same maker from then on, saying why', () => {
    const habits = habitsOf('FENWICK', shelf);
    expect(habits).toEqual([{ field: 'regulators', cases: [{ board: 'Heron', read: '5@3', meant: '5@2' }] }]);
    const [doubted, sure] = doubtedByHabit(readSpec('9 V 2 A BEC, weight 8 g'), habits);
    expect(doubted).toMatchObject({ doubt: 'likely', why: "on Heron this maker's 5@3 had to be put right to 5@2" });
    expect(sure!.doubt).toBe('sure');
    expect(habitsOf('Elsewhere', shelf)).toEqual([]);
    expect(boardSchema.safeParse(board).success).toBe(true);
  });
  test('a reading that is taken as it was read is no correction', () =>
    expect(withCorrection(board, read!, read!, '2026-11-28')).toBe(board));
  test('is no habit any more once it is revoked', () => {
    const [changed, ...others] = withoutHabit('fenwick', 'regulators', shelf);
    expect(others).toEqual([]);
    expect(habitsOf('Fenwick', [changed!])).toEqual([]);
    expect(withoutHabit('Fenwick', 'regulators', [changed!])).toEqual([]);
  });
});
