import type { Board, Build, Climb } from '@/core';
import type { FromAside, FromSetFinder, ToSetFinder } from '@/workers/sets.worker';

/** Looks for the best sets of a shelf, beside those that climb its boards. */
export interface SetFinder {
  /** The sets of a build, told as they are found; the newest question ends the one before it. */
  find: (build: Build, asked: string[], told: (found: FromSetFinder) => void) => void;
  /** Just these sets for a build, aside from the search. */
  climb: (build: Build, sets: string[]) => Promise<Climb[]>;
  stop: () => void;
  onFault: (told: (sentence: string) => void) => void;
  end: () => void;
}

/** Of more boards none are kept by a worker that has nothing to do: they are sent again when it is wanted. */
const mostAtHand = 2000;

/** The worker is started when it is first wanted. */
export function setFinderOf(boards: Board[], many: boolean): SetFinder {
  let worker: Worker | null = null;
  let fault: (sentence: string) => void = () => undefined;
  let run = 0;
  let last = 0;
  let told: ((found: FromSetFinder) => void) | null = null;
  const asides = new Map<number, (climbs: Climb[]) => void>();
  const start = () => {
    const started = new Worker(new URL('../../workers/sets.worker.ts', import.meta.url), { type: 'module' });
    started.onmessage = ({ data }: MessageEvent<FromSetFinder | FromAside>) => {
      if ('aside' in data) {
        asides.get(data.aside)?.(data.climbs);
        asides.delete(data.aside);
      } else if (data.run === run) {
        told?.(data);
        if (data.done) told = null;
      }
      if (boards.length > mostAtHand && told === null && asides.size === 0) end();
    };
    started.onerror = ({ message }) =>
      fault(`The search for sets stopped by a fault of ours: ${message}. Load the page again.`);
    started.postMessage({ kind: 'boards', boards, many } satisfies ToSetFinder);
    return started;
  };
  const tell = (said: ToSetFinder) => (worker ??= start()).postMessage(said);
  const end = () => {
    worker?.terminate();
    worker = null;
  };
  return {
    find: (build, asked, next) => {
      run += 1;
      told = next;
      tell({ kind: 'build', build, asked, run });
    },
    climb: (build, asked) =>
      new Promise((resolve) => {
        const aside = ++last;
        asides.set(aside, resolve);
        tell({ kind: 'these', build, asked, aside });
      }),
    stop: () => {
      run += 1;
      told = null;
      worker?.postMessage({ kind: 'stop' } satisfies ToSetFinder);
    },
    onFault: (say) => {
      fault = say;
    },
    end,
  };
}
