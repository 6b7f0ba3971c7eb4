import { brotliDecompressSync, gunzipSync } from 'node:zlib';
import { expect, test } from 'vitest';
import { encodingFor, keptUnder, packed } from './packed';

const asked = (accept?: string) =>
  encodingFor({ headers: new Headers(accept === undefined ? {} : { 'accept-encoding': accept }) });

test('a body is packed as whoever asks accepts (RFC 9110, 12.5.3), and not at all for others', () => {
  expect(
    ['gzip, deflate, br', 'gzip', 'br;q=0, gzip;q=0.5', 'identity', 'GZIP', undefined, 'gzip;q=0.000'].map(asked),
  ).toEqual(['br', 'gzip', 'gzip', null, 'gzip', null, null]);
});

test('unpacked it is what it was; it is kept under its tag, and only the last few are', async () => {
  const text = JSON.stringify(Array.from({ length: 1000 }, (_, i) => ({ name: `Board ${i}`, said: 'ü\u2028' })));
  const body = await packed(text, 'a', 'br');
  expect(brotliDecompressSync(body).toString()).toBe(text);
  expect(body.length).toBeLessThan(text.length / 8);
  expect(gunzipSync(await packed(text, 'a', 'gzip')).toString()).toBe(text);
  expect(keptUnder('a', 'br')).toBe(body);
  expect(keptUnder('b', 'br')).toBeNull();
  for (const tag of ['b', 'c', 'd', 'e']) await packed('x', tag, 'br');
  expect(keptUnder('a', 'br')).toBeNull();
});
