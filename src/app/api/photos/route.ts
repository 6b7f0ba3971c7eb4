import { randomUUID } from 'node:crypto';
import { NextResponse } from 'next/server';
import { theirs } from '@/server/people/who';
import { addPhoto, photosAbout } from '@/db/photos';
import { answer, say } from '@/server/answer';
import { bodyBytes } from '@/server/body';
import { photoFrom } from '@/server/photo';

export const dynamic = 'force-dynamic';
const limitMb = 6;
const about = (request: Request) => new URL(request.url).searchParams.get('about')?.slice(0, 120) ?? '';

export function GET(request: Request) {
  return answer(request, 'read', async (who) =>
    NextResponse.json({ photos: await theirs(who, (db) => photosAbout(db, about(request))) }),
  );
}

/** Keeps a picture about a board or a logbook entry. */
export function POST(request: Request) {
  return answer(request, 'write', async (who) => {
    if (!about(request)) return say(422, 'Expected what the picture is about.');
    const bytes = await bodyBytes(request, limitMb);
    if (bytes === null) return say(413, `The picture is larger than ${limitMb} MB. Make it smaller; nothing was kept.`);
    const photo = photoFrom(bytes);
    if (!photo.ok) return say(422, photo.sentence);
    const id = randomUUID();
    const picture = { id, about: about(request), mime: photo.mime, body: photo.body };
    await theirs(who, (db) => addPhoto(db, picture));
    return NextResponse.json({ id });
  });
}
