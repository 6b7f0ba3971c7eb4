import type { Answered } from '@/workers/answered';

/** One question to a worker that ends with its answer, or with the signal. A fault is thrown as its sentence. */
export function askWorker<T>(
  worker: Worker,
  question: unknown,
  signal?: AbortSignal,
  give: Transferable[] = [],
): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    const end = (act: () => void) => {
      worker.terminate();
      act();
    };
    signal?.addEventListener('abort', () => end(() => reject(new Error('Stopped.'))));
    worker.onmessage = ({ data }: MessageEvent<Answered<T>>) =>
      end(() => (data.ok ? resolve(data.value) : reject(new Error(data.sentence))));
    worker.onerror = ({ message }) => end(() => reject(new Error(`A worker of this page did not start: ${message}.`)));
    worker.postMessage(question, give);
  });
}
