import { expect, test } from 'vitest';
import { glossary } from './glossary';

test('each term stands once, in a sentence that ends, and none is explained by itself', () => {
  expect(new Set(glossary.map((g) => g.term)).size).toBe(glossary.length);
  for (const { term, means } of glossary) {
    expect(means).toMatch(/^[A-Z].*\.$/);
    expect(means.toLowerCase().startsWith(term.toLowerCase())).toBe(false);
  }
});
