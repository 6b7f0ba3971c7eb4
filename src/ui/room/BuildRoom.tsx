'use client';

import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Board, Build, Shelf } from '@/core';
import { dropDraft, findDraft } from './draft';
import { askServer } from './ask-server';
import { useAutosave, type SaveState, type Stored } from './use-autosave';
import { useHistory } from './use-history';
import { useUndoKeys } from './use-undo-keys';
import { useRanking, type Ranking } from './use-ranking';

interface Room {
  build: Build;
  /** Changes the build; edits with one label in quick succession undo together. */
  edit: (label: string, change: (b: Build) => Build) => void;
  undo: () => void;
  redo: () => void;
  canUndo: boolean;
  canRedo: boolean;
  save: SaveState;
  keepMine: () => void;
  takeTheirs: () => void;
  shelf: Shelf | null;
  shelfFault: string | null;
  reloadShelf: () => void;
  /** Puts a board on the shelf, or in the place of its older self, and saves it. Answers with a sentence when that did not go. */
  putBoard: (board: Board) => Promise<string | null>;
  removeBoard: (id: string) => Promise<string | null>;
  /** Takes a board as the server has just stored it. */
  takeBoard: (board: Board, version: number) => void;
  ranking: Ranking;
}

const RoomContext = createContext<Room | null>(null);

/** The open build, shared by all its screens. */
export function useRoom(): Room {
  const room = useContext(RoomContext);
  if (!room) throw new Error('useRoom outside a BuildRoom');
  return room;
}

export function BuildRoom({ stored, children }: { stored: Stored; children: ReactNode }) {
  const history = useHistory(() => stored.build);
  const [shelf, setShelf] = useState<Shelf | null>(null);
  const [shelfFault, setShelfFault] = useState<string | null>(null);
  const [tries, setTries] = useState(0);
  const versions = useRef<Record<string, number>>({});
  const { now: build, edit, undo, redo, replace } = history;
  const { state: save, keepMine, takeTheirs, resumeFrom } = useAutosave(build, stored);
  const ranking = useRanking(build, shelf?.boards ?? null);

  useEffect(() => {
    let gone = false;
    fetch('/api/shelf')
      .then(async (r) => {
        const { versions: counted, ...said } = (await r.json()) as Shelf & {
          sentence?: string;
          versions?: Record<string, number>;
        };
        if (counted) versions.current = counted;
        if (gone) return;
        if (r.ok) setShelf(said);
        setShelfFault(r.ok ? null : (said.sentence ?? 'The shelf did not come.'));
      })
      .catch(() => !gone && setShelfFault('The server does not answer, so the boards are not here yet.'));
    return () => {
      gone = true;
    };
  }, [tries]);

  useEffect(() => {
    const draft = findDraft(stored.build.id);
    if (!draft) return;
    if (JSON.stringify(draft.build) === JSON.stringify(stored.build)) dropDraft(stored.build.id);
    else {
      resumeFrom(draft.baseVersion);
      edit('draft', () => draft.build);
    }
  }, [stored, resumeFrom, edit]);

  const takeBoard = useCallback((board: Board, version: number) => {
    versions.current[board.id] = version;
    setShelf(
      (s) =>
        s && {
          ...s,
          boards: s.boards.some((b) => b.id === board.id)
            ? s.boards.map((b) => (b.id === board.id ? board : b))
            : [...s.boards, board],
        },
    );
  }, []);
  const putBoard = useCallback(
    async (board: Board) => {
      const base = versions.current[board.id] ?? 0;
      const { ok, status, said } = await askServer<{
        version: number;
        faults: { field: string; sentence: string }[];
        current: { board: Board; version: number };
      }>(
        `/api/boards/${board.id}`,
        { method: 'PUT', headers: { 'if-match': String(base) }, body: JSON.stringify(board) },
        'The server does not answer; the board is not saved yet. Nothing you typed is lost: save again.',
      );
      if (ok) {
        takeBoard(board, said.version!);
        return null;
      }
      if (status === 409 && said.current) versions.current[board.id] = said.current.version;
      return `${said.sentence} ${said.faults?.map((f) => `${f.field}: ${f.sentence}`).join(' ') ?? ''}${status === 409 ? ' Save again to put yours in its place.' : ''}`;
    },
    [takeBoard],
  );
  const removeBoard = useCallback(async (id: string) => {
    const reply = await fetch(`/api/boards/${id}`, { method: 'DELETE' }).catch(() => null);
    if (!reply?.ok) return 'The server does not answer; the board is still on the shelf.';
    setShelf((s) => s && { ...s, boards: s.boards.filter((b) => b.id !== id) });
    return null;
  }, []);
  useUndoKeys({ undo, redo });

  const room = useMemo<Room>(
    () => ({
      build,
      edit,
      undo,
      redo,
      canUndo: history.canUndo,
      canRedo: history.canRedo,
      save,
      keepMine,
      takeTheirs: () => {
        if (save.kind === 'conflict') replace(save.theirs.build);
        takeTheirs();
      },
      shelf,
      shelfFault,
      reloadShelf: () => setTries((n) => n + 1),
      putBoard,
      removeBoard,
      takeBoard,
      ranking,
    }),
    // keepMine and takeTheirs close over `save`, which is listed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [build, edit, undo, redo, history, save, shelf, shelfFault, ranking],
  );
  return <RoomContext value={room}>{children}</RoomContext>;
}
