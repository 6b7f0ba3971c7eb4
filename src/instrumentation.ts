/**
 * Before anything is served: settings are looked at, the address is this machine's unless accounts are on, and the role in the database is one that row security holds for.
 * Otherwise the server ends with a sentence for each fault.
 */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NODE_ENV !== 'production') return;
  const { watchForStop } = await import('./server/stopping');
  watchForStop();
  const { startFaults } = await import('./server/start-faults');
  const faults = await startFaults(process.argv, process.env);
  if (faults.length === 0) return;
  console.error(['Rung was not started:', ...faults].join('\n'));
  process.exit(1);
}
