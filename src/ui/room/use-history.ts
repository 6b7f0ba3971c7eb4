import { useCallback, useReducer } from 'react';
import { begin, edited, redone, undone, type History } from './history';

type Move<T> =
  | { kind: 'edit'; change: (t: T) => T; label: string; at: number }
  | { kind: 'undo' }
  | { kind: 'redo' }
  | { kind: 'replace'; by: T };

function moved<T>(h: History<T>, move: Move<T>): History<T> {
  switch (move.kind) {
    case 'edit':
      return edited(h, move.change(h.now), move.label, move.at);
    case 'undo':
      return undone(h);
    case 'redo':
      return redone(h);
    case 'replace':
      return begin(move.by);
  }
}

export interface Undoable<T> {
  now: T;
  canUndo: boolean;
  canRedo: boolean;
  /** Edits with one label in quick succession undo together. */
  edit: (label: string, change: (t: T) => T) => void;
  undo: () => void;
  redo: () => void;
  /** Another value, from which nothing leads back. */
  replace: (by: T) => void;
}

/** A value whose edits can be taken back and made again. */
export function useHistory<T>(start: () => T): Undoable<T> {
  const [history, move] = useReducer(moved<T>, undefined, () => begin(start()));
  const edit = useCallback(
    (label: string, change: (t: T) => T) => move({ kind: 'edit', change, label, at: Date.now() }),
    [],
  );
  const undo = useCallback(() => move({ kind: 'undo' }), []);
  const redo = useCallback(() => move({ kind: 'redo' }), []);
  const replace = useCallback((by: T) => move({ kind: 'replace', by }), []);
  return {
    now: history.now,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    edit,
    undo,
    redo,
    replace,
  };
}
