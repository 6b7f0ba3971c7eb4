import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useContext } from 'react';
import { manyBoards, type Board, type Peripheral, type Shelf } from '@/core';
import { askServer } from './ask-server';
import { likelyPath } from './likely-path';
import type { RoomStore } from './room';
import { RoomContext } from './store';

const key = ['shelf'];
const packed = { headers: { accept: 'application/gzip, application/json' } };

interface Stocked {
  shelf: Shelf;
  /** The version of each board on the server that the page builds on. */
  versions: Record<string, number>;
  /** Boards that the server holds and cannot read, with the reason. */
  aside: { id: string; why: string }[];
}

async function askForShelf(build: string | undefined): Promise<Stocked> {
  const { ok, said } = await askServer<Shelf & Omit<Stocked, 'shelf'>>(
    build === undefined ? '/api/shelf' : `/api/shelf?for=${build}`,
    packed,
    'The server does not answer, so the boards are not here yet.',
  );
  if (!ok || !said.boards) throw new Error(said.sentence);
  const { versions = {}, aside = [], sentence: _, ...shelf } = said;
  return { shelf: shelf as Shelf, versions, aside };
}

/** The build whose room this page is: a guest sees the shelf for it. */
function openBuild(): string | undefined {
  return /\/b\/([^/]+)/.exec(window.location.pathname)?.[1];
}

/** The boards of a large shelf that may carry the build, how many boards the shelf has, and its parts. */
interface Likely {
  boards: Board[];
  total: number;
  peripherals: Peripheral[];
}

const likelyFor = (build: string) => ({
  queryKey: ['likely', build],
  queryFn: async (): Promise<Likely | null> => {
    const { ok, said } = await askServer<Likely>(likelyPath(build), {}, '');
    const { boards, total, peripherals } = said;
    return ok && boards && total !== undefined && peripherals ? { boards, total, peripherals } : null;
  },
  staleTime: Infinity,
});

/** The build whose likely boards come before the rest of the shelf; null where the shelf is not large. */
function firstFor(room: RoomStore | null): string | null {
  const state = room?.getState();
  return state && state.shelved > manyBoards ? state.build.id : null;
}

/** Until the likely boards have climbed, or none will: by a fault, by whoever stops it, or because the room was left (`left`). */
function likelyClimbed(room: RoomStore, left: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const end = () => {
      stop();
      resolve();
    };
    const look = () => {
      const { partial, fault, busy } = room.getState().ranking;
      if (fault !== null || !busy || (partial && partial.climbs.length === partial.boards.length)) end();
    };
    const stop = room.subscribe(look);
    left.addEventListener('abort', end);
    look();
  });
}

/** Those boards, once they are here; null before, and where the shelf is not large. `wanted`: the shelf itself is not here yet. */
export function useLikely(room: RoomStore | null, wanted: boolean): Likely | null {
  const build = firstFor(room);
  return useQuery({ ...likelyFor(build ?? ''), enabled: wanted && build !== null }).data ?? null;
}

/** The library of parts; null until it comes. */
export function useLibrary(): Peripheral[] | null {
  const room = useContext(RoomContext);
  const { shelf } = useShelf();
  const likely = useLikely(room, shelf === null);
  return shelf?.peripherals ?? likely?.peripherals ?? null;
}

/** The shelf as the server has it; null until it comes. `own`: of whoever opens the room and is not inside it. */
export function useShelf(own?: RoomStore) {
  const around = useContext(RoomContext);
  const client = useQueryClient();
  const { data, error, refetch } = useQuery({
    queryKey: key,
    queryFn: async (asked) => {
      const room = own ?? around;
      const build = firstFor(room);
      // Both at once would hold each other up: the rest comes once the likely boards have climbed.
      if (room && build !== null && (await client.ensureQueryData(likelyFor(build))))
        await likelyClimbed(room, asked.signal);
      if (build !== null) asked.signal.throwIfAborted();
      return askForShelf(openBuild());
    },
    staleTime: Infinity,
  });
  const change = (next: (s: Stocked) => Stocked) => client.setQueryData<Stocked>(key, (s) => s && next(s));

  /** Takes a board as the server has just stored it. */
  const takeBoard = (board: Board, version: number) =>
    change(({ shelf, versions, aside }) => ({
      aside,
      versions: { ...versions, [board.id]: version },
      shelf: {
        ...shelf,
        boards: shelf.boards.some((b) => b.id === board.id)
          ? shelf.boards.map((b) => (b.id === board.id ? board : b))
          : [...shelf.boards, board],
      },
    }));

  /** Puts a board on the shelf, or in the place of its older self, and saves it on top of the version that was seen. Answers with a sentence when that did not go. */
  const putBoard = async (board: Board, seen?: number): Promise<string | null> => {
    const base = seen ?? client.getQueryData<Stocked>(key)?.versions[board.id] ?? 0;
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
    const { current } = said;
    if (status === 409 && current) change((s) => ({ ...s, versions: { ...s.versions, [board.id]: current.version } }));
    const faults = said.faults?.map((f) => `${f.field}: ${f.sentence}`).join(' ') ?? '';
    return `${said.sentence} ${faults}${status === 409 && current ? ' Save again to put yours in its place.' : ''}`;
  };

  const removeBoard = async (id: string): Promise<string | null> => {
    const { ok, said } = await askServer(
      `/api/boards/${id}`,
      { method: 'DELETE', headers: { 'if-match': String(client.getQueryData<Stocked>(key)?.versions[id] ?? 0) } },
      'The server does not answer; the board is still on the shelf.',
    );
    if (!ok) return said.sentence;
    change((s) => ({ ...s, shelf: { ...s.shelf, boards: s.shelf.boards.filter((b) => b.id !== id) } }));
    return null;
  };

  return {
    shelf: data?.shelf ?? null,
    aside: data?.aside ?? [],
    versionOf: (id: string) => client.getQueryData<Stocked>(key)?.versions[id] ?? 0,
    shelfFault: error ? error.message : null,
    reloadShelf: () => void refetch(),
    takeBoard,
    putBoard,
    removeBoard,
  };
}
