/** The lines of a body as they come (NDJSON, ndjson.org); one that is cut off at the end is left out. */
export async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return;
    const lines = (rest + value).split('\n');
    rest = lines.pop()!;
    yield* lines.filter((l) => l !== '');
  }
}
