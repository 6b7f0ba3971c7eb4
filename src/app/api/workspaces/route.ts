import { NextResponse } from 'next/server';
import { database } from '@/db/connection';
import { workspaceAsked, workspaceChosen } from '@/server/asked';
import { answer, say } from '@/server/answer';
import { bodyJson } from '@/server/body';
import { newWorkspace } from '@/server/people/members';
import { placesOf, workspaceCookie } from '@/server/people/who';
import { publicAddress } from '@/server/settings';

export const dynamic = 'force-dynamic';

/** The workspaces of whoever asks, and which one they are in. */
export function GET(request: Request) {
  return answer(request, 'read', async (who) =>
    NextResponse.json({ places: who.person ? await placesOf(database(), who.person) : [], here: who.workspace }),
  );
}

/** A workspace of one's own. */
export function POST(request: Request) {
  return answer(request, 'read', async (who) => {
    const asked = workspaceAsked.safeParse(await bodyJson(request));
    if (!asked.success) return say(422, 'A workspace needs a name of 1 to 80 characters.');
    if (!who.person) return say(403, 'A workspace is made by somebody who is signed in.');
    return say(201, 'It is yours.', { id: await newWorkspace(database(), asked.data.name, who.person) });
  });
}

/** Goes to another of one's workspaces. */
export function PUT(request: Request) {
  return answer(request, 'read', async (who) => {
    const asked = workspaceChosen.safeParse(await bodyJson(request));
    const places = who.person ? await placesOf(database(), who.person) : [];
    const place = places.find((p) => p.workspace === asked.data?.id);
    if (!place) return say(404, 'You are in no such workspace.');
    const reply = say(200, `You are in ${place.name} now.`);
    const secure = publicAddress()?.protocol === 'https:' ? '; Secure' : '';
    reply.headers.append(
      'set-cookie',
      `${workspaceCookie}=${place.workspace}; Path=/; HttpOnly; SameSite=Lax; Max-Age=31536000${secure}`,
    );
    return reply;
  });
}
