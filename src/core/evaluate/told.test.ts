import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { demoBuilds, demoShelf } from '../tests/demo';
import { carriedLines, toldLines } from '../tests/telling-pairs';

/** Intended changes are recorded by `npm run -s bench -- climbs write`: what changed is then read line by line. */
test('what is said of eighty pairs, and what goes along with boards and sets that carry, is what was recorded, to the word', () => {
  const recorded = readFileSync('bench/recorded-words.txt', 'utf8').split('\n').slice(0, -1);
  const [builds, { boards }] = [demoBuilds(), demoShelf()];
  const told = [...toldLines(builds, boards), ...carriedLines(builds, boards)];
  expect(told.filter((line) => !recorded.includes(line))).toEqual([]);
  expect(told).toEqual(recorded);
});
