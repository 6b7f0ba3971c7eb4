import { afterEach, expect, test, vi } from 'vitest';
import type { Climb } from '@/core';
import { makeBoard, makeBuild } from '@/core/tests/make';
import type { FromClimber, ToClimber } from '@/workers/climb.worker';
import { climbersOf, startAhead } from './climbers';

/** Workers that keep what they were told, and answer when the test says so. */
const made: { told: ToClimber[]; onmessage?: (event: { data: FromClimber }) => void; ended: boolean }[] = [];

class Stand {
  told: ToClimber[] = [];
  ended = false;
  onmessage?: (event: { data: FromClimber }) => void;
  onerror?: () => void;
  constructor() {
    made.push(this);
  }
  postMessage(said: ToClimber) {
    this.told.push(said);
  }
  terminate() {
    this.ended = true;
  }
}

function crew(cores: number, boards: number) {
  vi.stubGlobal('Worker', Stand);
  vi.stubGlobal('navigator', { hardwareConcurrency: cores });
  return climbersOf(Array.from({ length: boards }, (_, i) => makeBoard({ id: `b${i}` })));
}
const boardsOf = (k: number) => made[k]!.told.flatMap((t) => (t.kind === 'boards' ? t.boards.map((b) => b.id) : []));
const runsOf = (k: number, kind: 'build' | 'stop') => made[k]!.told.flatMap((t) => (t.kind === kind ? [t.run] : []));
const answer = (k: number, run: number, ids: string[], same: string[] = []) =>
  made[k]!.onmessage!({ data: { run, climbs: ids.map((boardId) => ({ boardId }) as Climb), same } });

afterEach(() => {
  made.length = 0;
  vi.unstubAllGlobals();
});

test('each board goes to one worker; one processor is left to the page', () => {
  crew(4, 7);
  expect(made).toHaveLength(3);
  expect(made.flatMap((_, k) => boardsOf(k)).sort()).toEqual(['b0', 'b1', 'b2', 'b3', 'b4', 'b5', 'b6']);
});

test('the climbs come in the order of the shelf, whichever worker is first, with progress meanwhile', () => {
  const climbers = crew(3, 3);
  const done = vi.fn();
  const progress = vi.fn();
  climbers.climb(makeBuild(), done, progress);
  const [run] = runsOf(0, 'build');
  answer(1, run!, ['b1']);
  answer(0, run!, ['b2']);
  expect(done).not.toHaveBeenCalled();
  answer(0, run!, ['b0']);
  expect(progress.mock.calls.map(([some]) => (some as Climb[]).map((c) => c.boardId))).toEqual([['b1'], ['b1', 'b2']]);
  expect((done.mock.calls[0]![0] as Climb[]).map((c) => c.boardId)).toEqual(['b0', 'b1', 'b2']);
});

test('what is known does not climb again, and has its place among the others', () => {
  const climbers = crew(3, 3);
  const done = vi.fn();
  climbers.climb(makeBuild(), done, undefined, [{ boardId: 'b1' } as Climb]);
  expect(made.flatMap(({ told }) => told.flatMap((t) => (t.kind === 'build' ? [t.known] : [])))).toEqual([
    ['b1'],
    ['b1'],
  ]);
  const [run] = runsOf(0, 'build');
  answer(1, run!, []);
  expect(done).not.toHaveBeenCalled();
  answer(0, run!, ['b2', 'b0']);
  expect((done.mock.calls[0]![0] as Climb[]).map((c) => c.boardId)).toEqual(['b0', 'b1', 'b2']);
});

test('what was stopped is not answered, and the workers hear of it; another run goes on', () => {
  const climbers = crew(2, 1);
  const [first, second] = [vi.fn(), vi.fn()];
  const stop = climbers.climb(makeBuild(), first);
  climbers.climb(makeBuild(), second);
  stop();
  const [one, two] = runsOf(0, 'build');
  answer(0, one!, ['b0']);
  answer(0, two!, ['b0']);
  expect(first).not.toHaveBeenCalled();
  expect(second).toHaveBeenCalledOnce();
  expect(runsOf(0, 'stop')).toEqual([one]);
});

test('of a board that no edit has touched the climb of before is taken, also where that was told to a run that was stopped', () => {
  const climbers = crew(2, 2);
  const done = vi.fn();
  climbers.climb(makeBuild(), vi.fn())();
  climbers.climb(makeBuild(), done);
  const [one, two] = runsOf(0, 'build');
  answer(0, one!, ['b0', 'b1']);
  answer(0, two!, ['b1'], ['b0']);
  expect((done.mock.calls[0]![0] as Climb[]).map((c) => c.boardId)).toEqual(['b0', 'b1']);
});

test('an empty shelf is ranked at once; ending ends the workers', () => {
  const climbers = crew(8, 0);
  const done = vi.fn();
  climbers.climb(makeBuild(), done);
  answer(0, runsOf(0, 'build')[0]!, []);
  expect(done).toHaveBeenCalledWith([]);
  climbers.end();
  expect(made.every((w) => w.ended)).toBe(true);
});

test('a worker that was loaded ahead is the first one, and is used once', () => {
  vi.stubGlobal('Worker', Stand);
  startAhead();
  startAhead();
  expect(made).toHaveLength(1);
  crew(3, 4);
  expect(made).toHaveLength(2);
  expect([boardsOf(0), boardsOf(1)]).toEqual([
    ['b0', 'b2'],
    ['b1', 'b3'],
  ]);
  crew(2, 1);
  expect(made).toHaveLength(3);
});

test('one that was loaded ahead and did not come is not the first one', () => {
  vi.stubGlobal('Worker', Stand);
  startAhead();
  (made[0] as Stand).onerror!();
  crew(2, 1);
  expect([boardsOf(0), boardsOf(1)]).toEqual([[], ['b0']]);
});
