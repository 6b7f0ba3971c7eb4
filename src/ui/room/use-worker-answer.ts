import { useEffect, useState } from 'react';
import type { Answered } from '@/workers/answered';

/**
 * What a worker answers to a question, so far as it has told; null while it thinks, or where `key` is null. A newer question ends the older worker. A fault is thrown to the page's boundary,
 * which says what it was.
 */
export function useWorkerAnswer<T>(key: string | null, ask: () => { worker: Worker; question: unknown }): T | null {
  const [answer, setAnswer] = useState<{ key: string; said: Answered<T> } | null>(null);
  useEffect(() => {
    if (key === null) return;
    const { worker, question } = ask();
    worker.onmessage = ({ data }: MessageEvent<Answered<T>>) => setAnswer({ key, said: data });
    worker.onerror = ({ message }) =>
      setAnswer({ key, said: { ok: false, sentence: `A worker of this page did not start: ${message}.` } });
    worker.postMessage(question);
    return () => worker.terminate();
    // The key stands for all that is asked.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  if (!answer || answer.key !== key) return null;
  if (!answer.said.ok) throw new Error(answer.said.sentence);
  return answer.said.value;
}
