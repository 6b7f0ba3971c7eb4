import { NextResponse } from 'next/server';
import { note } from '@/server/people/audit';
import { theirs } from '@/server/people/who';
import { asOf, binOf, bringBack, historyOf } from '@/db/past';
import { pastAbout, pastWhich } from '@/server/asked';
import { answer, say } from '@/server/answer';
import { bodyJson } from '@/server/body';

export const dynamic = 'force-dynamic';

/** Without a query: what was removed and can be brought back. Of a kind and an id: what it was before; of a version too: itself as it was then. */
export function GET(request: Request) {
  return answer(request, 'read', async (who) => {
    const asked = Object.fromEntries(new URL(request.url).searchParams);
    if (Object.keys(asked).length === 0) return NextResponse.json({ earlier: await theirs(who, binOf) });
    const one = pastWhich.safeParse(asked);
    if (one.success) {
      const found = await theirs(who, (db) => asOf(db, one.data));
      return found ? NextResponse.json({ found }) : say(404, 'That version is not kept.');
    }
    const of = pastAbout.safeParse(asked);
    if (!of.success) return say(422, 'Expected a kind (build, board or part) and an id.');
    return NextResponse.json({ earlier: await theirs(who, (db) => historyOf(db, of.data.kind, of.data.id)) });
  });
}

/** Brings a version back as the newest one. */
export function POST(request: Request) {
  return answer(request, 'write', async (who) => {
    const asked = pastWhich.safeParse(await bodyJson(request));
    if (!asked.success) return say(422, 'Expected a kind, an id and a version.');
    const back = await theirs(who, async (db) => {
      const brought = await bringBack(db, asked.data);
      if (brought) await note(db, who, `brought a ${asked.data.kind} back`, asked.data.id);
      return brought;
    });
    return back ? NextResponse.json(back) : say(404, 'That version is not kept any more.');
  });
}
