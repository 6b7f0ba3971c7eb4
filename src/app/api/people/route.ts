import { NextResponse } from 'next/server';
import { invitationAsked } from '@/server/asked';
import { answer, say } from '@/server/answer';
import { bodyJson } from '@/server/body';
import { note } from '@/server/people/audit';
import { membersOf } from '@/server/people/members';
import { makePass } from '@/server/people/passes';
import { linkTo } from '@/server/people/link';
import { theirs } from '@/server/people/who';

export const dynamic = 'force-dynamic';

/** Who is in the workspace. */
export function GET(request: Request) {
  return answer(request, 'read', async (who) =>
    NextResponse.json({ members: await theirs(who, membersOf), role: who.role, me: who.person }),
  );
}

/** Invites somebody by a link that goes once. */
export function POST(request: Request) {
  return answer(request, 'own', async (who) => {
    const asked = invitationAsked.safeParse(await bodyJson(request));
    if (!asked.success)
      return say(422, 'Expected for whom the link is, the role (owner, editor or reader), and for how many days.');
    const { secret } = await theirs(who, async (db) => {
      await note(db, who, `invited as ${asked.data.role}`, asked.data.label);
      return makePass(db, who.workspace, { kind: 'invitation', ...asked.data });
    });
    return say(201, 'The link goes once. It is shown this once.', { link: linkTo(`/join/${secret}`) });
  });
}
