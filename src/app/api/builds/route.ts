import { NextResponse } from 'next/server';
import { z } from 'zod';
import { database } from '@/db/connection';
import { answer, bodyText, say } from '@/server/answer';
import { newBuild } from '@/server/new-build';

const wanted = z.object({ name: z.string().trim().min(1).max(80) });

export function POST(request: Request) {
  return answer(async () => {
    const text = await bodyText(request, 1);
    const parsed = wanted.safeParse(safeJson(text));
    if (!parsed.success) return say(422, 'A build needs a name of 1 to 80 characters.');
    return NextResponse.json({ id: await newBuild(database(), parsed.data.name) }, { status: 201 });
  });
}

function safeJson(text: string | null): unknown {
  try {
    return JSON.parse(text ?? '');
  } catch {
    return null;
  }
}
