import { startFaults } from './start-faults';
import { watchForStop } from './stopping';

/**
 * Settings are looked at, the address is this machine's unless accounts are on, and the role in the database is one that row security holds for. Otherwise the server ends
 * with a sentence for each fault.
 */
export async function begin(): Promise<void> {
  if (process.env.NODE_ENV !== 'production') return;
  watchForStop();
  const faults = await startFaults(process.argv, process.env);
  if (faults.length === 0) return;
  console.error(['Rung was not started:', ...faults].join('\n'));
  process.exit(1);
}
