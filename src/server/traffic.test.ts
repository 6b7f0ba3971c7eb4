import { expect, test } from 'vitest';
import { NextResponse } from 'next/server';
import { answer } from './answer';
import { everybody, fromAddress, letIn, ofPerson } from './traffic';

const nothing = () => Promise.resolve('done');

test('what comes too often is told so in a sentence with when to come again; reading goes on', async () => {
  let refused = 0;
  for (let i = 0; i < 1_600; i++) if ((await letIn('PUT', everybody, nothing)) !== 'done') refused++;
  expect(refused).toBeGreaterThan(50);
  expect(await letIn('PUT', everybody, nothing)).toMatchObject({
    sentence: expect.stringContaining('ask again in'),
    wait: expect.any(Number),
  });
  expect(await letIn('GET', everybody, nothing)).toBe('done');
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
  const inside = Array.from({ length: 200 }, () => letIn('GET', everybody, () => held));
  expect(await letIn('GET', everybody, nothing)).toMatchObject({ sentence: expect.stringContaining('at once') });
  open();
  await Promise.all(inside);
  await expect(letIn('GET', everybody, () => Promise.reject(new Error('ours')))).rejects.toThrow('ours');
  expect(await letIn('GET', everybody, nothing)).toBe('done');
});

test('one person, or one address, never takes all of it: the others go on', async () => {
  let open = () => {};
  const held = new Promise<string>((resolve) => (open = () => resolve('done')));
  const greedy = Array.from({ length: 300 }, () => letIn('GET', ofPerson('greedy'), () => held));
  expect(await letIn('GET', ofPerson('greedy'), nothing)).toMatchObject({ wait: 1 });
  expect(await letIn('GET', ofPerson('patient'), nothing)).toBe('done');
  open();
  expect((await Promise.all(greedy)).filter((r) => r === 'done')).toHaveLength(40);
  expect(await letIn('GET', ofPerson('greedy'), nothing)).toBe('done');
  for (let i = 0; i < 750; i++) await letIn('PUT', fromAddress('one'), nothing);
  expect(await letIn('PUT', fromAddress('one'), nothing)).toMatchObject({
    sentence: expect.stringContaining('in 10 seconds'),
  });
  expect(await letIn('PUT', fromAddress('two'), nothing)).toBe('done');
});
