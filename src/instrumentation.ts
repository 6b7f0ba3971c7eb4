/** Before anything is served. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === 'nodejs') await (await import('./server/begin')).begin();
}
