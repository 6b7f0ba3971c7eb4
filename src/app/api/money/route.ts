import { NextResponse } from 'next/server';
import { moneyOf, sayMoney } from '@/db/money';
import { note } from '@/server/people/audit';
import { theirs } from '@/server/people/who';
import { moneyAsked } from '@/server/asked';
import { answer, say } from '@/server/answer';
import { bodyJson } from '@/server/body';

export const dynamic = 'force-dynamic';

/** What new builds are paid in. */
export function GET(request: Request) {
  return answer(request, 'read', async (who) => NextResponse.json(await theirs(who, moneyOf)));
}

export function PUT(request: Request) {
  return answer(request, 'write', async (who) => {
    const asked = moneyAsked.safeParse(await bodyJson(request));
    if (!asked.success)
      return say(422, 'Expected the three letters of a currency, and what one EUR is worth in it where it is another.');
    await theirs(who, async (db) => {
      await sayMoney(db, asked.data);
      await note(db, who, 'said the currency of new builds', asked.data.currency);
    });
    return say(200, `New builds are paid in ${asked.data.currency}.`);
  });
}
