import { database } from '@/db/connection';
import { canSave } from '@/db/milestones';
import { answerAnyone, say } from '@/server/answer';

export const dynamic = 'force-dynamic';

export function GET(request: Request) {
  return answerAnyone(request, async () => {
    await canSave(database());
    return say(200, 'Rung and its database are up, and what is saved is kept.');
  });
}
