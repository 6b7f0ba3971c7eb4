import Box from '@mui/material/Box';
import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { preload } from 'react-dom';
import { manyBoards } from '@/core';
import { findBuild, type StoredBuild } from '@/db/builds';
import { countBoards } from '@/db/library';
import { asShown } from '@/server/people/as-shown';
import { visitor } from '@/server/people/visitor';
import { mayDo, theirs, type Who } from '@/server/people/who';
import { BuildLine } from '@/ui/frame/BuildLine';
import { isDatabaseDown, UnreadableRecord } from '@/db/faults';
import { NoDatabase } from '@/ui/frame/NoDatabase';
import { Trouble } from '@/ui/frame/Trouble';
import { PrintHead } from '@/ui/frame/PrintHead';
import { SaveTrouble } from '@/ui/frame/SaveMark';
import { Tour } from '@/ui/frame/Tour';
import { Stile } from '@/ui/frame/Stile';
import { under } from '@/ui/room/ask-server';
import { BuildRoom } from '@/ui/room/BuildRoom';
import { likelyPath } from '@/ui/room/likely-path';

export const dynamic = 'force-dynamic';

export default async function Layout({ children, params }: { children: ReactNode; params: Promise<{ id: string }> }) {
  const { id } = await params;
  let who: Who;
  let stored: StoredBuild | null;
  let shelved: number;
  try {
    who = await visitor(id);
    [stored, shelved] = await theirs(who, async (db) => [await findBuild(db, id), await countBoards(db)]);
  } catch (error) {
    if (isDatabaseDown(error)) return <NoDatabase />;
    if (error instanceof UnreadableRecord) return <Trouble title="This build cannot be read">{error.message}</Trouble>;
    throw error;
  }
  if (!stored) notFound();
  // Not before the page's own code, which would wait for it on the same server.
  if (shelved > manyBoards) preload(under(likelyPath(id)), { as: 'fetch', crossOrigin: 'anonymous' });
  stored = { ...stored, build: asShown(who, stored.build) };
  return (
    <BuildRoom
      key={stored.build.id}
      stored={stored}
      shelved={shelved}
      rights={{ mayWrite: mayDo(who, 'write'), shared: who.share?.what ?? null, accounts: who.person !== null }}
    >
      <Box
        sx={{
          display: 'flex',
          flexDirection: { xs: 'column', md: 'row' },
          height: '100vh',
          '@media print': { height: 'auto', display: 'block' },
        }}
      >
        <a href="#page" className="skip">
          To the page
        </a>
        <Stile />
        <Tour />
        <Box className="paper" sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          <PrintHead />
          <BuildLine />
          <SaveTrouble />
          <Box component="main" id="page" tabIndex={-1} sx={{ flex: 1, minHeight: 0, overflow: 'auto' }}>
            {children}
          </Box>
        </Box>
      </Box>
    </BuildRoom>
  );
}
