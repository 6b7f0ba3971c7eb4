import { NextResponse } from 'next/server';
import { newestVersion } from '@/core';
import { database } from '@/db/connection';
import { allPeripherals, boardsText } from '@/db/library';
import { answer } from '@/server/answer';

export const dynamic = 'force-dynamic';

export function GET(request: Request) {
  return answer(request, async () => {
    const db = database();
    const [{ text, versions, aside }, peripherals] = await Promise.all([boardsText(db), allPeripherals(db)]);
    const body = `{"format":"rung-shelf","version":${newestVersion},"name":"Shelf","boards":${text},"peripherals":${JSON.stringify(peripherals)},"versions":${JSON.stringify(versions)},"aside":${JSON.stringify(aside)}}`;
    return new NextResponse(body, { headers: { 'content-type': 'application/json' } });
  });
}
