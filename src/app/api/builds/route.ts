import { NextResponse } from 'next/server';
import { z } from 'zod';
import { allBuilds, findBuild } from '@/db/builds';
import { database } from '@/db/connection';
import { answer, bodyJson, say } from '@/server/answer';
import { newBuild } from '@/server/new-build';

const wanted = z.object({ name: z.string().trim().min(1).max(80), from: z.string().max(64).optional() });

export const dynamic = 'force-dynamic';

/** The builds by name, with what each was forked from. */
export function GET(request: Request) {
  return answer(request, async () =>
    NextResponse.json({
      builds: (await allBuilds(database())).builds.map((b) => ({
        id: b.build.id,
        name: b.build.name,
        forkOf: b.build.forkOf ?? null,
      })),
    }),
  );
}

export function POST(request: Request) {
  return answer(request, async () => {
    const parsed = wanted.safeParse(await bodyJson(request));
    if (!parsed.success) return say(422, 'A build needs a name of 1 to 80 characters.');
    const from = parsed.data.from === undefined ? null : await findBuild(database(), parsed.data.from);
    if (parsed.data.from !== undefined && !from) return say(404, 'The build to fork was removed in the meantime.');
    return NextResponse.json({ id: await newBuild(database(), parsed.data.name, from?.build) }, { status: 201 });
  });
}
