import { NextResponse } from 'next/server';
import { findBuild, removeBuild, saveBuild } from '@/db/builds';
import { asShown } from '@/server/people/as-shown';
import { note } from '@/server/people/audit';
import { theirs } from '@/server/people/who';
import { answer, say, seenVersion } from '@/server/answer';
import { bodyBytes } from '@/server/body';
import { readAside } from '@/server/file-aside';

export const dynamic = 'force-dynamic';
type Context = { params: Promise<{ id: string }> };

export function GET(request: Request, { params }: Context) {
  return params.then(({ id }) =>
    answer(request, { need: 'read', guest: id }, async (who) => {
      const found = await theirs(who, (db) => findBuild(db, id));
      return found
        ? NextResponse.json({ ...found, build: asShown(who, found.build) })
        : say(404, 'There is no such build. It may have been removed in another tab.');
    }),
  );
}

/** Saves on top of the version in the If-Match header; answers 409 with the newer one when another tab was first. */
export function PUT(request: Request, { params }: Context) {
  return answer(request, 'write', async (who) => {
    const base = seenVersion(request);
    const bytes = await bodyBytes(request, 4);
    if (bytes === null) return say(413, 'The build is larger than 4 MB.');
    if (base === null || base < 1) return say(428, 'Expected the version that the change builds on, in If-Match.');
    const read = await readAside(bytes, 'rung-build');
    if (!read.ok) return say(422, 'The build was not saved:', { faults: read.faults });
    if (read.value.id !== (await params).id) return say(422, 'The id inside the build is not the one in the address.');
    const result = await theirs(who, (db) => saveBuild(db, read.value, base));
    if (result.kind === 'saved') return NextResponse.json(result);
    if (result.kind === 'conflict')
      return say(409, 'Another tab or person saved this build in the meantime.', { current: result.current });
    return say(404, 'This build was removed in the meantime.');
  });
}

export function DELETE(request: Request, { params }: Context) {
  return answer(request, 'write', async (who) => {
    const seen = seenVersion(request);
    if (seen === null) return say(428, 'Expected the version that was seen, in If-Match.');
    const { id } = await params;
    const gone = await theirs(who, async (db) => {
      const removed = await removeBuild(db, id, seen);
      if (removed) await note(db, who, 'removed a build', id);
      return removed;
    });
    return gone
      ? say(200, 'The build was removed. It can be brought back for 30 days.')
      : say(409, 'Somebody changed this build in the meantime: look at it again before you remove it.');
  });
}
