import { NextResponse } from 'next/server';
import { database } from '@/db/connection';
import { allBoards, allPeripherals, boardVersions } from '@/db/library';
import { answer } from '@/server/answer';

export const dynamic = 'force-dynamic';

export function GET() {
  return answer(async () => {
    const db = database();
    const [boards, peripherals, versions] = await Promise.all([allBoards(db), allPeripherals(db), boardVersions(db)]);
    return NextResponse.json({ format: 'rung-shelf', version: 1, name: 'Shelf', boards, peripherals, versions });
  });
}
