import { database } from '@/db/connection';
import { joinAsked } from '@/server/asked';
import { answerAnyone, say } from '@/server/answer';
import { bodyJson } from '@/server/body';
import { join } from '@/server/people/join';
import { publicAddress } from '@/server/settings';

export function POST(request: Request) {
  return answerAnyone(request, async () => {
    if (!publicAddress()) return say(404, 'Rung runs for this machine alone: there is nothing to join.');
    const asked = joinAsked.safeParse(await bodyJson(request));
    if (!asked.success) return say(422, 'Expected the secret of the link, a name, an e-mail address and a password.');
    const done = await join(database(), asked.data, request.headers);
    return done.ok ? say(200, 'Done. Sign in now.') : say(422, done.sentence);
  });
}
