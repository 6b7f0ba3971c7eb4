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

const before = () => say(true);
const after = () => say(false);

/** Is the page being put on paper? Then a list shows all its rows, and not only those in sight. */
export function usePrinting(): boolean {
  return useSyncExternalStore(
    listen,
    () => printing,
    () => false,
  );
}
