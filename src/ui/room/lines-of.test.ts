import { expect, test } from 'vitest';
import { linesOf } from './lines-of';

async function linesIn(...pieces: string[]): Promise<string[]> {
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      for (const piece of pieces) controller.enqueue(encoder.encode(piece));
      controller.close();
    },
  });
  const found: string[] = [];
  for await (const line of linesOf(body)) found.push(line);
  return found;
}

test('lines come whole, however the pieces are cut, and a cut end is left out', async () => {
  expect(await linesIn('{"a":1}\n{"b":', '2}\n', '\n{"c"')).toEqual(['{"a":1}', '{"b":2}']);
  expect(await linesIn()).toEqual([]);
});
