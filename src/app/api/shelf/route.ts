import { NextResponse } from 'next/server';
import { newestVersion } from '@/core';
import { theirs } from '@/server/people/who';
import { allPeripherals, boardsText, shelfStamp } from '@/db/library';
import { answer } from '@/server/answer';

export const dynamic = 'force-dynamic';

export function GET(request: Request) {
  // A guest sees the shelf for the one build that was shared.
  const guest = new URL(request.url).searchParams.get('for') ?? '';
  return answer(request, { need: 'read', guest }, async (who) => {
    // What the browser kept is asked about before a board is read.
    const kept = request.headers.get('if-none-match');
    const tag = await theirs(who, async (db) => `"${newestVersion}-${who.workspace}-${await shelfStamp(db)}"`);
    const headers = { etag: tag, 'cache-control': 'private, no-cache', vary: 'cookie, authorization' };
    if (kept === tag || kept === `W/${tag}`) return new NextResponse(null, { status: 304, headers });
    const [{ text, versions, aside }, peripherals] = await theirs(who, async (db) => [
      await boardsText(db),
      await allPeripherals(db),
    ]);
    const body = `{"format":"rung-shelf","version":${newestVersion},"name":"Shelf","boards":${text},"peripherals":${JSON.stringify(peripherals)},"versions":${JSON.stringify(versions)},"aside":${JSON.stringify(aside)}}`;
    return new NextResponse(body, { headers: { ...headers, 'content-type': 'application/json' } });
  });
}
