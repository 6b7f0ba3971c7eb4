import { storableJson } from '../core';

/** A body that comes more slowly than any line that people have holds a place among the requests at work: it is sent away. */
const slow = { ms: 10_000, bytes: 16 * 1024 };

/** What comes a byte at a time, or not at all any more. */
export class SlowBody extends Error {}

/** Reads a request body as text, at most `limitMb`; null when it is larger. */
export async function bodyText(request: Request, limitMb: number): Promise<string | null> {
  const bytes = await bodyBytes(request, limitMb);
  return bytes && new TextDecoder().decode(bytes);
}

/** A small request body as JSON; null where it is none. */
export async function bodyJson(request: Request): Promise<unknown> {
  const text = (await bodyText(request, 1)) ?? '';
  try {
    return JSON.parse(storableJson(text)) as unknown;
  } catch {
    return null;
  }
}

/**
 * The same as bytes, in a buffer of their own. What is up to twice too large is read to its end and not kept: whoever is cut off while sending never hears why. Stops reading there, or with `SlowBody` where ten seconds bring less than 16 KB.
 */
export async function bodyBytes(request: Request, limitMb: number): Promise<Buffer<ArrayBuffer> | null> {
  const limit = limitMb * 1024 * 1024;
  if (Number(request.headers.get('content-length') ?? 0) > 2 * limit) return null;
  const reader = request.body?.getReader();
  if (!reader) return Buffer.alloc(0);
  const pieces: Uint8Array[] = [];
  let size = 0;
  let seen = 0;
  let tooSlow: () => void;
  const slowness = new Promise<never>((_, reject) => (tooSlow = () => reject(new SlowBody())));
  slowness.catch(() => undefined);
  const watch = setInterval(() => {
    if (size - seen < slow.bytes) tooSlow();
    seen = size;
  }, slow.ms);
  try {
    for (;;) {
      const { done, value } = await Promise.race([reader.read(), slowness]);
      if (done) return size > limit ? null : joined(pieces, size);
      size += value.byteLength;
      if (size > 2 * limit) {
        await reader.cancel();
        return null;
      }
      if (size > limit) pieces.length = 0;
      else pieces.push(value);
    }
  } catch (error) {
    if (error instanceof SlowBody) void reader.cancel().catch(() => undefined);
    throw error;
  } finally {
    clearInterval(watch);
  }
}

/** Not from the shared pool, so that the bytes can be handed to another thread. */
function joined(pieces: readonly Uint8Array[], size: number): Buffer<ArrayBuffer> {
  const all = Buffer.from(new ArrayBuffer(size));
  let at = 0;
  for (const piece of pieces) {
    all.set(piece, at);
    at += piece.byteLength;
  }
  return all;
}
