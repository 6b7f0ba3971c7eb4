import type { Board, Build } from '@/core';
import type { Answers, Question } from '@/workers/explain.worker';
import { identityOf } from '../room/identity';
import { useShelf } from '../room/use-shelf';
import { useWorkerAnswer } from '../room/use-worker-answer';

/** Asks the explaining worker; null while it thinks. A newer question stops the older one. */
export function useExplain<K extends Question['about']>(
  build: Build,
  board: Board | null,
  question: (Question & { about: K }) | null,
): Answers[K] | null {
  const { shelf } = useShelf();
  const key = board && question ? JSON.stringify([identityOf(build), identityOf(board), question]) : null;
  return useWorkerAnswer<Answers[K]>(key, () => ({
    worker: new Worker(new URL('../../workers/explain.worker.ts', import.meta.url), { type: 'module' }),
    question: { build, board, question, shelf: shelf?.boards ?? [] },
  }));
}
