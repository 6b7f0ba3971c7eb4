/** Without accounts Rung must not be reachable from other machines: it does not start on any other address than loopback. */
export function register(): void {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NODE_ENV !== 'production') return;
  const at = process.argv.findIndex((word) => word === '-H' || word === '--hostname');
  const address = process.argv[at + 1];
  if (at > 0 && address !== undefined && ['127.0.0.1', 'localhost', '::1'].includes(address)) return;
  console.error(
    'Rung was not started: it would listen beyond this machine. Start it with "npm start" or "npm run demo".',
  );
  process.exit(1);
}
