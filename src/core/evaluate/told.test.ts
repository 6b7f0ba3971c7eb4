import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { demoBuilds, demoShelf } from '../tests/demo';
import { readSections, sectionsOf } from '../tests/recorded-words';

const recorded = readSections(readFileSync('bench/recorded-words.txt', 'utf8'));
const sections = sectionsOf(demoBuilds(), demoShelf());

/** Intended changes are recorded by `npm run -s bench -- climbs write`: what changed is then read line by line. */
test.each(sections)('what is said and decided is what was recorded, to the word: $name', ({ name, lines }) => {
  expect(lines()).toEqual(recorded.get(name));
});

test('nothing is recorded that is said no more', () => {
  expect([...recorded.keys()]).toEqual(sections.map((s) => s.name));
});
