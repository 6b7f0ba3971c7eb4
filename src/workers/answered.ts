/** What a worker answers: what was asked for, or the sentence that says why not. */
export type Answered<T> = { ok: true; value: T } | { ok: false; sentence: string };

/** Runs what a worker is asked and posts the answer; a throw becomes a sentence, so that no page waits for ever. */
export async function answerWith<T>(work: () => T | Promise<T>): Promise<void> {
  let said: Answered<T>;
  try {
    said = { ok: true, value: await work() };
  } catch (error) {
    console.error(error);
    said = {
      ok: false,
      sentence: `A fault of ours stopped this: ${error instanceof Error ? error.message : String(error)}.`,
    };
  }
  postMessage(said);
}
