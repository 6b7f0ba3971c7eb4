import { describe, expect, test } from 'vitest';
import { makeBuild } from '../tests/make';
import { readFile } from './file';
import { storableJson } from './storable';

describe('text that no database stores becomes the sign for an unknown letter', () => {
  test.each([
    ['a NUL', '"a\\u0000b"', 'a\ufffdb'],
    ['the first half of a pair alone', '"a\\ud83db"', 'a\ufffdb'],
    ['the second half alone', '"a\\uDE00b"', 'a\ufffdb'],
    ['two first halves, the second with its other', '"\\ud83d\\ud83d\\ude00"', '\ufffd\u{1f600}'],
    ['a whole pair', '"\\ud83d\\ude00"', '\u{1f600}'],
    ['a backslash before what looks like an escape', '"\\\\u0000 \\\\ud83d"', '\\u0000 \\ud83d'],
    ['other escapes', '"\\n\\t\\"\\u00e9"', '\n\t"é'],
  ])('%s', (_, json, meant) => {
    expect(JSON.parse(storableJson(json))).toBe(meant);
    expect(JSON.parse(storableJson(storableJson(json)))).toBe(meant);
  });
  test('a build that was cut in the middle of a letter is read, and can be saved', () => {
    const cut = '\u{1f600}'.slice(0, 1);
    const read = readFile(JSON.stringify(makeBuild({ name: `Kite ${cut}` })), 'rung-build');
    expect(read.ok && read.value.name).toBe('Kite \ufffd');
    expect(() => encodeURIComponent(read.ok ? read.value.name : '')).not.toThrow();
  });
});
