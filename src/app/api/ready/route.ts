import { database } from '@/db/connection';
import { canSave } from '@/db/milestones';
import { answerAnyone, say } from '@/server/answer';
import { isStopping } from '@/server/stopping';

export const dynamic = 'force-dynamic';

/** For whatever shares requests out among several processes: not while this one stops, and not while the database is away. */
export function GET(request: Request) {
  return answerAnyone(request, async () => {
    if (isStopping()) return say(503, 'This process is stopping: ask another one.');
    await canSave(database());
    return say(200, 'Ready.');
  });
}
