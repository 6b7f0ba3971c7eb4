import { isDatabaseDown } from '../db/faults';
import { roleFault } from '../db/app-role';
import { readSettings } from './settings';

const ownAddresses = ['127.0.0.1', 'localhost', '::1'];

/** Why a server with these words and settings must not start, each in a sentence; empty where it may. */
export async function startFaults(
  words: readonly string[],
  env: Record<string, string | undefined>,
): Promise<string[]> {
  const settings = readSettings(env);
  if ('faults' in settings) return settings.faults;
  const at = words.findIndex((word) => word === '-H' || word === '--hostname');
  const address = at > 0 ? words[at + 1] : undefined;
  const faults: string[] = [];
  if (settings.RUNG_ACCOUNTS === 'off' && !(address !== undefined && ownAddresses.includes(address)))
    faults.push(
      'It would listen beyond this machine without accounts. Start it with "npm start" or "npm run demo", or set RUNG_ACCOUNTS=on (docs/running.md).',
    );
  try {
    const role = await roleFault(settings.DATABASE_URL);
    if (role !== null) faults.push(role);
  } catch (error) {
    // It says so on every page, and goes on when the database is back.
    if (!isDatabaseDown(error)) throw error;
  }
  return faults;
}
