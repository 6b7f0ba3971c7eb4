const kept = globalThis as { rungStopping?: boolean };

/** From a signal to stop on: requests that are in are answered, no new ones are asked for. */
export function isStopping(): boolean {
  return kept.rungStopping === true;
}

/** The server itself ends its open requests on SIGTERM; this says so to whatever shares requests out. */
export function watchForStop(): void {
  process.once('SIGTERM', () => (kept.rungStopping = true));
}
