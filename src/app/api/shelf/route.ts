import { newestVersion } from '@/core';
import { allPeripherals, boardsText, shelfStamp } from '@/db/library';
import { answer } from '@/server/answer';
import { taggedReply } from '@/server/packed';
import { theirs, type Who } from '@/server/people/who';

export const dynamic = 'force-dynamic';

/** All boards and parts; packed for whoever says `Accept: application/gzip`, and not sent again to a browser that kept them. */
export function GET(request: Request) {
  // A guest sees the shelf for the one build that was shared.
  const guest = new URL(request.url).searchParams.get('for') ?? '';
  return answer(request, { need: 'read', guest }, async (who) => {
    const tag = await theirs(
      who,
      async (db) => `"${newestVersion}-${who.workspace}${who.share ? '-guest' : ''}-${await shelfStamp(db)}"`,
    );
    return taggedReply(request, tag, () => shelfText(who), { keep: true });
  });
}

async function shelfText(who: Who): Promise<string> {
  const [{ text, versions, aside }, peripherals] = await theirs(who, async (db) => [
    await boardsText(db, { forGuest: who.share !== null }),
    await allPeripherals(db),
  ]);
  return `{"format":"rung-shelf","version":${newestVersion},"name":"Shelf","boards":${text},"peripherals":${JSON.stringify(peripherals)},"versions":${JSON.stringify(versions)},"aside":${JSON.stringify(aside)}}`;
}
