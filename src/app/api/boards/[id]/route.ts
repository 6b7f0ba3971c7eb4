import { NextResponse } from 'next/server';
import { note } from '@/server/people/audit';
import { theirs } from '@/server/people/who';
import { removeBoard, saveBoard } from '@/db/library';
import { answer, say, seenVersion } from '@/server/answer';
import { bodyBytes } from '@/server/body';
import { readAside } from '@/server/file-aside';

export const dynamic = 'force-dynamic';
type Context = { params: Promise<{ id: string }> };

/** Saves one board on top of the version in If-Match; 0 adds it. 409 with the newer one when somebody else was first. */
export function PUT(request: Request, { params }: Context) {
  return answer(request, 'write', async (who) => {
    const base = seenVersion(request);
    const bytes = await bodyBytes(request, 2);
    if (bytes === null) return say(413, 'The board is larger than 2 MB.');
    if (base === null) return say(428, 'Expected the version that the change builds on, in If-Match.');
    const read = await readAside(bytes, 'rung-board');
    if (!read.ok) return say(422, 'The board was not saved:', { faults: read.faults });
    if (read.value.id !== (await params).id) return say(422, 'The id inside the board is not the one in the address.');
    const result = await theirs(who, async (db) => {
      const saved = await saveBoard(db, read.value, base);
      if (saved.kind === 'saved') await note(db, who, 'saved a board', read.value.id);
      return saved;
    });
    if (result.kind === 'saved') return NextResponse.json(result);
    if (result.kind === 'conflict')
      return say(
        409,
        base === 0
          ? 'A board with this id is already on the shelf.'
          : 'Somebody else saved this board in the meantime.',
        { current: { board: result.board, version: result.version } },
      );
    if (result.kind === 'named') {
      const { maker, name, revision } = read.value;
      return say(
        409,
        `${maker} ${name}, revision ${revision}, is on the shelf already. Change that one, or give this one another name or revision.`,
      );
    }
    return say(404, 'This board was taken off the shelf in the meantime.');
  });
}

export function DELETE(request: Request, { params }: Context) {
  return answer(request, 'write', async (who) => {
    const seen = seenVersion(request);
    if (seen === null) return say(428, 'Expected the version that was seen, in If-Match.');
    const { id } = await params;
    const gone = await theirs(who, async (db) => {
      const removed = await removeBoard(db, id, seen);
      if (removed) await note(db, who, 'removed a board', id);
      return removed;
    });
    return gone
      ? say(200, 'The board was taken off the shelf. It can be brought back for 30 days.')
      : say(409, 'Somebody changed this board in the meantime: look at it again before you remove it.');
  });
}
