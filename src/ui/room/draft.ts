import { readData, type Build } from '@/core';

/** What was typed but not yet saved, kept in the browser by the tab in which it was typed: it outlives a reload and a dead server. */
export interface Draft {
  build: Build;
  /** What it was made from: the build as it was last saved, and the number of that save. null: an older Rung did not keep it. */
  base: Build | null;
  baseVersion: number;
  /** When it was last typed at, in milliseconds. */
  at: number;
  /** The tab's own key of it. */
  key: string;
}

const prefix = (id: string) => `rung:draft:${id}:`;

/**
 * The name of this tab. A reload keeps it; what is opened anew gets a new one, also where a browser copies all that a tab holds into its double. Two tabs never write one draft.
 */
function nameOfTab(): string {
  const [navigation] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  const kept = navigation?.type === 'reload' ? sessionStorage.getItem('rung:tab') : null;
  const name = kept ?? crypto.randomUUID();
  sessionStorage.setItem('rung:tab', name);
  return name;
}

let named: string | null = null;
const ownKey = (id: string) => prefix(id) + (named ??= nameOfTab());

export function keepDraft(draft: { build: Build; base: Build; baseVersion: number }): void {
  try {
    localStorage.setItem(ownKey(draft.build.id), JSON.stringify({ ...draft, at: Date.now() }));
  } catch {
    // A full or forbidden store leaves the change in memory and on its way to the server.
  }
}

/** All drafts of a build, of this tab and of others, the newest first. What cannot be read is none. */
export function draftsOf(id: string): Draft[] {
  try {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(prefix(id)));
    return keys.flatMap((key) => read(key)).sort((a, b) => b.at - a.at);
  } catch {
    return [];
  }
}

function read(key: string): Draft[] {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as Partial<Record<keyof Draft, unknown>> | null;
    if (typeof kept?.baseVersion !== 'number') return [];
    const [build, base] = [readData(kept.build, 'rung-build'), readData(kept.base, 'rung-build')];
    if (!build.ok) return [];
    const at = typeof kept.at === 'number' ? kept.at : 0;
    return [{ build: build.value, base: base.ok ? base.value : null, baseVersion: kept.baseVersion, at, key }];
  } catch {
    return [];
  }
}

/** Is it the one that this tab keeps? */
export function isOwnDraft({ build, key }: Draft): boolean {
  return key === ownKey(build.id);
}

/** Drops one draft; without a key, that of this tab. */
export function dropDraft(id: string, key = ownKey(id)): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Nothing was kept, so nothing is left behind.
  }
}
