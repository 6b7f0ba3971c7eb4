import { gunzipSync } from 'node:zlib';
import { expect, test } from 'vitest';
import { keptUnder, packed, takesPacked } from './packed';

test('a body is packed for whoever says that it takes it so, and for no others', () => {
  const asked = (accept?: string) => takesPacked({ headers: new Headers(accept === undefined ? {} : { accept }) });
  expect(
    ['application/gzip', 'application/json, application/gzip', '*/*', 'application/json', undefined].map(asked),
  ).toEqual([true, true, false, false, false]);
});

test('unpacked it is what it was; it is kept under its tag, and only the last few are', async () => {
  const text = JSON.stringify(Array.from({ length: 1000 }, (_, i) => ({ name: `Board ${i}`, said: 'ü\u2028' })));
  const body = await packed(text, 'a');
  expect(gunzipSync(body).toString()).toBe(text);
  expect(body.length).toBeLessThan(text.length / 8);
  expect(keptUnder('a')).toBe(body);
  expect(keptUnder('b')).toBeNull();
  for (const tag of ['b', 'c', 'd', 'e']) await packed('x', tag);
  expect(keptUnder('a')).toBeNull();
});
