import { headers } from 'next/headers';
import { Suspense } from 'react';
import { manyBoards } from '@/core';
import { findBuild } from '@/db/builds';
import { countBoards } from '@/db/library';
import { namesOfLikely, type NamedBoard } from '@/db/likely';
import { theirs, whoAsks } from '@/server/people/who';
import { LadderScreen } from '@/ui/ladder/LadderScreen';

export const metadata = { title: 'Ladder' };

/** As many as a screen shows. */
const mostRows = 20;

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return (
    <Suspense>
      <LadderScreen waiting={await firstOfMany(id)} />
    </Suspense>
  );
}

/** Of a large shelf, boards that may carry the build: the page shows them before any has climbed. */
async function firstOfMany(id: string): Promise<NamedBoard[]> {
  try {
    const who = await whoAsks(await headers(), id);
    if (!who) return [];
    return await theirs(who, async (db) => {
      if ((await countBoards(db)) <= manyBoards) return [];
      const stored = await findBuild(db, id);
      return stored ? await namesOfLikely(db, stored.build, mostRows) : [];
    });
  } catch {
    // The layout asks the same, and says what is the matter.
    return [];
  }
}
