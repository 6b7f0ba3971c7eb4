import { expect, test } from 'vitest';
import { capital, counted, list } from './spelled';

test('things are counted in English', () => {
  expect([counted(1, 'board'), counted(3, 'board')]).toEqual(['1 board', '3 boards']);
  expect([counted(2, 'battery'), counted(4, 'day'), counted(2, 'reply')]).toEqual([
    '2 batteries',
    '4 days',
    '2 replies',
  ]);
});

test('words stand beside each other with commas and an "and"', () => {
  expect([list([]), list(['a']), list(['a', 'b']), list(['a', 'b', 'c'])]).toEqual(['', 'a', 'a and b', 'a, b and c']);
  expect(capital('a word')).toBe('A word');
});
