import type { Board, Build, Climb } from '@/core';
import type { FromClimber, ToClimber } from '@/workers/climb.worker';

/** Workers that share a shelf. */
export interface Climbers {
  /** All boards climb for a build, those of `known` not again; `done` gets the climbs in the order of the shelf, `progress` those that there are so far. Returns a way to stop. */
  climb: (
    build: Build,
    done: (climbs: Climb[]) => void,
    progress?: (climbs: Climb[]) => void,
    known?: readonly Climb[],
  ) => () => void;
  /** Told when a worker dies: nothing more comes of it. */
  onFault: (told: (sentence: string) => void) => void;
  end: () => void;
}

const most = 4;

const start = () => new Worker(new URL('../../workers/climb.worker.ts', import.meta.url), { type: 'module' });
let spare: Worker | null = null;

/** Loads a worker while its boards are still on their way. */
export function startAhead(): void {
  if (spare) return;
  spare = start();
  // One that did not come says so to nobody: another is started when it is wanted, and is heard.
  spare.onerror = () => (spare = null);
}

function started(): Worker {
  const worker = spare ?? start();
  spare = null;
  return worker;
}

export function climbersOf(boards: Board[]): Climbers {
  const count = Math.max(1, Math.min(most, boards.length, navigator.hardwareConcurrency - 1));
  const at = new Map(boards.map((b, i) => [b.id, i]));
  const runs = new Map<number, (climbs: Climb[]) => void>();
  const told = new Map<string, Climb>();
  let fault: (sentence: string) => void = () => undefined;
  const workers = Array.from({ length: count }, (_, k) => {
    const worker = started();
    worker.onmessage = ({ data }: MessageEvent<FromClimber>) => {
      for (const c of data.climbs) told.set(c.boardId, c);
      runs.get(data.run)?.([...data.climbs, ...data.same.map((id) => told.get(id)!)]);
    };
    worker.onerror = ({ message }) => fault(`The climb stopped by a fault of ours: ${message}. Load the page again.`);
    worker.postMessage({ kind: 'boards', boards: boards.filter((_, i) => i % count === k) } satisfies ToClimber);
    return worker;
  });
  const tell = (said: ToClimber) => workers.forEach((w) => w.postMessage(said));
  let last = 0;
  return {
    climb: (build, done, progress, known = []) => {
      const run = ++last;
      const all = new Array<Climb | undefined>(boards.length);
      for (const c of known) all[at.get(c.boardId)!] = c;
      let ready = known.length;
      runs.set(run, (climbs) => {
        for (const c of climbs) all[at.get(c.boardId)!] = c;
        ready += climbs.length;
        if (ready < all.length) return progress?.(all.filter((c) => c !== undefined));
        runs.delete(run);
        done(all as Climb[]);
      });
      tell({ kind: 'build', build, run, known: known.map((c) => c.boardId) });
      return () => runs.delete(run) && tell({ kind: 'stop', run });
    },
    onFault: (told) => {
      fault = told;
    },
    end: () => workers.forEach((w) => w.terminate()),
  };
}
