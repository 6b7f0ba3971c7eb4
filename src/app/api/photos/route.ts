import { randomUUID } from 'node:crypto';
import { NextResponse } from 'next/server';
import { database } from '@/db/connection';
import { addPhoto, photosAbout } from '@/db/photos';
import { answer, bodyBytes, say } from '@/server/answer';
import { photoFrom } from '@/server/photo';

export const dynamic = 'force-dynamic';
const limitMb = 6;
const about = (request: Request) => new URL(request.url).searchParams.get('about')?.slice(0, 120) ?? '';

export function GET(request: Request) {
  return answer(request, async () => NextResponse.json({ photos: await photosAbout(database(), about(request)) }));
}

/** Keeps a picture about a board or a logbook entry. */
export function POST(request: Request) {
  return answer(request, async () => {
    if (!about(request)) return say(422, 'Expected what the picture is about.');
    const bytes = await bodyBytes(request, limitMb);
    if (bytes === null) return say(413, `The picture is larger than ${limitMb} MB. Make it smaller; nothing was kept.`);
    const photo = photoFrom(bytes);
    if (!photo.ok) return say(422, photo.sentence);
    const id = randomUUID();
    await addPhoto(database(), { id, about: about(request), mime: photo.mime, body: photo.body });
    return NextResponse.json({ id });
  });
}
