import { useEffect } from 'react';

/** One thing that can be taken out of a screen: put into the clipboard, or saved as a file of that name. */
export interface Out {
  says: string;
  text: () => string | Promise<string>;
  /** Left out: it is copied. */
  file?: { name: string; type: string };
}

/** What the screen at hand offers. Asked only when the menu opens, so that nothing is worked out before. */
let offered: (() => Out[]) | null = null;

export function outsOfScreen(): Out[] {
  return offered?.() ?? [];
}

/** A screen says what can be taken out of it. */
export function useTakeOut(outs: () => Out[]): void {
  useEffect(() => {
    offered = outs;
    return () => {
      if (offered === outs) offered = null;
    };
  });
}

export const csv = (name: string) => ({ name: `${name}.csv`, type: 'text/csv' });
export const markdown = (name: string) => ({ name: `${name}.md`, type: 'text/markdown' });
export const json = (name: string) => ({ name: `${name}.json`, type: 'application/json' });
export const plainText = (name: string) => ({ name: `${name}.txt`, type: 'text/plain' });
