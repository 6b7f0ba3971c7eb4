import type { BenchAnswers, BenchQuestion, ToBench } from '@/workers/bench.worker';
import type { Chosen } from '../after/use-chosen';
import { useRoom } from '../room/store';
import { useWorkerAnswer } from '../room/use-worker-answer';
import { identityOf } from '../room/identity';

/** What the circuit on the bench says; null while it is being solved. */
export function useBench<A extends BenchQuestion['about']>(
  { board, climb }: Chosen,
  question: Extract<BenchQuestion, { about: A }>,
): BenchAnswers[A] | null {
  const { build } = useRoom('build');
  const key = [identityOf(build), identityOf(board), identityOf(climb), JSON.stringify(question)].join(' ');
  return useWorkerAnswer<BenchAnswers[A]>(key, () => ({
    worker: new Worker(new URL('../../workers/bench.worker.ts', import.meta.url), { type: 'module' }),
    question: { build, board, climb, question } satisfies ToBench,
  }));
}
