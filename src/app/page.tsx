import { allBuilds } from '@/db/builds';
import { database } from '@/db/connection';
import { Home } from '@/ui/home/Home';
import { NoDatabase } from '@/ui/frame/NoDatabase';

export const dynamic = 'force-dynamic';

export default async function Page() {
  const builds = await allBuilds(database()).catch(() => null);
  if (!builds) return <NoDatabase />;
  return (
    <Home
      builds={builds.map(({ build, savedAt }) => ({
        id: build.id,
        name: build.name,
        craft: build.craft,
        cells: build.pack.cells,
        parts: build.parts.length,
        stage: build.stage,
        pick: build.picks.at(-1)?.board.name ?? null,
        arrivesOn: build.arrivesOn ?? null,
        savedAt,
      }))}
    />
  );
}
