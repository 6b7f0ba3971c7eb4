import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { NextResponse } from 'next/server';

/** What whoever asks says it takes when it can unpack by itself. The framework sends no body of a route with an encoding of its own. */
const packedType = 'application/gzip';

/** What was packed last, by its tag: a few shelves of a few megabytes, so that the next who asks waits for nothing. */
const kept = new Map<string, Buffer>();
const mostKept = 4;

export function takesPacked({ headers, url }: Pick<Request, 'headers' | 'url'>): boolean {
  // A browser that fetches ahead of the page's own code cannot be told what to say.
  if (new URL(url).searchParams.has('packed')) return true;
  return (headers.get('accept') ?? '').split(',').some((type) => type.trim().toLowerCase() === packedType);
}

/** A packed body that was kept under this tag. */
export function keptUnder(tag: string): Buffer | null {
  return kept.get(tag) ?? null;
}

/** Packs a body away from the thread that answers requests. */
function packedOnce(text: string): Promise<Buffer> {
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

/**
 * A body under its tag: nothing where the browser has it, packed for whoever takes that, plain for others. The text is made only where it is needed. `keep`: the packed body, for the next who asks.
 */
export async function taggedReply(
  request: Pick<Request, 'headers' | 'url'>,
  tag: string,
  text: () => Promise<string>,
  { keep = false } = {},
): Promise<NextResponse> {
  const isPacked = takesPacked(request);
  // Of the other form, which a browser may have kept, a "not modified" would be untrue (RFC 9110, 8.8.3).
  const etag = isPacked ? tag.replace(/"$/, '-packed"') : tag;
  const headers = { etag, 'cache-control': 'private, no-cache', vary: 'cookie, authorization, accept' };
  const has = request.headers.get('if-none-match');
  // A proxy that packs makes the tag a weak one.
  if (has === etag || has === `W/${etag}`) return new NextResponse(null, { status: 304, headers });
  if (!isPacked) return new NextResponse(await text(), { headers: { ...headers, 'content-type': 'application/json' } });
  const body = keptUnder(tag) ?? (await (keep ? packed(await text(), tag) : packedOnce(await text())));
  return new NextResponse(new Uint8Array(body), { headers: { ...headers, 'content-type': packedType } });
}
