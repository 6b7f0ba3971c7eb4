import type { StoreApi } from 'zustand';
import type { Board, Build, Climb, MemberOut, Moved, Ranked } from '@/core';
import type { History } from './history';

/** What the screens of one open build share. */
export interface Room {
  build: Build;
  rights: Rights;
  /** How many boards the shelf held when the page was asked for. */
  shelved: number;
  history: History<Build>;
  /** Changes the build; edits with one label in quick succession undo together. */
  edit: (label: string, change: (b: Build) => Build) => void;
  undo: () => void;
  redo: () => void;
  /** What came from elsewhere, put into the build and into every step that undo goes back to. */
  rebase: (onto: (b: Build) => Build) => void;
  save: SaveState;
  /** What another tab or person changed and was taken in, in plain words; empty once it has been read. */
  takenIn: string[];
  /** Where both changed the same thing: as it is here, or as it is on the server. */
  keepMine: () => void;
  takeTheirs: () => void;
  /** Where it was removed elsewhere: puts it back as it is here. */
  putBack: () => void;
  ranking: Ranking;
}

/** What whoever looks may do. */
export interface Rights {
  mayWrite: boolean;
  /** A guest sees what was shared; null: somebody of the workspace. */
  shared: 'build' | 'ladder' | 'sheet' | 'brief' | null;
  /** There are accounts, so links can be handed out. */
  accounts: boolean;
}

export type RoomStore = StoreApi<Room>;

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
  | { kind: 'removed'; why: string }
  | { kind: 'conflict'; theirs: Stored; clashes: string[]; together: boolean };

export interface Ranking {
  ranked: Ranked[] | null;
  /** Rank of each board before the last change. */
  before: Map<string, number>;
  /** What the last change moved, and why. */
  moved: Moved[];
  busy: boolean;
  /** Why no order comes, where a worker died. */
  fault: string | null;
  /** How many of how many boards have climbed, while that takes long. */
  progress: { done: number; total: number } | null;
  /** The order is that of the likely boards of a large shelf alone, as far as they have climbed for `build`; the others are on their way. null: it is of all. */
  partial: { build: Build; boards: Board[]; climbs: Climb[] } | null;
  /** What was found of boards bought together; null before the first search. */
  sets: SetsFound | null;
  /** Gives the climb of the newest change up; the order shown stays the one before it. */
  stop: () => void;
  /** Ranks the shelf for another build, aside. */
  ask: (build: Build) => Promise<Ranked[]>;
}

export interface SetsFound {
  tried: number;
  possible: number;
  /** Members with which no set carries the build. */
  out: MemberOut[];
  /** No set that is not shown is better than those that are. */
  proved: boolean;
  busy: boolean;
}
