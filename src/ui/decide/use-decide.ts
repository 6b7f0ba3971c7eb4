import type { Decided, Decision, ToDecider } from '@/workers/decide.worker';
import { useRoom } from '../room/store';
import { candidatesOf } from '../room/use-candidate';
import { useShelf } from '../room/use-shelf';
import { identityOf } from '../room/identity';
import { useWorkerAnswer } from '../room/use-worker-answer';

/** Asks the deciding worker about the shelf as it is ranked now; null while it thinks, or when `decision` is null. */
export function useDecide<K extends Decision['about']>(decision: (Decision & { about: K }) | null): Decided[K] | null {
  const { build, ranking } = useRoom('build', 'ranking');
  const { shelf } = useShelf();
  const { ranked, busy } = ranking;
  // Read here and not in the question below: what a closure reads of what may be null is read early once it is compiled.
  const boards = shelf && ranked ? candidatesOf(build, shelf.boards, ranked) : undefined;
  const ready = decision && boards && ranked && !busy;
  const key = ready ? JSON.stringify([decision, build.weighing, identityOf(ranked)]) : null;
  return useWorkerAnswer<Decided[K]>(key, () => ({
    worker: new Worker(new URL('../../workers/decide.worker.ts', import.meta.url), { type: 'module' }),
    question: {
      build,
      boards: boards ?? [],
      shelf: shelf?.boards ?? [],
      ranked: ranked ?? [],
      decision: decision!,
    } satisfies ToDecider,
  }));
}
