import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { makeBoard, makeBuild } from '@/core/tests/make';
import type { FromAside, FromSetFinder, ToSetFinder } from '@/workers/sets.worker';
import { setFinderOf } from './set-finder';

/** Workers that keep what they were told, and answer when the test says so. */
interface Made {
  told: ToSetFinder[];
  ended: boolean;
  onmessage?: (event: { data: FromSetFinder | FromAside }) => void;
  onerror?: (event: { message: string }) => void;
}
let made: Made[] = [];

beforeEach(() => {
  made = [];
  vi.stubGlobal(
    'Worker',
    class {
      told: ToSetFinder[] = [];
      ended = false;
      constructor() {
        made.push(this);
      }
      postMessage(said: ToSetFinder) {
        this.told.push(said);
      }
      terminate() {
        this.ended = true;
      }
    },
  );
});
afterEach(() => vi.unstubAllGlobals());

const build = makeBuild();
const few = [makeBoard({ id: 'b0' }), makeBoard({ id: 'b1' })];
const many = Array.from({ length: 2001 }, (_, i) => ({ ...few[0]!, id: `b${i}` }));
const found = (run: number, done: boolean): FromSetFinder => ({
  run,
  climbs: [],
  tried: 1,
  possible: 1,
  out: [],
  proved: done,
  done,
});

test('nothing is started before it is wanted', () => {
  const finder = setFinderOf(few, false);
  finder.stop();
  expect(made).toHaveLength(0);
  finder.find(build, [], () => undefined);
  expect(made[0]!.told.map((t) => t.kind)).toEqual(['boards', 'build']);
});

test('the newest question alone is answered', () => {
  const finder = setFinderOf(few, false);
  const told: number[] = [];
  finder.find(build, [], ({ run }) => told.push(run));
  finder.find(build, [], ({ run }) => told.push(run));
  made[0]!.onmessage!({ data: found(1, true) });
  made[0]!.onmessage!({ data: found(2, false) });
  finder.stop();
  made[0]!.onmessage!({ data: found(2, true) });
  expect(told).toEqual([2]);
});

test('a worker that has nothing to do keeps a small shelf, and not a large one: it gets it again when it is wanted', async () => {
  const small = setFinderOf(few, false);
  small.find(build, [], () => undefined);
  made[0]!.onmessage!({ data: found(1, true) });
  expect(made[0]!.ended).toBe(false);

  const large = setFinderOf(many, true);
  const done: boolean[] = [];
  large.find(build, [], (f) => done.push(f.done));
  const aside = large.climb(build, ['x']);
  made[1]!.onmessage!({ data: found(1, true) });
  expect([done, made[1]!.ended]).toEqual([[true], false]);
  made[1]!.onmessage!({ data: { aside: 1, climbs: [] } });
  expect(await aside).toEqual([]);
  expect(made[1]!.ended).toBe(true);
  large.find(build, [], (f) => done.push(f.done));
  expect(made[2]!.told[0]).toMatchObject({ kind: 'boards', boards: many });
  made[2]!.onmessage!({ data: found(2, false) });
  expect([done, made[2]!.ended]).toEqual([[true, false], false]);
});

test('a fault of the worker is told', () => {
  const finder = setFinderOf(few, false);
  let said = '';
  finder.onFault((sentence) => (said = sentence));
  finder.find(build, [], () => undefined);
  made[0]!.onerror!({ message: 'out of memory' });
  expect(said).toContain('out of memory');
});
