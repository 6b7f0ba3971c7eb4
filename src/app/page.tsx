import { pickedName } from '@/core';
import { allBuilds } from '@/db/builds';
import { database } from '@/db/connection';
import { isDatabaseDown } from '@/db/faults';
import { Home } from '@/ui/home/Home';
import { NoDatabase } from '@/ui/frame/NoDatabase';

export const dynamic = 'force-dynamic';

export default async function Page() {
  const found = await allBuilds(database()).catch((error: unknown) => {
    if (isDatabaseDown(error)) return null;
    throw error;
  });
  if (!found) return <NoDatabase />;
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
  return <Home builds={cards} unreadable={found.unreadable} />;
}
