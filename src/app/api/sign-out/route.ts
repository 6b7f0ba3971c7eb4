import { answerAnyone, say } from '@/server/answer';
import { signOut } from '@/server/people/sign-in';

export function POST(request: Request) {
  return answerAnyone(request, async () => {
    const reply = say(200, 'Signed out.');
    for (const cookie of await signOut(request.headers)) reply.headers.append('set-cookie', cookie);
    return reply;
  });
}
