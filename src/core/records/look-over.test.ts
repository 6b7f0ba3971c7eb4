import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { fileSchemas, jsonSchemaOf, openFile, readFile, type FileFormat } from './file';
import { fileMost, lookOver } from './look-over';

const shelf = (boards: string) => `{"format":"rung-shelf","version":1,"name":"x","boards":[${boards}]}`;
const sentenceOf = (text: string) => {
  const read = readFile(text);
  return read.ok ? 'read' : read.faults[0]!.sentence;
};

describe('a file is looked over before anything is built from it', () => {
  test.each([
    ['deep', `${'{"a":'.repeat(fileMost.depth + 1)}1`, 'levels'],
    ['deep inside a shelf', shelf('['.repeat(fileMost.depth)), 'levels'],
    ['a long list', `{"parts":[${'0,'.repeat(fileMost.entries)}0]}`, 'entries'],
    ['a shelf of too many boards', shelf(`${'{},'.repeat(fileMost.entries)}{}`), 'entries'],
    ['many keys', `{${Array.from({ length: fileMost.entries + 1 }, (_, i) => `"k${i}":0`).join()}}`, 'entries'],
    ['many values', `{"a":[${Array.from({ length: 100 }, () => `[${'0,'.repeat(3000)}0]`).join()}]}`, 'values'],
    ['a long text', shelf(`"${'x'.repeat(fileMost.characters + 1)}"`), 'characters'],
    ['a text of quotes', shelf(`"${'\\"'.repeat(fileMost.characters)}"`), 'characters'],
    ['a text without end', '{"a":"', 'no end'],
    ['no object', '[1]', 'begins with'],
    ['nothing', ' \n\t', 'empty'],
  ])('%s is refused with a sentence', (_, text, word) => {
    expect(sentenceOf(text)).toContain(word);
    const seen = lookOver(text);
    expect(seen.ok).toBe(false);
  });

  test('the limits themselves are allowed', () => {
    expect(lookOver(`{"a":[${'0,'.repeat(fileMost.entries - 1)}0]}`).ok).toBe(true);
    expect(lookOver(`{"a":"${'x'.repeat(fileMost.characters - 1)}"}`).ok).toBe(true);
    expect(lookOver(`${'{"a":'.repeat(fileMost.depth - 1)}{}${'}'.repeat(fileMost.depth - 1)}`).ok).toBe(true);
  });

  test('a shelf read piece by piece is the shelf read whole, whatever stands in it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.jsonValue({ maxDepth: 3 }), { maxLength: 6 }),
        fc.array(fc.jsonValue({ maxDepth: 2 }), { maxLength: 3 }),
        fc.string(),
        fc.boolean(),
        (boards, peripherals, name, wide) => {
          const file = { name, boards, format: 'rung-shelf', peripherals, after: [boards] };
          const opened = openFile(JSON.stringify(file, null, wide ? 2 : undefined));
          if (!opened.ok) throw new Error(opened.faults[0]!.sentence);
          const { frame, lists } = opened.value;
          expect(frame).toEqual({ ...file, boards: [], peripherals: [] });
          for (const key of ['boards', 'peripherals'] as const)
            expect(lists[key].map((open) => open())).toEqual(
              file[key].map((value) => ({ ok: true, value: JSON.parse(JSON.stringify(value)) as unknown })),
            );
        },
      ),
      { numRuns: 500, seed: 17 },
    );
  });

  test.each([
    ['in an entry', '{"format":"rung-shelf","version":1,"name":"x",\n"boards":[\n{"a":1},\n{"a" 1}\n]}', 4],
    ['after the entries', '{"format":"rung-shelf","version":1,\n"boards":[\n{},\n{}\n],\n"name" 1}', 6],
    ['between entries', '{"format":"rung-shelf","version":1,"name":"x","boards":[\n{}\n{}]}', 3],
  ])('what is no JSON %s is found on its line', (_, text, line) => {
    const read = readFile(text);
    expect(read.ok ? [] : read.faults.map((f) => f.sentence)).toContain(
      `This is not JSON: something is wrong near line ${line}.`,
    );
  });

  test('reading ends at twenty faults, and each says which board it is about', () => {
    const read = readFile(shelf(Array.from({ length: 5000 }, () => '{"format":"rung-board"}').join()));
    expect(read.ok ? 0 : read.faults.length).toBe(20);
    expect(read.ok ? '' : read.faults[0]!.field).toMatch(/^boards\[0\]\./);
    const late = JSON.parse(readFileSync('demo/shelf.json', 'utf8')) as { boards: { massG: unknown }[] };
    late.boards[39]!.massG = 'heavy';
    const said = readFile(JSON.stringify(late));
    expect(said.ok ? '' : said.faults[0]!.field).toBe('boards[39].massG');
  });
});

/** Every text, list and record of a JSON Schema that has no most. */
function boundless(schema: unknown, at = ''): string[] {
  if (Array.isArray(schema)) return schema.flatMap((s, i) => boundless(s, `${at}[${i}]`));
  if (typeof schema !== 'object' || schema === null) return [];
  const s = schema as Record<string, unknown>;
  const own: string[] = [];
  // A pattern may bound a text as well; those of ids and days do.
  if (s.type === 'string' && !('maxLength' in s || 'enum' in s || 'const' in s || 'format' in s || 'pattern' in s))
    own.push(at);
  if (s.type === 'array' && !('maxItems' in s || 'prefixItems' in s)) own.push(at);
  const keys = s.propertyNames as { enum?: unknown } | undefined;
  if (s.type === 'object' && typeof s.additionalProperties === 'object' && !('maxProperties' in s || keys?.enum))
    own.push(at);
  return [...own, ...Object.entries(s).flatMap(([key, value]) => boundless(value, `${at}.${key}`))];
}

test.each(Object.keys(fileSchemas) as FileFormat[])('every text, list and record of %s has a most', (format) => {
  expect(boundless(jsonSchemaOf(format))).toEqual([]);
});
