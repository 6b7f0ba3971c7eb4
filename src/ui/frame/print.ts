import { useSyncExternalStore } from 'react';
import { flushSync } from 'react-dom';

let printing = false;
const told = new Set<() => void>();

function say(is: boolean): void {
  printing = is;
  // Paper takes the page as it is when this returns.
  flushSync(() => told.forEach((tell) => tell()));
}

function listen(tell: () => void): () => void {
  if (told.size === 0) {
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
  }
  told.add(tell);
  return () => {
    told.delete(tell);
    if (told.size > 0) return;
    window.removeEventListener('beforeprint', before);
    window.removeEventListener('afterprint', after);
  };
}

/** Paper is ink on white whatever the light on the screen is. */
let scheme: string | null = null;

function before(): void {
  scheme = document.documentElement.getAttribute('data-scheme');
  document.documentElement.setAttribute('data-scheme', 'light');
  say(true);
}

function after(): void {
  if (scheme !== null) document.documentElement.setAttribute('data-scheme', scheme);
  say(false);
}

/** Is the page being put on paper? Then a list shows all its rows, and not only those in sight. */
export function usePrinting(): boolean {
  return useSyncExternalStore(
    listen,
    () => printing,
    () => false,
  );
}
