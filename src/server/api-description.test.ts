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
  for (const [, name] of text.matchAll(/#\/components\/schemas\/([\w-]+)/g))
    expect(Object.keys(description.components.schemas)).toContain(name);
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
