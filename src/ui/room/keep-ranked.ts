import { rankClimbs, whatMoved, type Board, type Build } from '@/core';
import { climbersOf } from './climbers';
import type { Ranking, RoomStore } from './room';

/** Progress is shown when a climb takes longer than this, and so often. */
const longMs = 400;
const tickMs = 200;

/** Ranks the boards for the build in workers, again at each change of it, until the returned function ends that. */
export function keepRanked(store: RoomStore, boards: Board[]): () => void {
  const climbers = climbersOf(boards);
  const say = (change: Partial<Ranking> | ((now: Ranking) => Partial<Ranking>)) =>
    store.setState(({ ranking }) => ({
      ranking: { ...ranking, ...(typeof change === 'function' ? change(ranking) : change) },
    }));
  climbers.onFault((fault) => say({ fault }));
  let giveUp = () => undefined as unknown;

  const rank = (build: Build) => {
    giveUp();
    let next = performance.now() + longMs;
    giveUp = climbers.climb(
      build,
      (climbs) => {
        const ranked = rankClimbs(climbs);
        say((old) => ({
          ranked,
          before: new Map(old.ranked?.map((r) => [r.climb.boardId, r.rank])),
          moved: old.ranked ? whatMoved(old.ranked, ranked) : [],
          busy: false,
          progress: null,
        }));
      },
      (done) => {
        if (performance.now() < next) return;
        next = performance.now() + tickMs;
        say({ progress: { done, total: boards.length } });
      },
    );
  };

  say({
    busy: true,
    fault: null,
    stop: () => {
      giveUp();
      say({ busy: false, progress: null });
    },
    ask: (other) => new Promise((resolve) => climbers.climb(other, (climbs) => resolve(rankClimbs(climbs)))),
  });
  rank(store.getState().build);
  const unsubscribe = store.subscribe(({ build }, { build: before }) => {
    if (build === before) return;
    say({ busy: true, progress: null });
    rank(build);
  });
  return () => {
    unsubscribe();
    climbers.end();
  };
}
