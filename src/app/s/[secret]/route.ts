import { NextResponse } from 'next/server';
import { database } from '@/db/connection';
import { answerAnyone, say } from '@/server/answer';
import { linkTo } from '@/server/people/link';
import { passOf } from '@/server/people/passes';
import { shareCookie } from '@/server/people/who';
import { publicAddress } from '@/server/settings';

export const dynamic = 'force-dynamic';

const pages = { build: '', ladder: '/ladder', sheet: '/sheet', brief: '/brief' } as const;

/** Opens what was shared: the secret goes into a cookie of this browser, so that it stands in no other address. */
export function GET(request: Request, { params }: { params: Promise<{ secret: string }> }) {
  return answerAnyone(request, async () => {
    const { secret } = await params;
    const pass = publicAddress() ? await passOf(database(), secret) : null;
    if (pass?.kind !== 'share' || !pass.build || !pass.what)
      return say(404, 'This link has ended or was withdrawn. Ask whoever sent it for a new one.');
    const reply = NextResponse.redirect(linkTo(`/b/${pass.build}${pages[pass.what]}`), 303);
    const secure = publicAddress()!.protocol === 'https:' ? '; Secure' : '';
    reply.headers.append(
      'set-cookie',
      `${shareCookie(pass.build)}=${secret}; Path=/; HttpOnly; SameSite=Lax; Max-Age=2592000${secure}`,
    );
    return reply;
  });
}
