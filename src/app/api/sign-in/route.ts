import { NextResponse } from 'next/server';
import { signInAsked } from '@/server/asked';
import { answerAnyone, say } from '@/server/answer';
import { bodyJson } from '@/server/body';
import { signIn } from '@/server/people/sign-in';

export function POST(request: Request) {
  return answerAnyone(request, async () => {
    const asked = signInAsked.safeParse(await bodyJson(request));
    if (!asked.success) return say(422, 'Expected an e-mail address and a password.');
    const done = await signIn(asked.data, request.headers);
    if (!done.ok) {
      const refused = say(done.wait === null ? 401 : 429, done.sentence);
      if (done.wait !== null) refused.headers.set('retry-after', String(done.wait));
      return refused;
    }
    const reply = NextResponse.json({ sentence: 'Signed in.' });
    for (const cookie of done.cookies) reply.headers.append('set-cookie', cookie);
    return reply;
  });
}
