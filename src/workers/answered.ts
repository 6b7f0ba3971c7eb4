/** What a worker answers: what was asked for, or the sentence that says why not. */
export type Answered<T> = { ok: true; value: T } | { ok: false; sentence: string };

/** Runs what a worker is asked and posts the answer, before it what the work tells meanwhile; a throw becomes a sentence, so that no page waits for ever. */
export async function answerWith<T>(work: (tell: (sofar: T) => void) => T | Promise<T>): Promise<void> {
  let said: Answered<T>;
  try {
    said = { ok: true, value: await work((value) => postMessage({ ok: true, value } satisfies Answered<T>)) };
  } catch (error) {
    console.error(error);
    said = {
      ok: false,
      sentence: `A fault of ours stopped this: ${error instanceof Error ? error.message : String(error)}.`,
    };
  }
  postMessage(said);
}
