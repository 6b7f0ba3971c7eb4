import { readData, type Build } from '@/core';

/** What was typed but not yet saved, kept in the browser: it outlives a reload and a dead server. */
export interface Draft {
  build: Build;
  baseVersion: number;
}

const keyOf = (id: string) => `rung:draft:${id}`;

export function keepDraft(draft: Draft): void {
  try {
    localStorage.setItem(keyOf(draft.build.id), JSON.stringify(draft));
  } catch {
    // A full or forbidden store leaves the change in memory and on its way to the server.
  }
}

export function findDraft(id: string): Draft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null') as {
      build?: unknown;
      baseVersion?: unknown;
    } | null;
    if (!kept || typeof kept.baseVersion !== 'number') return null;
    const read = readData(kept.build, 'rung-build');
    return read.ok ? { build: read.value, baseVersion: kept.baseVersion } : null;
  } catch {
    return null;
  }
}

export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(keyOf(id));
  } catch {
    // Nothing was kept, so nothing is left behind.
  }
}
