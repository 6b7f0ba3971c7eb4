import { newestVersion, type Build } from '@/core';
import { findBuild } from '@/db/builds';
import { allPeripherals, boardsText, countBoards, shelfStamp } from '@/db/library';
import { climbs, mayCarry, mostLikely } from '@/db/likely';
import { answer, say } from '@/server/answer';
import { taggedReply } from '@/server/packed';
import { theirs, type Who } from '@/server/people/who';

export const dynamic = 'force-dynamic';
type Context = { params: Promise<{ id: string }> };

/** The boards of a large shelf that may carry the build, sifted in the database: they climb while the rest is on its way. With the library of parts. Packed, and not sent again, as the shelf is. */
export function GET(request: Request, { params }: Context) {
  return params.then(({ id }) =>
    answer(request, { need: 'read', guest: id }, async (who) => {
      const found = await theirs(who, async (db) => ({ stored: await findBuild(db, id), stamp: await shelfStamp(db) }));
      if (!found.stored) return say(404, 'There is no such build. It may have been removed in another tab.');
      const { build, version } = found.stored;
      const tag = `"${newestVersion}-${who.workspace}${who.share ? '-guest' : ''}-${id}-${version}-${found.stamp}"`;
      return taggedReply(request, tag, () => likelyText(who, build));
    }),
  );
}

function likelyText(who: Who, build: Build): Promise<string> {
  return theirs(who, async (db) => {
    const only = { where: mayCarry(build), most: mostLikely };
    const { text } = await boardsText(db, { forGuest: who.share !== null, only });
    const [total, peripherals] = [await countBoards(db, climbs), await allPeripherals(db)];
    return `{"boards":${text},"total":${total},"peripherals":${JSON.stringify(peripherals)}}`;
  });
}
