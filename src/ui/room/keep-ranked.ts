import {
  isCandidate,
  isSetId,
  manyBoards,
  pickedId,
  rankClimbs,
  roleOf,
  whatClimbs,
  whatMoved,
  type Board,
  type Build,
  type Climb,
  type Ranked,
} from '@/core';
import equal from 'fast-deep-equal';
import type { FromSetFinder } from '@/workers/sets.worker';
import { climbersOf } from './climbers';
import type { Ranking, RoomStore, SetsFound } from './room';
import { boardInAddress } from './named-board';
import { answerKey } from './kept-answers';
import { knownRankings, type KnownRanking } from './known-rankings';
import { setFinderOf } from './set-finder';

/** Progress is shown when a climb takes longer than this, and so often. */
const longMs = 400;
const tickMs = 200;
/** While the first order grows, which is sorted each time. */
const firstTickMs = 1000;
/** What an earlier visit worked out stands at once; that the next edit finds what it needs is seen to once the page has been read for so long: most are left before. */
const aheadMs = 10_000;
/** An order is kept for the next visit once nothing has changed for so long. */
const quietMs = 400;

/**
 * Ranks the boards of the shelf, and the sets that can be made of them, for the build in workers, again at each change of it, until the returned function ends that. Boards are
 * shown as soon as they have climbed, sets as they are found. `of`: the shelf has so many boards and these are the likely ones, so that no order is of all yet.
 */
export function keepRanked(store: RoomStore, shelf: Board[], of?: number): () => void {
  const boards = shelf.filter(isCandidate);
  const climbers = climbersOf(boards);
  const members = shelf.filter((b) => !isCandidate(b) || roleOf(b) === 'controller');
  const finder =
    members.some((b) => roleOf(b) === 'controller') && boards.length < shelf.length
      ? setFinderOf(members, boards.length > manyBoards)
      : null;
  const say = (change: Partial<Ranking> | ((now: Ranking) => Partial<Ranking>)) =>
    store.setState(({ ranking }) => ({
      ranking: { ...ranking, ...(typeof change === 'function' ? change(ranking) : change) },
    }));
  climbers.onFault((fault) => say({ fault }));
  let down = false;
  finder?.onFault((fault) => {
    down = true;
    say({ fault });
    endSearch();
  });
  let giveUp = () => undefined as unknown;

  const rank = (build: Build) => {
    giveUp();
    // What the whole of it is held against: an order without its sets, or of some boards, is not the one before.
    const { ranked: shown, partial } = store.getState().ranking;
    const before = partial ? null : shown;
    const known = partial && sameOrder(partial.build, build) ? stillSo(partial, boards) : [];
    let next = performance.now() + (of === undefined ? longMs : 0);
    let alone: Climb[] | null = null;
    let sets: FromSetFinder | null = null;
    // The search for sets would take the processors that very many boards climb on.
    const later = boards.length > manyBoards;
    const showSome = (climbs: Climb[]) =>
      say(({ ranked }) => ({
        progress: { done: climbs.length, total: of ?? boards.length },
        // Never fewer than there were.
        ...(ranked && ranked === shown && ranked.length > climbs.length
          ? {}
          : { ranked: rankClimbs(climbs), partial: { build, boards, climbs } }),
      }));
    const asked = setsAsked(build, shown);
    const show = (ended = false) => {
      // Sets that a page may be about are told at once: an order without them would take it away.
      if (!alone || of !== undefined || (finder && !down && !later && !ended && !sets && asked.length > 0)) return;
      const done = ended || !finder || down || sets?.done === true;
      const ranked = rankClimbs([...alone, ...(sets?.climbs ?? [])]);
      say({
        ranked,
        partial: null,
        ...(done
          ? {
              before: new Map(before?.map((r) => [r.climb.boardId, r.rank])),
              moved: before ? whatMoved(before, ranked) : [],
            }
          : {}),
        busy: !done,
        sets: finder && foundOf(sets, !done),
        progress: null,
      });
      if (done && !ended && !down) keepFor(build, { alone, sets: sets && foundSets(sets) });
    };
    const findSets = () =>
      finder?.find(build, asked, (found) => {
        sets = found;
        show();
      });
    const stopClimbing = climbers.climb(
      build,
      (climbs) => {
        alone = climbs;
        if (of !== undefined) return showSome(climbs);
        show();
        if (later) findSets();
      },
      (some) => {
        if (performance.now() < next) return;
        // Of a very large shelf the likely boards, which climb first, are shown in their order until all have climbed.
        const early = !before && (of !== undefined || boards.length > manyBoards);
        next = performance.now() + (early && of === undefined ? firstTickMs : tickMs);
        if (early) showSome(some);
        else say({ progress: { done: some.length, total: of ?? boards.length } });
      },
      known,
    );
    if (!later && of === undefined) findSets();
    giveUp = () => {
      finder?.stop();
      return stopClimbing();
    };
    endSearch = () => show(true);
  };
  let endSearch = () => undefined as unknown;

  let closed = false;
  let keeping: ReturnType<typeof setTimeout> | undefined;
  /** Once nothing has changed for a while, for the next visit. */
  const keepFor = (build: Build, ranking: KnownRanking) => {
    clearTimeout(keeping);
    keeping = setTimeout(
      () =>
        void answerKey(shelf, whatOrders(build)).then((key) => {
          if (key && !closed && sameOrder(store.getState().build, build)) return knownRankings.keep(key, ranking);
        }),
      quietMs,
    );
  };
  /** What was worked out at an earlier visit, if it was; the boards climb again unseen, so that the next edit finds what it needs. */
  const begin = async (build: Build) => {
    const key = await answerKey(shelf, whatOrders(build));
    const known = key ? await knownRankings.known(key) : null;
    if (closed || !sameOrder(store.getState().build, build)) return;
    if (!known) return rank(build);
    const sets: FromSetFinder | null = known.sets && { ...known.sets, run: 0, done: true };
    say({
      ranked: rankClimbs([...known.alone, ...(known.sets?.climbs ?? [])]),
      before: new Map(),
      moved: [],
      busy: false,
      sets: finder && foundOf(sets, false),
      progress: null,
    });
    if (!store.getState().rights.mayWrite) return;
    const ahead = setTimeout(() => (giveUp = climbers.climb(build, () => undefined)), aheadMs);
    giveUp = () => clearTimeout(ahead);
  };

  const ask: Ranking['ask'] = async (other) => {
    const shown = (store.getState().ranking.ranked ?? []).flatMap((r) => (r.climb.members ? [r.climb.boardId] : []));
    const [alone, sets] = await Promise.all([
      new Promise<Climb[]>((resolve) => climbers.climb(other, resolve)),
      finder ? finder.climb(other, shown) : [],
    ]);
    return rankClimbs([...alone, ...sets]);
  };
  /** Of whoever ranks the whole shelf, once it is here. */
  const askLater: Ranking['ask'] = (other) =>
    new Promise((resolve) => {
      const stop = store.subscribe(({ ranking }) => {
        if (ranking.ask === askLater) return;
        stop();
        resolve(ranking.ask(other));
      });
    });

  say({
    busy: true,
    fault: null,
    stop: () => {
      giveUp();
      say({ busy: false, progress: null });
      endSearch();
    },
    ask: of === undefined ? ask : askLater,
  });
  void begin(store.getState().build);
  const unsubscribe = store.subscribe(({ build }, { build: before }) => {
    // A step that is ticked, a reading, a name: the order is what it was.
    if (sameOrder(build, before)) return;
    say({ busy: true, progress: null });
    rank(build);
  });
  return () => {
    closed = true;
    clearTimeout(keeping);
    giveUp();
    unsubscribe();
    climbers.end();
    finder?.end();
  };
}

/** The sets that are asked for, whether or not a search would find them: the buyer's, what was picked, and what the page at hand is about. */
function setsAsked(build: Build, shown: readonly Ranked[] | null): string[] {
  const named = boardInAddress();
  const here = named !== null && shown?.some((r) => r.climb.boardId === named) ? [named] : [];
  return [...new Set([...build.sets, ...build.picks.map(pickedId), ...here])].filter(isSetId);
}

/** All of a build that its order hangs on. */
function whatOrders(build: Build): unknown[] {
  return [whatClimbs(build), build.sets, build.picks.map(pickedId)];
}

function sameOrder(a: Build, b: Build): boolean {
  return a === b || equal(whatOrders(a), whatOrders(b));
}

/** What some boards came to, of those that are as they were. */
function stillSo({ boards, climbs }: NonNullable<Ranking['partial']>, now: Board[]): Climb[] {
  const then = new Map(boards.map((b) => [b.id, b]));
  const same = new Set(now.filter((b) => equal(b, then.get(b.id))).map((b) => b.id));
  return climbs.filter((c) => same.has(c.boardId));
}

function foundSets({ climbs, tried, possible, out, proved }: FromSetFinder): NonNullable<KnownRanking['sets']> {
  return { climbs, tried, possible, out, proved };
}

/** What the search for sets has come to; nothing yet before its first word. */
function foundOf(found: FromSetFinder | null, busy: boolean): SetsFound {
  if (!found) return { tried: 0, possible: 0, out: [], proved: false, busy };
  const { tried, possible, out, proved, done } = found;
  return { tried, possible, out, proved: done && proved, busy };
}
