import { NextResponse } from 'next/server';
import { readingFile } from '@/server/reading-files';

type Context = { params: Promise<{ file?: string }> };

/** What the page needs to read PDFs and pictures by itself: it ships with Rung, nothing is fetched from elsewhere. */
export async function GET(_: Request, { params }: Context) {
  const found = await readingFile((await params).file ?? '');
  if (!found) return new NextResponse('There is no such file.', { status: 404 });
  return new NextResponse(new Uint8Array(found.body), {
    headers: { 'content-type': found.type, 'cache-control': 'public, max-age=86400' },
  });
}
