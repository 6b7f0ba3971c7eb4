import { Validator } from '@seriousme/openapi-schema-validator';
import { expect, test } from 'vitest';
import { apiDescription, operations } from './api-description';

test('the description of the API is valid OpenAPI 3.1 by its own schema (spec.openapis.org), and every reference in it leads somewhere', async () => {
  const description = apiDescription('http://127.0.0.1:4000/') as { paths: object; components: { schemas: object } };
  const validator = new Validator();
  const { valid, errors } = await validator.validate(structuredClone(description));
  expect(errors ?? []).toEqual([]);
  expect(valid).toBe(true);
  expect(validator.version).toBe('3.1');
  const text = JSON.stringify(description);
  const at = (pointer: string) =>
    pointer
      .split('/')
      .slice(1)
      .reduce<unknown>((into, key) => (into as Record<string, unknown> | undefined)?.[key], description);
  const pointers = new Set([...text.matchAll(/"\$ref":"(#[^"]*)"/g)].map(([, pointer]) => pointer!));
  expect(pointers.size).toBeGreaterThan(100);
  for (const pointer of pointers) expect(at(pointer), pointer).toBeTypeOf('object');
});

test('every operation has an id of its own, says what it does, and what it needs', () => {
  const described = Object.values(
    (apiDescription('http://x/') as { paths: Record<string, Record<string, { operationId: string; summary: string }>> })
      .paths,
  ).flatMap((p) => Object.values(p));
  expect(described).toHaveLength(Object.keys(operations).length);
  expect(new Set(described.map((d) => d.operationId)).size).toBe(described.length);
  for (const d of described) expect(d.summary).toMatch(/[.?]$/);
});
