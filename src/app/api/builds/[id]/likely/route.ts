import { NextResponse } from 'next/server';
import { newestVersion } from '@/core';
import { findBuild } from '@/db/builds';
import { allPeripherals, boardsText, countBoards, shelfStamp } from '@/db/library';
import { climbs, mayCarry, mostLikely } from '@/db/likely';
import { answer, say } from '@/server/answer';
import { headersOf, isKept, packedOnce, packedType, takesPacked, unchanged } from '@/server/packed';
import { theirs } from '@/server/people/who';

export const dynamic = 'force-dynamic';
type Context = { params: Promise<{ id: string }> };

/** The boards of a large shelf that may carry the build, sifted in the database: they climb while the rest is on its way. With the library of parts. Packed, and not sent again, as the shelf is. */
export function GET(request: Request, { params }: Context) {
  return params.then(({ id }) =>
    answer(request, { need: 'read', guest: id }, (who) =>
      theirs(who, async (db) => {
        const stored = await findBuild(db, id);
        if (!stored) return say(404, 'There is no such build. It may have been removed in another tab.');
        const forGuest = who.share !== null;
        const tag = `"${newestVersion}-${who.workspace}${forGuest ? '-guest' : ''}-${id}-${stored.version}-${await shelfStamp(db)}"`;
        if (isKept(request, tag)) return unchanged(tag);
        const only = { where: mayCarry(stored.build), most: mostLikely };
        const { text } = await boardsText(db, { forGuest, only });
        const peripherals = JSON.stringify(await allPeripherals(db));
        const body = `{"boards":${text},"total":${await countBoards(db, climbs)},"peripherals":${peripherals}}`;
        return takesPacked(request)
          ? new NextResponse(new Uint8Array(await packedOnce(body)), {
              headers: { ...headersOf(tag), 'content-type': packedType },
            })
          : new NextResponse(body, { headers: { ...headersOf(tag), 'content-type': 'application/json' } });
      }),
    ),
  );
}
