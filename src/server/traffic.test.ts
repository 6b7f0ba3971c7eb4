import { expect, test } from 'vitest';
import { NextResponse } from 'next/server';
import { answer } from './answer';
import { letIn } from './traffic';

const nothing = () => Promise.resolve('done');

test('what comes too often is told so in a sentence with when to come again; reading goes on', async () => {
  let refused = 0;
  for (let i = 0; i < 1_600; i++) if ((await letIn('PUT', nothing)) !== 'done') refused++;
  expect(refused).toBeGreaterThan(50);
  expect(await letIn('PUT', nothing)).toMatchObject({
    sentence: expect.stringContaining('ask again in'),
    wait: expect.any(Number),
  });
  expect(await letIn('GET', nothing)).toBe('done');
});

test('a route answers so with 429 and Retry-After, as problem details', async () => {
  const request = new Request('http://127.0.0.1:4000/api/builds/x', {
    method: 'PUT',
    headers: { host: '127.0.0.1:4000', origin: 'http://127.0.0.1:4000' },
  });
  const reply = await answer(request, 'read', () => Promise.resolve(NextResponse.json({})));
  expect(reply.status).toBe(429);
  expect(Number(reply.headers.get('retry-after'))).toBeGreaterThan(0);
  expect(await reply.json()).toMatchObject({ status: 429, detail: expect.stringContaining('Nothing was changed') });
});

test('no more than two hundred are at work at once, and a fault of one lets the next in', async () => {
  let open = () => {};
  const held = new Promise<string>((resolve) => (open = () => resolve('done')));
  const inside = Array.from({ length: 200 }, () => letIn('GET', () => held));
  expect(await letIn('GET', nothing)).toMatchObject({ sentence: expect.stringContaining('at once') });
  open();
  await Promise.all(inside);
  await expect(letIn('GET', () => Promise.reject(new Error('ours')))).rejects.toThrow('ours');
  expect(await letIn('GET', nothing)).toBe('done');
});
