import { describe, expect, test } from 'vitest';
import { labelRows } from './label-rows';

const pad = (id: string, label: string, x: number, more: object = {}) => ({
  id,
  label,
  x,
  edge: 'front' as const,
  ...more,
});

describe('labels of pads beside one another', () => {
  test('labels with room for each other stand in one row, others in two', () => {
    // "Output 6" is about 39 px wide, "LED" 15: their middles need 30 px.
    expect([...labelRows([pad('a', 'Output 6', 100), pad('b', 'LED', 131)]).values()]).toEqual([0, 0]);
    expect([...labelRows([pad('a', 'Output 6', 100), pad('b', 'LED', 125)]).values()]).toEqual([0, 1]);
  });
  test('of three close ones the third is back in the first row', () => {
    expect([...labelRows([pad('c', 'S3', 40), pad('a', 'S1', 20), pad('b', 'S2', 30)]).entries()]).toEqual([
      ['a', 0],
      ['b', 1],
      ['c', 0],
    ]);
  });
  test('edges do not meet, and labels at the sides need no rows', () => {
    const rows = labelRows([
      pad('a', 'Output 6', 100),
      pad('b', 'LED', 101, { edge: 'rear' }),
      pad('d', 'LED', 103, { edge: 'left' }),
    ]);
    expect([rows.get('a'), rows.get('b'), rows.get('d')]).toEqual([0, 0, undefined]);
  });
});
