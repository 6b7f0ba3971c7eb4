import { NextResponse } from 'next/server';
import { database } from '@/db/connection';
import { answer, say } from '@/server/answer';
import { askForRanking, rankingLines } from '@/server/ranking';

export const dynamic = 'force-dynamic';

/** The order of the shelf for a build, worked out by a worker process; lines of JSON (NDJSON) as it goes. */
export function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answer(request, 'read', async (who) => {
    const key = await askForRanking(database(), who.workspace, (await params).id);
    if (key === null) return say(404, 'There is no such build.');
    const lines = rankingLines(database(), who.workspace, key, request.signal);
    const encoder = new TextEncoder();
    const body = new ReadableStream<Uint8Array>({
      async pull(controller) {
        const { value, done } = await lines.next();
        if (done) controller.close();
        else controller.enqueue(encoder.encode(value));
      },
      cancel: () => void lines.return(undefined),
    });
    return new NextResponse(body, {
      headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
    });
  });
}
