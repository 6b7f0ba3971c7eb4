import { execFileSync } from 'node:child_process';
import { expect, test } from 'vitest';

/** What a route logs when a query fails, as another process prints it: names and places, never what somebody typed. */
test('the log of a fault names it by number and place and holds nothing that was typed', () => {
  const script = `
    import { answer } from './src/server/answer.ts';
    const typed = 'a secret address of the buyer';
    const cause = Object.assign(new Error('could not serialize'), { code: '40001' });
    const failing = new Error('Failed query: update builds set body = $1\\nparams: ' + typed, { cause });
    const request = new Request('http://127.0.0.1:4000/api/builds/x?about=' + encodeURIComponent(typed), {
      method: 'PUT', body: JSON.stringify({ typed }),
      headers: { host: '127.0.0.1:4000', origin: 'http://127.0.0.1:4000', cookie: typed, authorization: typed },
    });
    const reply = await answer(request, 'read', () => Promise.reject(failing));
    console.log('REPLY ' + reply.status + ' ' + (await reply.text()));
  `;
  const out = execFileSync(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', script], {
    encoding: 'utf8',
    env: { ...process.env, NODE_ENV: 'production' },
  });
  const [logged, reply] = [
    out.split('\n').find((l) => l.startsWith('{'))!,
    out.split('\n').find((l) => l.startsWith('REPLY'))!,
  ];
  const number = /it stands in the log as (\w{8})/.exec(reply)![1]!;
  expect(JSON.parse(logged)).toMatchObject({ number, err: { causes: [{ name: 'Error' }, { code: '40001' }] } });
  expect(out).not.toContain('secret');
  expect(reply).not.toContain('update builds');
});
