import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, type ReactNode } from 'react';
import type { Board, Build, Peripheral } from '@/core';
import type { OnHome, Then, ToHome } from '@/workers/home.worker';
import { useAsked } from '../frame/asked';
import { answerKey } from '../room/kept-answers';
import { askServer, mayGoLater } from '../room/ask-server';
import { identityOf } from '../room/identity';
import { today } from '../room/today';
import { useShelf } from '../room/use-shelf';
import { useWorkerAnswer } from '../room/use-worker-answer';
import { knownStands } from './known-stands';

interface Step<T> {
  before: T | null;
  now: T | null;
}
/** What changed in the days asked for, by kind. */
export interface MovedOf {
  build: Step<Build>[];
  board: Step<Board>[];
  part: Step<Peripheral>[];
}

/** What moved in the last days; undefined while it is on its way, null where the server does not answer. */
export function useMoved(days: number): { moved: MovedOf | null | undefined; unanswered: ReactNode } {
  const { said, unanswered } = useAsked<{ moved: ({ kind: keyof MovedOf } & Step<never>)[] }>(
    'What moved',
    ['moved', days],
    `/api/moved?days=${days}`,
  );
  const all = said?.moved;
  // One and the same object as long as nothing else is said: what hangs on it is worked out by its identity.
  const moved = useMemo(() => {
    if (!all) return undefined;
    const of = (kind: keyof MovedOf) => all.filter((m) => m.kind === kind);
    return { build: of('build'), board: of('board'), part: of('part') };
  }, [all]);
  return { moved: moved ?? (unanswered ? null : undefined), unanswered };
}

/** The builds themselves, the newest of them; the list of the page has only what it shows. */
export function useBuilds(listed: { id: string; version: number }[]): {
  builds: Build[] | undefined;
  fault: string | null;
  askAgain: () => void;
} {
  const { data, error, refetch } = useQuery({
    queryKey: ['builds', listed.map((b) => [b.id, b.version])],
    queryFn: async () => (await Promise.all(listed.map(({ id }) => buildOf(id)))).flat(),
  });
  return { builds: data, fault: error?.message ?? null, askAgain: () => void refetch() };
}

/** None where it was removed in the meantime, or cannot be read. */
async function buildOf(id: string): Promise<Build[]> {
  const { ok, status, said } = await askServer<{ build: Build }>(
    `/api/builds/${id}`,
    {},
    'The server does not answer.',
  );
  if (ok && said.build) return [said.build];
  if (mayGoLater(status)) throw new Error(said.sentence);
  return [];
}

/** What is known of an earlier visit, with the keys that it is kept under; null while it is looked up. */
function useKnown(builds: Build[] | undefined, boards: Board[] | undefined) {
  const { data } = useQuery({
    queryKey: ['known stands', builds && identityOf(builds), boards && identityOf(boards), today()],
    enabled: builds !== undefined && boards !== undefined,
    gcTime: 0,
    queryFn: async () => {
      const keys: Record<string, string> = {};
      const stands: OnHome['stands'] = {};
      for (const build of builds!) {
        const key = await answerKey(boards!, build, today());
        const known = key === null ? null : await knownStands.known(key);
        if (key !== null) keys[build.id] = key;
        if (known) stands[build.id] = known;
      }
      return { keys, stands };
    },
  });
  return data ?? null;
}

/** How each build stands before the shelf, worked out beside the page; null while that goes on. */
export function useStands(builds: Build[] | undefined, moved: MovedOf | null | undefined): OnHome | null {
  const { shelf } = useShelf();
  const then: Then = {
    builds: moved?.build.flatMap((m) => m.before ?? []) ?? [],
    boards: moved?.board.flatMap((m) => m.before ?? []) ?? [],
  };
  const boards = shelf?.boards;
  const known = useKnown(builds, boards);
  const key =
    known && boards && builds && builds.length > 0 && moved !== undefined
      ? JSON.stringify([identityOf(builds), identityOf(boards), identityOf(known), moved && identityOf(moved)])
      : null;
  const answer = useWorkerAnswer<OnHome>(key, () => ({
    worker: new Worker(new URL('../../workers/home.worker.ts', import.meta.url), { type: 'module' }),
    question: {
      builds: builds ?? [],
      boards: boards ?? [],
      then,
      today: today(),
      known: known?.stands ?? {},
    } satisfies ToHome,
  }));
  const kept = useRef(new Set<string>());
  useEffect(() => {
    for (const [id, at] of Object.entries(answer?.stands ?? {})) {
      const under = known?.keys[id];
      if (!under || at.alone || known.stands[id] || kept.current.has(under)) continue;
      kept.current.add(under);
      void knownStands.keep(under, at);
    }
  }, [answer, known]);
  return answer;
}
