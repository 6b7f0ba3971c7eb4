import { gunzipSync } from 'node:zlib';
import { expect, test } from 'vitest';
import { keptUnder, packed, taggedReply, takesPacked } from './packed';

test('a body is packed for whoever says that it takes it so, and for no others', () => {
  const asked = (accept?: string, url = 'http://rung/api/shelf') =>
    takesPacked({ url, headers: new Headers(accept === undefined ? {} : { accept }) });
  expect(
    ['application/gzip', 'application/json, application/gzip', '*/*', 'application/json', undefined].map((a) =>
      asked(a),
    ),
  ).toEqual([true, true, false, false, false]);
  expect(asked('*/*', 'http://rung/api/builds/a/likely?packed')).toBe(true);
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

test('a body under a tag: nothing for whoever has it, packed or plain for others, and made only where it is needed', async () => {
  let made = 0;
  const text = () => Promise.resolve(`{"n":${++made}}`);
  const ask = (headers: Record<string, string>, keep = false) =>
    taggedReply({ url: 'http://rung/api/shelf', headers: new Headers(headers) }, '"t"', text, { keep });
  for (const has of ['"t"', 'W/"t"']) expect((await ask({ 'if-none-match': has })).status).toBe(304);
  expect(made).toBe(0);
  const plain = await ask({ 'if-none-match': '"older"' });
  expect([plain.status, plain.headers.get('etag'), await plain.json()]).toEqual([200, '"t"', { n: 1 }]);
  const body = async (keep: boolean) =>
    gunzipSync(Buffer.from(await (await ask({ accept: 'application/gzip' }, keep)).arrayBuffer())).toString();
  // The two forms are told apart: a browser that has kept the one is sent the other.
  const packedNow = await ask({ accept: 'application/gzip', 'if-none-match': '"t"' });
  expect([packedNow.status, packedNow.headers.get('etag')]).toEqual([200, '"t-packed"']);
  expect((await ask({ accept: 'application/gzip', 'if-none-match': '"t-packed"' })).status).toBe(304);
  expect((await ask({ 'if-none-match': '"t-packed"' })).status).toBe(200);
  made = 1;
  expect([await body(false), await body(true), await body(true)]).toEqual(['{"n":2}', '{"n":3}', '{"n":3}']);
});
