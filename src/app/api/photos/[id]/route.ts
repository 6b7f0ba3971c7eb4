import { NextResponse } from 'next/server';
import { theirs } from '@/server/people/who';
import { findPhoto, removePhoto } from '@/db/photos';
import { answer, say } from '@/server/answer';

type Context = { params: Promise<{ id: string }> };

export function GET(request: Request, { params }: Context) {
  return answer(request, 'read', async (who) => {
    const { id } = await params;
    const photo = await theirs(who, (db) => findPhoto(db, id));
    if (!photo) return say(404, 'There is no such picture.');
    return new NextResponse(new Uint8Array(photo.body), {
      headers: {
        'content-type': photo.mime,
        'cache-control': 'private, max-age=86400',
        'content-security-policy': "default-src 'none'",
      },
    });
  });
}

export function DELETE(request: Request, { params }: Context) {
  return answer(request, 'write', async (who) => {
    const { id } = await params;
    await theirs(who, (db) => removePhoto(db, id));
    return say(200, 'The picture was removed.');
  });
}
