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

/**
 * Saves the build a moment after the last change, one save at a time; what cannot be saved stays in the browser
 * and is tried again. A newer version on the server stops the saving until the buyer has chosen.
 */
export function useAutosave(
  build: Build,
  stored: Stored,
): { state: SaveState; keepMine: () => void; takeTheirs: () => void; resumeFrom: (version: number) => void } {
  const [state, setState] = useState<SaveState>({ kind: 'saved', at: stored.savedAt });
  const version = useRef(stored.version);
  const clean = useRef<Build>(stored.build);
  const latest = useRef<Build>(stored.build);
  const touched = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const held = useRef<'no' | 'on its way' | 'conflict'>('no');

  const save = useCallback(async () => {
    if (held.current !== 'no' || latest.current === clean.current) return;
    const again = (ms: number) => {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void save(), ms);
    };
    const wanted = latest.current;
    held.current = 'on its way';
    setState({ kind: 'saving' });
    const answer = await fetch(`/api/builds/${wanted.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', 'if-match': String(version.current) },
      body: JSON.stringify(wanted),
    }).catch(() => null);
    held.current = 'no';
    if (!answer) {
      setState({
        kind: 'kept here',
        why: 'The server does not answer. The change is kept in this browser and is saved as soon as it is back.',
      });
      return again(retryMs);
    }
    const said = (await answer.json().catch(() => ({}))) as {
      version?: number;
      savedAt?: string;
      sentence?: string;
      current?: Stored;
      faults?: { field: string; sentence: string }[];
    };
    if (answer.ok && said.version) {
      version.current = said.version;
      clean.current = wanted;
      if (latest.current !== wanted) return again(0);
      dropDraft(wanted.id);
      setState({ kind: 'saved', at: said.savedAt ?? '' });
    } else if (answer.status === 409 && said.current) {
      held.current = 'conflict';
      setState({ kind: 'conflict', theirs: said.current });
    } else if (answer.status === 503) {
      setState({ kind: 'kept here', why: said.sentence ?? 'The database does not answer.' });
      again(retryMs);
    } else {
      const fault = said.faults?.[0];
      setState({
        kind: 'refused',
        why: fault ? `${fault.field}: ${fault.sentence}` : (said.sentence ?? 'The change was not saved.'),
      });
    }
  }, []);

  useEffect(() => {
    latest.current = build;
    clearTimeout(timer.current);
    if (build === clean.current && held.current === 'no') {
      // Undone back to what is saved: nothing is left to keep. A draft of an earlier visit is not touched.
      if (touched.current) dropDraft(build.id);
    } else {
      touched.current = true;
      keepDraft({ build, baseVersion: version.current });
      timer.current = setTimeout(() => void save(), pauseMs);
    }
    return () => clearTimeout(timer.current);
  }, [build, save]);

  const keepMine = () => {
    if (state.kind !== 'conflict') return;
    version.current = state.theirs.version;
    held.current = 'no';
    void save();
  };
  const takeTheirs = () => {
    if (state.kind !== 'conflict') return;
    version.current = state.theirs.version;
    clean.current = state.theirs.build;
    held.current = 'no';
    dropDraft(build.id);
    setState({ kind: 'saved', at: state.theirs.savedAt });
  };
  /** A draft found in the browser builds on an older version: if somebody saved since, that shows as a conflict. */
  const resumeFrom = useCallback((base: number) => {
    version.current = base;
  }, []);
  return { state, keepMine, takeTheirs, resumeFrom };
}
