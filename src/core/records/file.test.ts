import { Ajv2020 } from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { makeBoard, makeBuild } from '../tests/make';
import { fileSchemas, jsonSchemaOf, readData, readFile, type FileFormat } from './file';

const demo = ['demo/shelf.json', ...readdirSync('demo/builds').map((f) => `demo/builds/${f}`)];

describe('reading', () => {
  test.each(demo)('%s is sound and survives a round trip', (path) => {
    const first = readFile(readFileSync(path, 'utf8'));
    if (!first.ok) throw new Error(JSON.stringify(first.faults));
    const again = readFile(JSON.stringify(first.value));
    expect(again).toEqual(first);
  });

  test.each([
    ['', 'This is not JSON: the text is empty.'],
    [
      '{"first": "a line that is long enough",\n"second": "this one has no comma after it"\n"third": 3}',
      'This is not JSON: something is wrong near line 3.',
    ],
    ['[]', 'Expected an object with a "format" field; the file begins with "[]".'],
    ['{"format":"rung-shelf"}', 'Expected rung-build; found "rung-shelf".'],
    ['{"format":"rung-build","version":7}', 'This file has version 7; this Rung reads up to 2. Bring Rung up to date.'],
  ])('%j is refused with a sentence', (text, sentence) => {
    const read = readFile(text, 'rung-build');
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.faults[0]!.sentence).toBe(sentence);
  });

  test('a fault names its field and what stands there', () => {
    const broken = { ...makeBuild(), pack: { cells: 'six', chemistry: 'lipo', massG: { value: 1, origin: 'claim' } } };
    const read = readData(broken, 'rung-build');
    expect(read).toEqual({
      ok: false,
      faults: [{ field: 'pack.cells', sentence: 'Expected number, received string; found "six".' }],
    });
  });

  test('a figure that is neither a value, a range nor unknown is named down to its part', () => {
    const read = readData({ ...makeBoard(), massG: { value: 3, origin: 'hearsay' } }, 'rung-board');
    expect(read.ok ? '' : read.faults[0]!.field).toBe('massG.origin');
  });

  test.each([
    [
      'rails',
      [
        { id: 'a', label: 'A', source: { kind: 'either', of: ['b', 'b'] } },
        { id: 'b', label: 'B', source: { kind: 'either', of: ['a', 'a'] } },
      ],
      'step by step, from itself',
    ],
    [
      'ports',
      [{ id: 'p', label: 'P', rx: [{ pad: 'nowhere' }] }],
      'Expected the id of a pad of this board; found "nowhere".',
    ],
    [
      'bridges',
      [
        {
          id: 'x',
          label: 'X',
          form: 'jumper',
          positions: [
            { id: 'on', label: 'on' },
            { id: 'off', label: 'off' },
          ],
          factory: 'half',
        },
      ],
      'Bridge "x" has no position "half".',
    ],
  ])('%s that point nowhere are refused', (field, value, words) => {
    const read = readData({ ...makeBoard(), [field]: value }, 'rung-board');
    expect(read.ok ? '' : read.faults.map((f) => f.sentence).join(' ')).toContain(words);
  });

  test('data deeper than anything can write is refused with a sentence, wherever it stands', () => {
    let deep: unknown = 1;
    for (let i = 0; i < 20_000; i++) deep = { a: deep };
    for (const data of [{ ...makeBoard(), id: deep }, { ...makeBoard(), version: deep }, { format: deep }]) {
      const read = readData(data, 'rung-board');
      expect(read.ok ? '' : read.faults[0]!.sentence).toContain('found');
    }
  });

  test('hostile contents do no harm: prototype keys, deep nesting, huge numbers', () => {
    expect(readFile('{"__proto__":{"polluted":1},"format":"rung-build","version":1}').ok).toBe(false);
    expect(({} as { polluted?: number }).polluted).toBeUndefined();
    expect(readFile(`${'['.repeat(50_000)}${']'.repeat(50_000)}`).ok).toBe(false);
    expect(readData({ ...makeBuild(), limits: { takeOffMassG: 1e400, budgetCents: 1 } }, 'rung-build').ok).toBe(false);
  });
});

// JSON Schema 2020-12, checked with a validator that shares no code with ours.
describe('published JSON Schema', () => {
  const ajv = new Ajv2020({ strict: false });
  addFormats(ajv as never);
  // Making a check of the schema of builds takes seconds: once for all files.
  const made = new Map<FileFormat, ReturnType<typeof ajv.compile>>();
  const validator = (format: FileFormat) => {
    const check = made.get(format) ?? ajv.compile(jsonSchemaOf(format));
    made.set(format, check);
    return check;
  };

  test.each(Object.keys(fileSchemas) as FileFormat[])('%s in docs/schema is the one the code reads by', (format) => {
    expect(JSON.parse(readFileSync(`docs/schema/${format}.schema.json`, 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(jsonSchemaOf(format))),
    );
  });

  test.each(demo)('accepts %s', (path) => {
    const data = JSON.parse(readFileSync(path, 'utf8')) as { format: FileFormat };
    const check = validator(data.format);
    expect(check(data), JSON.stringify(check.errors?.[0])).toBe(true);
  });

  test('refuses what the reader refuses', () => {
    const check = validator('rung-board');
    expect(check({ ...makeBoard(), massG: 3 })).toBe(false);
    expect(check({ ...makeBoard(), surprise: true })).toBe(false);
  });
});
