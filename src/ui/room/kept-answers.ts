import { clear, createStore, delMany, get, set, update, type UseStore } from 'idb-keyval';
import type { Board } from '@/core';

/** What a browser keeps of what was worked out, for the next visit. */
export interface KeptAnswers<T> {
  /** null where there is none, or the browser keeps nothing. */
  known: (key: string) => Promise<T | null>;
  /** Keeps an answer and lets the oldest go; a browser that keeps nothing goes on without. */
  keep: (key: string, answer: T) => Promise<void>;
  /** Whoever leaves takes them along. */
  forget: () => Promise<void>;
}

/** Under this name: the keys of the answers that are kept, the newest first. */
const newestFirst = 'newest first';

/** A store of its own in the browser; `most` answers are kept. */
export function keptAnswers<T>(database: string, name: string, most: number): KeptAnswers<T> {
  let opened: UseStore | null = null;
  const store = () => (opened ??= createStore(database, name));
  return {
    known: async (key) => {
      try {
        return (await get<T>(key, store())) ?? null;
      } catch {
        return null;
      }
    },
    keep: async (key, answer) => {
      try {
        await set(key, answer, store());
        // In one transaction: several are kept at once, and none may fall out of the list without being removed.
        let old: string[] = [];
        await update<string[]>(
          newestFirst,
          (before = []) => {
            const keys = [key, ...before.filter((k) => k !== key)];
            old = keys.slice(most);
            return keys.slice(0, most);
          },
          store(),
        );
        await delMany(old, store());
      } catch {
        // Nothing is lost but time at the next visit.
      }
    },
    forget: async () => {
      try {
        await clear(store());
      } catch {
        // Nothing was kept.
      }
    },
  };
}

/** Of larger shelves to write all boards down would hold the page up. */
const mostBoards = 250;

/**
 * The name under which an answer is kept: a digest of all that it is worked out from, the code of this very Rung, the shelf and `more`. So an answer to other figures is never shown. null where the browser
 * has no digests (only over a secure connection or on this machine), or the shelf is large.
 */
export async function answerKey(shelf: readonly Board[], ...more: unknown[]): Promise<string | null> {
  const code = process.env.NEXT_PUBLIC_RUNG_CODE;
  if (!code || shelf.length > mostBoards || !globalThis.crypto?.subtle) return null;
  const all = new TextEncoder().encode(JSON.stringify([code, more, shelf]));
  const digest = await crypto.subtle.digest('SHA-256', all);
  return [...new Uint8Array(digest)].map((b) => b.toString(16).padStart(2, '0')).join('');
}
