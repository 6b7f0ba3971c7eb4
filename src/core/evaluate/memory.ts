import type { Board } from '../records/board';

/**
 * What was worked out for a board before, layer by layer, with what it was worked out from: an edit of the build then works out again only what it can change.
 * Things are the same when they are the same object, so the caller keeps what an edit has not touched (`keepingWhatIsEqual`).
 */
export type Memory = WeakMap<Board, Map<string, { from: readonly unknown[]; value: unknown }>>;

export function newMemory(): Memory {
  return new WeakMap();
}

/** What `work` comes to, or came to before from just the same things. Without a memory it is always worked out. */
export function remembered<T>(
  memory: Memory | null,
  board: Board,
  layer: string,
  from: readonly unknown[],
  work: () => T,
): T {
  if (!memory) return work();
  const layers = memory.get(board) ?? new Map<string, { from: readonly unknown[]; value: unknown }>();
  memory.set(board, layers);
  const before = layers.get(layer);
  if (before && before.from.length === from.length && before.from.every((x, i) => x === from[i]))
    return before.value as T;
  const value = work();
  layers.set(layer, { from, value });
  return value;
}

/** `next` with every field that equals that of `before` taken from there: what comes out of a message is all new, whether or not it changed. */
export function keepingWhatIsEqual<T extends object>(before: T | null, next: T): T {
  if (!before) return next;
  const same = <K extends keyof T>(key: K) => JSON.stringify(before[key]) === JSON.stringify(next[key]);
  const kept = Object.keys(next).filter((key) => same(key as keyof T));
  return { ...next, ...Object.fromEntries(kept.map((key) => [key, before[key as keyof T]])) };
}
