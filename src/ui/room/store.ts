import { createContext, useContext } from 'react';
import { createStore, useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { withOwnWord, type Build } from '@/core';
import { begin, edited, rebased, redone, undone, type History } from './history';
import type { Ranking, Rights, Room, RoomStore, Stored } from './room';

const noRanking: Ranking = {
  ranked: null,
  before: new Map(),
  moved: [],
  busy: true,
  fault: null,
  progress: null,
  stop: () => undefined,
  partial: null,
  sets: null,
  ask: () => new Promise(() => undefined),
};

const lookOnly =
  'You may look at this build, not change it. Nothing was changed; an owner of the workspace can let you.';

export function roomStore(stored: Stored, rights: Rights, shelved = 0): RoomStore {
  return createStore<Room>((set) => {
    const now = (next: (h: History<Build>) => History<Build>) =>
      set(({ history }) => {
        const moved = next(history);
        return { history: moved, build: moved.now };
      });
    return {
      build: stored.build,
      rights,
      shelved,
      history: begin(stored.build),
      // Whoever may only look changes nothing, not even for themselves: what is shown is what is there, and a button that would change it says so.
      edit: (label, change) =>
        rights.mayWrite
          ? now((h) => edited(h, withOwnWord(h.now, change(h.now)), label, Date.now()))
          : set({ save: { kind: 'refused', why: lookOnly } }),
      undo: () => now(undone),
      redo: () => now(redone),
      rebase: (onto) => now((h) => rebased(h, onto)),
      save: { kind: 'saved', at: stored.savedAt },
      takenIn: [],
      keepMine: () => undefined,
      takeTheirs: () => undefined,
      putBack: () => undefined,
      ranking: noRanking,
    };
  });
}

export const RoomContext = createContext<RoomStore | null>(null);

/** The named things of the open build; the component is drawn again when one of these changes, and for nothing else. */
export function useRoom<K extends keyof Room>(...keys: K[]): Pick<Room, K> {
  return useRoomPart((room) => Object.fromEntries(keys.map((k) => [k, room[k]])) as Pick<Room, K>);
}

/** What a screen makes of the open build: drawn again when a field of it changes. */
export function useRoomPart<T>(select: (room: Room) => T): T {
  const store = useContext(RoomContext);
  if (!store) throw new Error('useRoom outside a BuildRoom');
  return useStore(store, useShallow(select));
}
