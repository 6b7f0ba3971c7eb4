import { NextResponse } from 'next/server';
import { allBuilds, findBuild } from '@/db/builds';
import { note } from '@/server/people/audit';
import { theirs } from '@/server/people/who';
import { newBuildAsked } from '@/server/asked';
import { answer, say } from '@/server/answer';
import { bodyJson } from '@/server/body';
import { newBuild } from '@/server/new-build';

export const dynamic = 'force-dynamic';

/** The builds by name, with what each was forked from. */
export function GET(request: Request) {
  return answer(request, 'read', async (who) =>
    NextResponse.json({
      builds: (await theirs(who, allBuilds)).builds.map((b) => ({
        id: b.build.id,
        name: b.build.name,
        forkOf: b.build.forkOf ?? null,
      })),
    }),
  );
}

export function POST(request: Request) {
  return answer(request, 'write', async (who) => {
    const parsed = newBuildAsked.safeParse(await bodyJson(request));
    if (!parsed.success) return say(422, 'A build needs a name of 1 to 80 characters.');
    const { name, from, kind, parts, ownEsc } = parsed.data;
    const id = await theirs(who, async (db) => {
      const forked = from === undefined ? null : await findBuild(db, from);
      if (from !== undefined && !forked) return null;
      const made = await newBuild(db, name, forked?.build, kind && { kind, parts, ownEsc });
      await note(db, who, 'began a build', made);
      return made;
    });
    return id === null
      ? say(404, 'The build to fork was removed in the meantime.')
      : NextResponse.json({ id }, { status: 201 });
  });
}
