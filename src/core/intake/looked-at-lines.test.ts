import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { readSpec } from './read-spec';

/** Lines as pages have them, invented, each with what was read of it when somebody looked last: `text => field=value; field=value?`, where `?` is in doubt and `!` contradicted. */
const lines = readFileSync('src/core/intake/looked-at-lines.txt', 'utf8').trimEnd().split('\n');
const marks = { sure: '', likely: '?', contradicted: '!' } as const;

const read = (text: string) =>
  readSpec(text)
    .map(({ field, value, doubt }) => `${field}=${value}${marks[doubt]}`)
    .join('; ');

test.each(lines.map((line) => line.split(' => ') as [string, string]))('%s', (text, known) =>
  expect(read(text)).toBe(known),
);
