import { expect, test } from 'vitest';
import { makeAppRole } from '../db/app-role';
import { freshDatabase } from '../db/tests/fresh-database';
import { startFaults } from './start-faults';
import { readSettings } from './settings';

const here = ['node', 'next', 'start', '-H', '127.0.0.1'];
const accounts = {
  RUNG_ACCOUNTS: 'on',
  RUNG_PUBLIC_ADDRESS: 'https://rung.example',
  RUNG_SECRET: 'x'.repeat(32),
};

test('it starts on loopback without accounts, beyond it only with them, and never as a role that owns the rows', async () => {
  const owner = await freshDatabase(process.env.TEST_DATABASE_URL!);
  const DATABASE_URL = await makeAppRole(owner);
  expect(await startFaults(here, { DATABASE_URL })).toEqual([]);
  for (const host of ['0.0.0.0', '192.168.1.4', '::', 'rung.example']) {
    const words = [...here.slice(0, 4), host];
    expect(await startFaults(words, { DATABASE_URL })).toEqual([expect.stringContaining('without accounts')]);
    expect(await startFaults(words, { DATABASE_URL, ...accounts })).toEqual([]);
  }
  // Next listens everywhere where it is told nothing.
  expect(await startFaults(['node', 'next', 'start'], { DATABASE_URL })).toHaveLength(1);
  expect(await startFaults(here, { DATABASE_URL: owner })).toEqual([expect.stringContaining('superuser')]);
});

test('a database that is away at the start is no fault of the settings', async () => {
  expect(await startFaults(here, { DATABASE_URL: 'postgres://rung:x@127.0.0.1:9/none' })).toEqual([]);
});

test.each([
  [{}, 'DATABASE_URL is not set'],
  [{ DATABASE_URL: 'mysql://x' }, 'begins with postgres'],
  [{ DATABASE_URL: 'postgres://x', RUNG_ACCOUNTS: 'yes' }, 'RUNG_ACCOUNTS expected on or off'],
  [{ DATABASE_URL: 'postgres://x', RUNG_ACCOUNTS: 'on' }, 'RUNG_PUBLIC_ADDRESS is not set'],
  [{ DATABASE_URL: 'postgres://x', ...accounts, RUNG_SECRET: 'hunter2' }, 'RUNG_SECRET is too short'],
  [
    { DATABASE_URL: 'postgres://x', ...accounts, RUNG_PUBLIC_ADDRESS: 'rung.example' },
    'RUNG_PUBLIC_ADDRESS is no address',
  ],
  [{ DATABASE_URL: 'postgres://x', RUNG_SHOP_URL: 'javascript:alert(1)' }, 'RUNG_SHOP_URL is no address'],
  [{ DATABASE_URL: 'postgres://x', RUNG_PATH: 'rung/' }, 'RUNG_PATH is no path'],
  [{ DATABASE_URL: 'postgres://x', RUNG_WORKERS: '65' }, 'RUNG_WORKERS is more than 64'],
  [{ DATABASE_URL: 'postgres://x', ...accounts, RUNG_PATH: '/rung' }, 'links would lead nowhere'],
  [{ DATABASE_URL: 'postgres://x', RUNG_TRAFFIC_TIMES: 'many' }, 'RUNG_TRAFFIC_TIMES is no number'],
])('settings %j: %s, in a sentence that tells no secret', (env, words) => {
  const read = readSettings(env);
  const said = 'faults' in read ? read.faults.join('\n') : '';
  expect(said).toContain(words);
  expect(said).not.toContain('hunter2');
});
