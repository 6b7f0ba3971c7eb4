import { NextResponse } from 'next/server';
import { subDays } from 'date-fns';
import { movedSince } from '@/db/past';
import { movedAsked } from '@/server/asked';
import { theirs } from '@/server/people/who';
import { answer, say } from '@/server/answer';

export const dynamic = 'force-dynamic';

/** What moved since some days ago. */
export function GET(request: Request) {
  return answer(request, 'read', async (who) => {
    const asked = movedAsked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (!asked.success) return say(422, 'Expected a number of days from 1 to 365.');
    const since = subDays(new Date(), asked.data.days);
    return NextResponse.json({ moved: await theirs(who, (db) => movedSince(db, since)) });
  });
}
