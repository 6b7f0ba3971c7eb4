export interface Reply<T> {
  ok: boolean;
  /** HTTP status, 0 where the server did not answer at all. */
  status: number;
  said: Partial<T> & { sentence: string };
}

/** No answer, or one that says to come again: what was asked may go well later. */
export function mayGoLater(status: number): boolean {
  return status === 0 || status === 429 || status > 500;
}

/** An address of ours under the path that Rung is served at, where that is not the root. */
export function under(path: string): string {
  return `${process.env.NEXT_PUBLIC_RUNG_PATH ?? ''}${path}`;
}

/** Asks the server and never throws: where it does not answer, or not in its own words, `otherwise` is what is said. */
export async function askServer<T extends object>(
  path: string,
  init: RequestInit,
  otherwise: string,
): Promise<Reply<T>> {
  const reply = await fetch(under(path), init).catch(() => null);
  const said = (reply && (await bodyOf(reply).catch(() => null))) as
    (Partial<T> & { sentence?: string }) | null | undefined;
  return {
    ok: reply?.ok ?? false,
    status: reply?.status ?? 0,
    said: { ...(said ?? {}), sentence: said?.sentence ?? otherwise } as Reply<T>['said'],
  };
}

/** What a reply says, unpacked where it was asked for packed. */
async function bodyOf(reply: Response): Promise<unknown> {
  if (reply.headers.get('content-type') !== 'application/gzip' || !reply.body) return reply.json();
  return new Response(reply.body.pipeThrough(new DecompressionStream('gzip'))).json();
}
