import { clear, createStore, delMany, get, setMany, type UseStore } from 'idb-keyval';
import type { Board, Build, Climb, MemberOut } from '@/core';

/** A whole order of the shelf as it was worked out, with the sets that were found. */
export interface KnownRanking {
  alone: Climb[];
  sets: { climbs: Climb[]; tried: number; possible: number; out: MemberOut[]; proved: boolean } | null;
}

/** So many orders are kept: those of the builds that one goes back to. */
const mostKept = 6;
/** Of larger shelves to write all boards down would hold the page up. */
const mostBoards = 250;

/** Under this name: the keys of the orders that are kept, the newest first. */
const newestFirst = 'newest first';

let opened: UseStore | null = null;
const store = () => (opened ??= createStore('rung-rankings', 'rankings'));

/**
 * The name under which an order is kept: a digest of all that it is worked out from, the code of this very Rung, the build and the boards. So an order of other figures is never shown. null where the browser
 * has no digests (only over a secure connection or on this machine), or the shelf is large.
 */
export async function rankingKey(build: Build, shelf: readonly Board[]): Promise<string | null> {
  const code = process.env.NEXT_PUBLIC_RUNG_CODE;
  if (!code || shelf.length > mostBoards || !globalThis.crypto?.subtle) return null;
  const all = new TextEncoder().encode(JSON.stringify([code, build, shelf]));
  const digest = await crypto.subtle.digest('SHA-256', all);
  return [...new Uint8Array(digest)].map((b) => b.toString(16).padStart(2, '0')).join('');
}

/** null where there is none, or the browser keeps nothing. */
export async function knownRanking(key: string): Promise<KnownRanking | null> {
  try {
    return (await get<KnownRanking>(key, store())) ?? null;
  } catch {
    return null;
  }
}

/** Keeps an order and lets the oldest go; a browser that keeps nothing goes on without. */
export async function keepRanking(key: string, ranking: KnownRanking): Promise<void> {
  try {
    const keys = [key, ...((await get<string[]>(newestFirst, store())) ?? []).filter((k) => k !== key)];
    await setMany(
      [
        [key, ranking],
        [newestFirst, keys.slice(0, mostKept)],
      ],
      store(),
    );
    await delMany(keys.slice(mostKept), store());
  } catch {
    // Nothing is lost but time at the next visit.
  }
}

/** Whoever leaves takes them along. */
export async function forgetRankings(): Promise<void> {
  await clear(store()).catch(() => undefined);
}
