import { NextResponse } from 'next/server';
import { database } from '@/db/connection';
import { findPhoto, removePhoto } from '@/db/photos';
import { answer, say } from '@/server/answer';

type Context = { params: Promise<{ id: string }> };

export function GET(request: Request, { params }: Context) {
  return answer(request, async () => {
    const photo = await findPhoto(database(), (await params).id);
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
  return answer(request, async () => {
    await removePhoto(database(), (await params).id);
    return say(200, 'The picture was removed.');
  });
}
