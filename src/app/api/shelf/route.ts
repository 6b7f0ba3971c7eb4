import { NextResponse } from 'next/server';
import { newestVersion } from '@/core';
import { theirs } from '@/server/people/who';
import { allPeripherals, boardsText } from '@/db/library';
import { answer } from '@/server/answer';

export const dynamic = 'force-dynamic';

export function GET(request: Request) {
  // A guest sees the shelf for the one build that was shared.
  const guest = new URL(request.url).searchParams.get('for') ?? '';
  return answer(request, { need: 'read', guest }, async (who) => {
    const [{ text, versions, aside }, peripherals] = await theirs(who, async (db) => [
      await boardsText(db),
      await allPeripherals(db),
    ]);
    const body = `{"format":"rung-shelf","version":${newestVersion},"name":"Shelf","boards":${text},"peripherals":${JSON.stringify(peripherals)},"versions":${JSON.stringify(versions)},"aside":${JSON.stringify(aside)}}`;
    return new NextResponse(body, { headers: { 'content-type': 'application/json' } });
  });
}
