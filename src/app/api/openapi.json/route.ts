import { NextResponse } from 'next/server';
import { answerAnyone } from '@/server/answer';
import { apiDescription } from '@/server/api-description';
import { linkTo } from '@/server/people/link';

export const dynamic = 'force-dynamic';

/** What programs may ask, for people and for tools. */
export function GET(request: Request) {
  return answerAnyone(request, () => Promise.resolve(NextResponse.json(apiDescription(linkTo('/') || '/'))));
}
