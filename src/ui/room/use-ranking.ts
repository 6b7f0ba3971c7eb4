import { useCallback, useEffect, useRef, useState } from 'react';
import { whatMoved, type Board, type Build, type Moved, type Ranked } from '@/core';
import type { FromRanker, ToRanker } from '@/workers/rank.worker';

export interface Ranking {
  ranked: Ranked[] | null;
  /** Rank of each board before the last change. */
  before: Map<string, number>;
  /** What the last change moved, and why. */
  moved: Moved[];
  busy: boolean;
  /** How many of how many boards have climbed, while that takes long. */
  progress: { done: number; total: number } | null;
  /** Gives the climb of the newest change up; the order shown stays the one before it. */
  stop: () => void;
  /** Ranks the shelf for another build, aside. */
  ask: (build: Build) => Promise<Ranked[]>;
}

type State = Pick<Ranking, 'ranked' | 'before' | 'moved' | 'busy' | 'progress'>;

/** Ranks the shelf for the build in a worker, again at each change. */
export function useRanking(build: Build, boards: Board[] | null): Ranking {
  const [state, setState] = useState<State>({ ranked: null, before: new Map(), moved: [], busy: true, progress: null });
  const worker = useRef<Worker | null>(null);
  const run = useRef(0);
  const asked = useRef(new Map<number, (ranked: Ranked[]) => void>());
  const send = (message: ToRanker) => worker.current?.postMessage(message);

  useEffect(() => {
    if (!boards) return;
    const made = new Worker(new URL('../../workers/rank.worker.ts', import.meta.url), { type: 'module' });
    worker.current = made;
    send({ kind: 'boards', boards });
    made.onmessage = ({ data }: MessageEvent<FromRanker>) => {
      if (data.kind === 'answer') {
        asked.current.get(data.ask)?.(data.ranked);
        asked.current.delete(data.ask);
      } else if (data.run === run.current) {
        if (data.kind === 'progress') setState((old) => ({ ...old, progress: { done: data.done, total: data.total } }));
        else
          setState((old) => ({
            ranked: data.ranked,
            before: new Map(old.ranked?.map((r) => [r.climb.boardId, r.rank])),
            moved: old.ranked ? whatMoved(old.ranked, data.ranked) : [],
            busy: false,
            progress: null,
          }));
      }
    };
    return () => made.terminate();
  }, [boards]);

  useEffect(() => {
    if (!boards) return;
    run.current += 1;
    setState((old) => ({ ...old, busy: true, progress: null }));
    send({ kind: 'build', build, run: run.current });
  }, [build, boards]);

  const stop = useCallback(() => {
    run.current += 1;
    send({ kind: 'stop' });
    setState((old) => ({ ...old, busy: false, progress: null }));
  }, []);
  const ask = useCallback(
    (other: Build) =>
      new Promise<Ranked[]>((resolve) => {
        const number = Date.now() + Math.random();
        asked.current.set(number, resolve);
        send({ kind: 'ask', build: other, ask: number });
      }),
    [],
  );
  return { ...state, stop, ask };
}
