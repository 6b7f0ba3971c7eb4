import { NextResponse } from 'next/server';
import { answerAnyone, say } from '@/server/answer';
import { metricsText } from '@/server/metrics';
import { isOwnMachine } from '@/server/own-pages';

export const dynamic = 'force-dynamic';

/** To this machine alone: a collector runs beside Rung, not behind the proxy. */
export function GET(request: Request) {
  return answerAnyone(request, async () =>
    isOwnMachine(request)
      ? new NextResponse(await metricsText(), {
          headers: { 'content-type': 'text/plain; version=0.0.4; charset=utf-8' },
        })
      : say(404, 'There is nothing here.'),
  );
}
