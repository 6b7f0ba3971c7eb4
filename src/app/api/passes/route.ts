import { NextResponse } from 'next/server';
import { findBuild } from '@/db/builds';
import { passAsked } from '@/server/asked';
import { answer, say } from '@/server/answer';
import { bodyJson } from '@/server/body';
import { note } from '@/server/people/audit';
import { linkTo } from '@/server/people/link';
import { makePass, openPasses } from '@/server/people/passes';
import { mayDo, theirs } from '@/server/people/who';

export const dynamic = 'force-dynamic';

/** What was handed out and still opens something: shares for editors, and for owners invitations and tokens too. */
export function GET(request: Request) {
  return answer(request, 'write', async (who) => {
    const passes = await theirs(who, openPasses);
    return NextResponse.json({ passes: passes.filter((p) => p.kind === 'share' || mayDo(who, 'own')) });
  });
}

/** Shares what of a build, or makes a token for the API. The secret is told this once. */
export function POST(request: Request) {
  return answer(request, 'write', async (who) => {
    const asked = passAsked.safeParse(await bodyJson(request));
    if (!asked.success)
      return say(
        422,
        'Expected a share (build, and build, ladder, sheet or brief) or a token (label and role), and the days it goes or null.',
      );
    const { data } = asked;
    if (data.kind === 'token' && !mayDo(who, 'own'))
      return say(403, 'Only an owner of this workspace may make tokens. Nothing was changed.');
    return theirs(who, async (db) => {
      if (data.kind === 'token') {
        await note(db, who, `made a token as ${data.role}`, data.label);
        const { id, secret } = await makePass(db, who.workspace, data);
        return say(201, 'The token is shown this once.', { id, token: secret });
      }
      const found = await findBuild(db, data.build);
      if (!found) return say(404, 'There is no such build.');
      await note(db, who, `shared the ${data.what}`, data.build);
      const { id, secret } = await makePass(db, who.workspace, { ...data, label: found.build.name });
      return say(201, 'Whoever has this link sees it, without an account. It is shown this once.', {
        id,
        link: linkTo(`/s/${secret}`),
      });
    });
  });
}
