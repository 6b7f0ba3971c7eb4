import { useEffect, useState } from 'react';
import type { Decided, Decision, ToDecider } from '@/workers/decide.worker';
import { useRoom } from '../room/BuildRoom';

/** Asks the deciding worker about the shelf as it is ranked now; null while it thinks, or when `decision` is null. */
export function useDecide<K extends Decision['about']>(decision: (Decision & { about: K }) | null): Decided[K] | null {
  const { build, shelf, ranking } = useRoom();
  const [answer, setAnswer] = useState<{ to: unknown; key: string; value: Decided[K] } | null>(null);
  const key = decision ? JSON.stringify([decision, build.weighing]) : '';
  const { ranked, busy } = ranking;
  useEffect(() => {
    if (!decision || !shelf || !ranked || busy) return;
    const worker = new Worker(new URL('../../workers/decide.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = (event: MessageEvent<Decided[K]>) => setAnswer({ to: ranked, key, value: event.data });
    worker.postMessage({ build, boards: shelf.boards, ranked, decision } satisfies ToDecider);
    return () => worker.terminate();
    // The decision is told apart by its words; the ranking stands for build and shelf.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ranked, busy, key]);
  return answer && answer.to === ranked && answer.key === key ? answer.value : null;
}
