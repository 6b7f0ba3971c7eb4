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

export function setFinderOf(boards: Board[], many: boolean): SetFinder {
  const worker = new Worker(new URL('../../workers/sets.worker.ts', import.meta.url), { type: 'module' });
  const tell = (said: ToSetFinder) => worker.postMessage(said);
  let run = 0;
  let last = 0;
  let told: (found: FromSetFinder) => void = () => undefined;
  const asides = new Map<number, (climbs: Climb[]) => void>();
  worker.onmessage = ({ data }: MessageEvent<FromSetFinder | FromAside>) => {
    if ('run' in data) {
      if (data.run === run) told(data);
      return;
    }
    asides.get(data.aside)?.(data.climbs);
    asides.delete(data.aside);
  };
  tell({ kind: 'boards', boards, many });
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
      tell({ kind: 'stop' });
    },
    onFault: (say) => {
      worker.onerror = ({ message }) =>
        say(`The search for sets stopped by a fault of ours: ${message}. Load the page again.`);
    },
    end: () => worker.terminate(),
  };
}
