'use client';

import { useEffect, useState, type ReactNode } from 'react';
import { startAhead } from './climbers';
import { keepForLater } from '../frame/offline';
import { keepRanked } from './keep-ranked';
import { keepSaved } from './keep-saved';
import type { Rights, Stored } from './room';
import { RoomContext, roomStore } from './store';
import { useLikely, useShelf } from './use-shelf';
import { useUndoKeys } from './use-undo-keys';

// Before React takes the page over.
if (typeof window !== 'undefined') startAhead();

/** The open build, shared by all its screens: what is edited is saved and ranked. */
export function BuildRoom({
  stored,
  rights,
  shelved,
  children,
}: {
  stored: Stored;
  rights: Rights;
  shelved: number;
  children: ReactNode;
}) {
  // What the server renders anew later does not come over what is being edited.
  const [{ store, start }] = useState(() => ({
    store: roomStore(stored, rights, shelved),
    start: { stored, mayKeep: rights.mayWrite },
  }));
  const { shelf } = useShelf(store);
  const likely = useLikely(store, shelf === null);
  const boards = shelf?.boards ?? likely?.boards;
  const of = shelf ? undefined : likely?.total;
  useEffect(() => (start.mayKeep ? keepSaved(store, start.stored) : undefined), [store, start]);
  useEffect(() => (boards ? keepRanked(store, boards, of) : undefined), [store, boards, of]);
  useEffect(() => keepForLater(start.stored.build.id), [start]);
  useUndoKeys(store.getState(), 'build');
  return <RoomContext value={store}>{children}</RoomContext>;
}
