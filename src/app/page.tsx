import { pickedName } from '@/core';
import { allBuilds } from '@/db/builds';
import { visitor } from '@/server/people/visitor';
import { mayDo, theirs, type Who } from '@/server/people/who';
import { isDatabaseDown } from '@/db/faults';
import { Home } from '@/ui/home/Home';
import { NoDatabase } from '@/ui/frame/NoDatabase';

export const dynamic = 'force-dynamic';

export default async function Page() {
  let who: Who;
  let found: Awaited<ReturnType<typeof allBuilds>>;
  try {
    who = await visitor();
    found = await theirs(who, allBuilds);
  } catch (error) {
    if (isDatabaseDown(error)) return <NoDatabase />;
    throw error;
  }
  const cards = found.builds.map(({ build, savedAt, version }) => ({
    id: build.id,
    name: build.name,
    craft: build.craft,
    cells: build.pack.cells,
    parts: build.parts.length,
    stage: build.stage,
    pick: build.picks.length > 0 ? pickedName(build.picks.at(-1)!) : null,
    arrivesOn: build.arrivesOn ?? null,
    savedAt,
    version,
  }));
  return (
    <Home
      builds={cards}
      unreadable={found.unreadable}
      me={who.person ? who.name : null}
      mayWrite={mayDo(who, 'write')}
    />
  );
}
