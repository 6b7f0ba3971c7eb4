import { promisify } from 'node:util';
import { gzip } from 'node:zlib';

/** What whoever asks says it takes when it can unpack by itself. The framework sends no body of a route with an encoding of its own. */
export const packedType = 'application/gzip';

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

/** Packs a body away from the thread that answers requests, and keeps it. */
export async function packed(text: string, tag: string): Promise<Buffer> {
  const body = await promisify(gzip)(text, { level: 6 });
  kept.set(tag, body);
  for (const oldest of kept.keys()) {
    if (kept.size <= mostKept) break;
    kept.delete(oldest);
  }
  return body;
}
