import { under } from '../room/ask-server';
import { knownStands } from '../home/known-stands';
import { knownRankings } from '../room/known-rankings';
import { screenAddress, screens } from './screens';

/** Kept once everything that the page at hand needs has come. */
const quietMs = 4000;

/** Lets the screens of a build be read while the server is away (public/offline.js). A browser without such workers goes on as before. */
export function keepForLater(build: string): () => void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return () => undefined;
  const timer = setTimeout(() => {
    void navigator.serviceWorker
      .register(under('/offline.js'), { scope: under('/') })
      .then(() => navigator.serviceWorker.ready)
      .then(({ active }) =>
        active?.postMessage({
          keep: ['/', '/glossary', ...Object.keys(screens).map((s) => screenAddress(build, s))].map(under),
        }),
      )
      .catch(() => undefined);
  }, quietMs);
  return () => clearTimeout(timer);
}

/** Whoever leaves takes what was kept along: the next one at this browser must not read it. */
export async function forgetKept(): Promise<void> {
  await Promise.all([knownRankings.forget(), knownStands.forget()]);
  if (!('caches' in window)) return;
  await Promise.all((await caches.keys()).map((name) => caches.delete(name)));
}
