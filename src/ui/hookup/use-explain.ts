import { useEffect, useState } from 'react';
import type { Board, Build } from '@/core';
import type { Answers, Question } from '@/workers/explain.worker';

/** Asks the explaining worker; null while it thinks. A newer question stops the older one. */
export function useExplain<K extends Question['about']>(
  build: Build,
  board: Board | null,
  question: (Question & { about: K }) | null,
): Answers[K] | null {
  const [answer, setAnswer] = useState<{ key: string; value: Answers[K] } | null>(null);
  const key = board && question ? JSON.stringify([board.id, question]) : '';
  useEffect(() => {
    if (!board || !question) return;
    const worker = new Worker(new URL('../../workers/explain.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = (event: MessageEvent<{ answer: Answers[K] }>) => setAnswer({ key, value: event.data.answer });
    worker.postMessage({ id: 0, build, board, question });
    return () => worker.terminate();
    // The question is told apart by its words.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [build, board, key]);
  return answer && answer.key === key ? answer.value : null;
}
