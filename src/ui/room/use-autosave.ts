import { useCallback, useEffect, useRef, useState } from 'react';
import type { Build } from '@/core';
import { dropDraft, keepDraft } from './draft';

export interface Stored {
  build: Build;
  version: number;
  savedAt: string;
}

export type SaveState =
  | { kind: 'saved'; at: string }
  | { kind: 'saving' }
  | { kind: 'kept here'; why: string }
  | { kind: 'refused'; why: string }
  | { kind: 'conflict'; theirs: Stored };

const pauseMs = 450;
const retryMs = 4000;

/** Saves the build a moment after the last change; what cannot be saved stays in the browser and is tried again. */
export function useAutosave(build: Build, stored: Stored): { state: SaveState; keepMine: () => void; takeTheirs: () => void; resumeFrom: (version: number) => void } {
  const [state, setState] = useState<SaveState>({ kind: 'saved', at: stored.savedAt });
  const version = useRef(stored.version);
  const clean = useRef<Build>(stored.build);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const blocked = useRef(false);

  const save = useCallback(async (wanted: Build) => {
    setState({ kind: 'saving' });
    let answer: Response;
    try {
      answer = await fetch(`/api/builds/${wanted.id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json', 'if-match': String(version.current) },
        body: JSON.stringify(wanted),
      });
    } catch {
      setState({ kind: 'kept here', why: 'The server does not answer. The change is kept in this browser.' });
      timer.current = setTimeout(() => void save(wanted), retryMs);
      return;
    }
    const said = (await answer.json().catch(() => ({}))) as { version?: number; savedAt?: string; sentence?: string; current?: Stored; faults?: { field: string; sentence: string }[] };
    if (answer.ok && said.version) {
      version.current = said.version;
      clean.current = wanted;
      dropDraft(wanted.id);
      setState({ kind: 'saved', at: said.savedAt ?? '' });
    } else if (answer.status === 409 && said.current) {
      blocked.current = true;
      setState({ kind: 'conflict', theirs: said.current });
    } else if (answer.status === 503) {
      setState({ kind: 'kept here', why: said.sentence ?? 'The database does not answer.' });
      timer.current = setTimeout(() => void save(wanted), retryMs);
    } else {
      const fault = said.faults?.[0];
      setState({ kind: 'refused', why: fault ? `${fault.field}: ${fault.sentence}` : (said.sentence ?? 'The change was not saved.') });
    }
  }, []);

  useEffect(() => {
    if (build === clean.current || blocked.current) return;
    keepDraft({ build, baseVersion: version.current });
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void save(build), pauseMs);
    return () => clearTimeout(timer.current);
  }, [build, save]);

  const keepMine = () => {
    if (state.kind !== 'conflict') return;
    version.current = state.theirs.version;
    blocked.current = false;
    void save(build);
  };
  const takeTheirs = () => {
    if (state.kind !== 'conflict') return;
    version.current = state.theirs.version;
    clean.current = state.theirs.build;
    blocked.current = false;
    dropDraft(build.id);
    setState({ kind: 'saved', at: state.theirs.savedAt });
  };
  /** A draft found in the browser builds on an older version: if somebody saved since, that shows as a conflict. */
  const resumeFrom = useCallback((base: number) => {
    version.current = base;
  }, []);
  return { state, keepMine, takeTheirs, resumeFrom };
}
