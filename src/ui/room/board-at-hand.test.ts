import { describe, expect, test } from 'vitest';
import type { Build, Ranked } from '@/core';
import { boardAtHand } from './board-at-hand';

const order = ['a', 'b', 'c~d'].map((boardId, i) => ({ rank: i + 1, climb: { boardId } }) as Ranked);
const pick = (id: string, others: string[] = []) =>
  ({
    board: { id, name: id.toUpperCase() },
    with: others.map((o) => ({ id: o, name: o.toUpperCase() })),
  }) as unknown as Build['picks'][number];
const settled = { ranked: order, busy: false };
const busy = { ranked: order, busy: true };
const at = (...asked: Parameters<typeof boardAtHand>) => {
  const { ranked, ...more } = boardAtHand(...asked);
  return [ranked?.climb.boardId ?? null, more.named, more.missing, more.pickGone];
};

describe('the board at hand', () => {
  test('is the one that the address names, before any pick', () => {
    expect(at('b', [pick('a')], settled)).toEqual(['b', true, null, null]);
    expect(at('c~d', [], busy)).toEqual(['c~d', true, null, null]);
  });

  test('another never stands in for what the address names: it is waited for, and then said to be missing', () => {
    expect(at('x', [pick('a')], { ranked: null, busy: true })).toEqual([null, false, null, null]);
    expect(at('x~y', [], busy)).toEqual([null, false, null, null]);
    expect(at('x~y', [pick('a')], settled)).toEqual([null, false, 'x~y', null]);
  });

  test('is the last pick, a set too; while that is on its way none', () => {
    expect(at(null, [pick('a'), pick('b')], settled)).toEqual(['b', false, null, null]);
    expect(at(null, [pick('c', ['d'])], settled)).toEqual(['c~d', false, null, null]);
    expect(at(null, [pick('x', ['y'])], busy)).toEqual([null, false, null, null]);
  });

  test('is the first of the ladder without a pick, and where the pick is gone, which is said', () => {
    expect(at(null, [], busy)).toEqual(['a', false, null, null]);
    expect(at(null, [pick('x', ['y'])], settled)).toEqual(['a', false, null, 'X + Y']);
    expect(at(null, [], { ranked: null, busy: true })).toEqual([null, false, null, null]);
    expect(at(null, [], { ranked: [], busy: false })).toEqual([null, false, null, null]);
  });
});
