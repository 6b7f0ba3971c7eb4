import { useEffect, useRef, useState } from 'react';
import type { Board, Build, Ranked } from '@/core';
import type { FromRanker } from '@/workers/rank.worker';

export interface Ranking {
  ranked: Ranked[] | null;
  /** Rank of each board before the last change. */
  before: Map<string, number>;
  busy: boolean;
}

/** Ranks the shelf for the build in a worker, again at each change. */
export function useRanking(build: Build, boards: Board[] | null): Ranking {
  const [ranking, setRanking] = useState<Ranking>({ ranked: null, before: new Map(), busy: true });
  const worker = useRef<Worker | null>(null);
  const run = useRef(0);

  useEffect(() => {
    if (!boards) return;
    const made = new Worker(new URL('../../workers/rank.worker.ts', import.meta.url), { type: 'module' });
    worker.current = made;
    made.postMessage({ kind: 'boards', boards });
    made.onmessage = (event: MessageEvent<FromRanker>) => {
      if (event.data.run !== run.current) return;
      setRanking((old) => ({ ranked: event.data.ranked, before: new Map(old.ranked?.map((r) => [r.climb.boardId, r.rank])), busy: false }));
    };
    return () => made.terminate();
  }, [boards]);

  useEffect(() => {
    if (!boards) return;
    run.current += 1;
    setRanking((old) => ({ ...old, busy: true }));
    worker.current?.postMessage({ kind: 'build', build, run: run.current });
  }, [build, boards]);

  return ranking;
}
