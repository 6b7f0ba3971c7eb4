import { sql } from 'drizzle-orm';
import { database } from '@/db/connection';
import { answer, say } from '@/server/answer';

export const dynamic = 'force-dynamic';

export function GET(request: Request) {
  return answer(request, async () => {
    await database().execute(sql`select 1`);
    return say(200, 'Rung and its database are up.');
  });
}
