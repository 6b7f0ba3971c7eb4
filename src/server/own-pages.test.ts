import { describe, expect, test } from 'vitest';
import { refusalOf } from './own-pages';

const asked = (method: string, host: string | null, origin?: string) => {
  const headers = new Headers();
  if (host !== null) headers.set('host', host);
  if (origin !== undefined) headers.set('origin', origin);
  return refusalOf({ method, headers }) === null;
};

describe('who is answered', () => {
  test.each(['127.0.0.1:3000', 'localhost:3000', 'LOCALHOST', '[::1]:80'])('%s is this machine', (host) => {
    expect(asked('GET', host)).toBe(true);
    expect(asked('POST', host, `http://${host}`)).toBe(true);
  });
  test.each([
    null,
    '',
    'rung.example',
    'rung.example:3000',
    '192.168.1.4:3000',
    '127.0.0.1.example',
    'localhost.example:80',
    'example@127.0.0.1',
    '127.0.0.1:3000, x',
    '0.0.0.0:3000',
    '127.0.0.1:3000/',
  ])('%s is not', (host) => {
    expect(asked('GET', host)).toBe(false);
    expect(asked('POST', host, `http://${host}`)).toBe(false);
  });
  test.each([
    undefined,
    'null',
    'http://example.com',
    'http://127.0.0.1:4000',
    'http://localhost:3000',
    'https://127.0.0.1:3000',
    'http://127.0.0.1:3000.example',
    '',
  ])('what changes something may not come from %s', (origin) => {
    for (const method of ['POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'])
      expect(asked(method, '127.0.0.1:3000', origin)).toBe(false);
  });
});
