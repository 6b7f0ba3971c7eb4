import { NextResponse } from 'next/server';
import { answer } from '@/server/answer';
import { auditOf } from '@/server/people/audit';
import { theirs } from '@/server/people/who';

export const dynamic = 'force-dynamic';

/** Who did what in the workspace, the latest first. */
export function GET(request: Request) {
  return answer(request, 'own', async (who) => NextResponse.json({ audit: await theirs(who, auditOf) }));
}
