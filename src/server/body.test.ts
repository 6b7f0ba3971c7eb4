import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { bodyBytes, bodyJson, SlowBody } from './body';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

/** A request whose body comes piece by piece, one every so many milliseconds, for ever. */
function coming(bytes: number, everyMs: number): { request: Request; cancelled: () => boolean } {
  let timer: ReturnType<typeof setInterval>;
  let cancelled = false;
  const body = new ReadableStream<Uint8Array>({
    start: (to) => void (timer = setInterval(() => to.enqueue(new Uint8Array(bytes)), everyMs)),
    cancel: () => {
      cancelled = true;
      clearInterval(timer);
    },
  });
  const request = new Request('http://127.0.0.1:1/', { method: 'POST', body, duplex: 'half' } as RequestInit);
  return { request, cancelled: () => cancelled };
}

test.each([
  ['a byte a second', 1, 1_000],
  ['nothing at all', 1, 10_000_000],
])('%s is sent away after ten seconds, and reading stops', async (_, bytes, everyMs) => {
  const { request, cancelled } = coming(bytes, everyMs);
  const read = bodyBytes(request, 50).catch((e: unknown) => e);
  await vi.advanceTimersByTimeAsync(11_000);
  expect(await read).toBeInstanceOf(SlowBody);
  expect(cancelled()).toBe(true);
});
test('a slow line that goes on is waited for, up to the limit', async () => {
  // 64 kbit/s: slower than any line on which a page would open.
  const { request } = coming(8_000, 1_000);
  const read = bodyBytes(request, 1);
  await vi.advanceTimersByTimeAsync(100_000);
  expect(await Promise.race([read, Promise.resolve('still reading')])).toBe('still reading');
  await vi.advanceTimersByTimeAsync(170_000);
  expect(await read).toBeNull();
});
test('one that is somewhat too large is heard to its end, so that its sender hears why; a far larger one is not', async () => {
  const of = (pieces: number) => {
    let sent = 0;
    const body = new ReadableStream<Uint8Array>({
      pull: (to) => (sent++ < pieces ? to.enqueue(new Uint8Array(256 * 1024)) : to.close()),
    });
    return { body, sent: () => sent };
  };
  const post = (body: ReadableStream, length: number) =>
    new Request('http://127.0.0.1:1/', {
      method: 'POST',
      body,
      duplex: 'half',
      headers: { 'content-length': String(length) },
    } as RequestInit);
  const larger = of(6);
  expect(await bodyBytes(post(larger.body, 6 * 256 * 1024), 1)).toBeNull();
  expect(larger.sent()).toBe(7);
  const far = of(100);
  expect(await bodyBytes(post(far.body, 100 * 256 * 1024), 1)).toBeNull();
  expect(far.sent()).toBeLessThan(3);
});
test('a slow small body is no JSON that is wrong, but slow', async () => {
  const read = bodyJson(coming(1, 1_000).request).catch((e: unknown) => e);
  await vi.advanceTimersByTimeAsync(11_000);
  expect(await read).toBeInstanceOf(SlowBody);
});
