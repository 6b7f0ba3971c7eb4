import { NextResponse } from 'next/server';
import pino from 'pino';

const log = pino({ name: 'rung' });

export function say(status: number, sentence: string, more: object = {}): NextResponse {
  return NextResponse.json({ sentence, ...more }, { status });
}

/** Runs a route; a database that cannot be reached becomes a sentence, not a stack trace. */
export async function answer(work: () => Promise<NextResponse>): Promise<NextResponse> {
  try {
    return await work();
  } catch (error) {
    log.error(error);
    return say(503, 'The database does not answer. What you typed is kept in this browser and is saved as soon as it is back.');
  }
}

/** Reads a request body as text, at most `limitMb`; null when it is larger. Stops reading as soon as it is. */
export async function bodyText(request: Request, limitMb: number): Promise<string | null> {
  const limit = limitMb * 1024 * 1024;
  if (Number(request.headers.get('content-length') ?? 0) > limit) return null;
  const reader = request.body?.getReader();
  if (!reader) return '';
  const pieces: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > limit) {
      await reader.cancel();
      return null;
    }
    pieces.push(value);
  }
  return new TextDecoder().decode(Buffer.concat(pieces));
}
