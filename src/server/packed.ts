import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { NextResponse } from 'next/server';

/** What whoever asks says it takes when it can unpack by itself. The framework sends no body of a route with an encoding of its own. */
export const packedType = 'application/gzip';

/** The browser keeps what it got, and asks each time whether it still holds. */
export function headersOf(tag: string): Record<string, string> {
  return { etag: tag, 'cache-control': 'private, no-cache', vary: 'cookie, authorization, accept' };
}

/** Does whoever asks have just this? A proxy that packs makes the tag a weak one. */
export function isKept({ headers }: Pick<Request, 'headers'>, tag: string): boolean {
  const kept = headers.get('if-none-match');
  return kept === tag || kept === `W/${tag}`;
}

export function unchanged(tag: string): NextResponse {
  return new NextResponse(null, { status: 304, headers: headersOf(tag) });
}

/** What was packed last, by its tag: a few shelves of a few megabytes, so that the next who asks waits for nothing. */
const kept = new Map<string, Buffer>();
const mostKept = 4;

export function takesPacked({ headers }: Pick<Request, 'headers'>): boolean {
  return (headers.get('accept') ?? '').split(',').some((type) => type.trim().toLowerCase() === packedType);
}

/** A packed body that was kept under this tag. */
export function keptUnder(tag: string): Buffer | null {
  return kept.get(tag) ?? null;
}

/** Packs a body away from the thread that answers requests. */
export function packedOnce(text: string): Promise<Buffer> {
  return promisify(gzip)(text, { level: 6 });
}

/** The same, and keeps it. */
export async function packed(text: string, tag: string): Promise<Buffer> {
  const body = await packedOnce(text);
  kept.set(tag, body);
  for (const oldest of kept.keys()) {
    if (kept.size <= mostKept) break;
    kept.delete(oldest);
  }
  return body;
}
