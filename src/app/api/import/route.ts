import { NextResponse } from 'next/server';
import { answer, say } from '@/server/answer';
import { bodyBytes } from '@/server/body';
import { admitted, importAside } from '@/server/file-aside';
import type { Who } from '@/server/people/who';
import { overs } from '@/server/import-file';

const limitMb = 50;

export function POST(request: Request) {
  return answer(request, 'write', async (who) => {
    const reply = await admitted(() => imported(request, who));
    return reply ?? say(429, 'Rung is at work on other files. Nothing was changed; try again in a moment.');
  });
}

async function imported(request: Request, who: Who): Promise<NextResponse> {
  const bytes = await bodyBytes(request, limitMb);
  if (bytes === null)
    return say(413, `The file is larger than ${limitMb} MB. Split it, or use the command line. Nothing was changed.`);
  const over = overs.find((o) => o === new URL(request.url).searchParams.get('over')) ?? 'ask';
  const result = await importAside(bytes, over, who);
  if (!result.ok && 'differing' in result)
    return say(409, 'Some of this is here already and says something else. Nothing was changed yet.', {
      differing: result.differing,
    });
  if (!result.ok) return say(422, 'Nothing was imported. The file needs mending first:', { faults: result.faults });
  return NextResponse.json(result);
}
