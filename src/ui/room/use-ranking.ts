import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import { rankClimbs, whatMoved, type Board, type Build, type Moved, type Ranked } from '@/core';
import { climbersOf, type Climbers } from './climbers';

export interface Ranking {
  ranked: Ranked[] | null;
  /** Rank of each board before the last change. */
  before: Map<string, number>;
  /** What the last change moved, and why. */
  moved: Moved[];
  busy: boolean;
  /** Why no order comes, where a worker died. */
  fault: string | null;
  /** How many of how many boards have climbed, while that takes long. */
  progress: { done: number; total: number } | null;
  /** Gives the climb of the newest change up; the order shown stays the one before it. */
  stop: () => void;
  /** Ranks the shelf for another build, aside. */
  ask: (build: Build) => Promise<Ranked[]>;
}

type Order = Pick<Ranking, 'ranked' | 'before' | 'moved'> & {
  /** What this order answers, or was given up for. */
  of: { build: Build; boards: Board[] } | null;
};

/** Progress is shown when a climb takes longer than this, and so often. */
const longMs = 400;
const tickMs = 200;

/** Ranks the shelf for the build in workers, again at each change. */
export function useRanking(build: Build, boards: Board[] | null): Ranking {
  const [order, setOrder] = useState<Order>({ ranked: null, before: new Map(), moved: [], of: null });
  const [progress, setProgress] = useState<Ranking['progress']>(null);
  const [fault, setFault] = useState<string | null>(null);
  const climbers = useRef<Climbers | null>(null);
  const giveUp = useRef<() => void>(undefined);

  useEffect(() => {
    if (!boards) return;
    const made = climbersOf(boards);
    made.onFault(setFault);
    climbers.current = made;
    return () => made.end();
  }, [boards]);

  useEffect(() => {
    if (!boards) return;
    let next = performance.now() + longMs;
    const stop = climbers.current!.climb(
      build,
      (climbs) => {
        const ranked = rankClimbs(climbs);
        // The page may be at something else: the new order can be drawn in between.
        startTransition(() => {
          setProgress(null);
          setOrder((old) => ({
            ranked,
            before: new Map(old.ranked?.map((r) => [r.climb.boardId, r.rank])),
            moved: old.ranked ? whatMoved(old.ranked, ranked) : [],
            of: { build, boards },
          }));
        });
      },
      (done) => {
        if (performance.now() < next) return;
        next = performance.now() + tickMs;
        setProgress({ done, total: boards.length });
      },
    );
    giveUp.current = () => {
      stop();
      setProgress(null);
      setOrder((old) => ({ ...old, of: { build, boards } }));
    };
    return () => {
      stop();
      setProgress(null);
    };
  }, [build, boards]);

  const stop = useCallback(() => giveUp.current?.(), []);
  const ask = useCallback(
    (other: Build) =>
      new Promise<Ranked[]>((resolve) => climbers.current!.climb(other, (climbs) => resolve(rankClimbs(climbs)))),
    [],
  );
  return {
    ranked: order.ranked,
    before: order.before,
    moved: order.moved,
    busy: order.of?.build !== build || order.of.boards !== boards,
    fault,
    progress,
    stop,
    ask,
  };
}
