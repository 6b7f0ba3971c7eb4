import { NextResponse, type NextRequest } from 'next/server';
import { refusalOf } from '@/server/own-pages';

/** Pages are shown to this machine alone; the routes under /api ask the same for themselves, since a large body should not pass through here. */
export function proxy(request: NextRequest) {
  const refusal = refusalOf(request);
  return refusal === null
    ? NextResponse.next()
    : new NextResponse(refusal, { status: 403, headers: { 'content-type': 'text/plain; charset=utf-8' } });
}

export const config = { matcher: '/((?!api/|_next/static/).*)' };
