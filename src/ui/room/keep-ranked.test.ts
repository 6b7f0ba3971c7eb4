import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { evaluate, type Climb } from '@/core';
import { makeBoard, makeBuild, says } from '@/core/tests/make';
import type { FromClimber, ToClimber } from '@/workers/climb.worker';
import { keepRanked } from './keep-ranked';
import { roomStore } from './store';

/** Workers that keep what they were told, and answer when the test says so. */
let made: { told: ToClimber[]; onmessage?: (event: { data: FromClimber }) => void }[] = [];

beforeEach(() => {
  made = [];
  vi.stubGlobal(
    'Worker',
    class {
      told: ToClimber[] = [];
      constructor() {
        made.push(this);
      }
      postMessage(said: ToClimber) {
        this.told.push(said);
      }
      terminate() {}
    },
  );
  vi.stubGlobal('navigator', { hardwareConcurrency: 2 });
});
afterEach(() => vi.unstubAllGlobals());

const build = makeBuild();
const shelf = [0, 1, 2, 3].map((i) => makeBoard({ id: `b${i}`, name: `B${i}` }));
const likely = shelf.slice(0, 2);
const climbsOf = (ids: string[]): Climb[] => shelf.filter((b) => ids.includes(b.id)).map((b) => evaluate(build, b));
const asked = (k: number) => made[k]!.told.flatMap((t) => (t.kind === 'build' ? [t] : []));
const answer = (k: number, ids: string[]) =>
  made[k]!.onmessage!({ data: { run: asked(k).at(-1)!.run, climbs: climbsOf(ids), same: [] } });
const room = () => roomStore({ build, version: 1, savedAt: '' }, { mayWrite: true, shared: null, accounts: false }, 4);
const idsOf = (store: ReturnType<typeof room>) =>
  store
    .getState()
    .ranking.ranked?.map((r) => r.climb.boardId)
    .sort();

test('likely boards are shown as they climb; the order is not of all, and says so', async () => {
  const store = room();
  keepRanked(store, likely, 4);
  await expect.poll(() => asked(0)).toHaveLength(1);
  answer(0, ['b0']);
  expect(idsOf(store)).toEqual(['b0']);
  answer(0, ['b1']);
  expect(idsOf(store)).toEqual(['b0', 'b1']);
  expect(store.getState().ranking).toMatchObject({ busy: true, progress: { done: 2, total: 4 } });
  expect(store.getState().ranking.partial?.climbs).toHaveLength(2);
});

test('with the rest of the shelf they do not climb again, unless they have changed; nothing is said to have moved', async () => {
  const store = room();
  const end = keepRanked(store, likely, 4);
  await expect.poll(() => asked(0)).toHaveLength(1);
  answer(0, ['b0', 'b1']);
  const later = store.getState().ranking.ask(build);
  end();
  keepRanked(store, [shelf[0]!, { ...shelf[1]!, massG: says(9) }, shelf[2]!, shelf[3]!]);
  await expect.poll(() => asked(1).length).toBeGreaterThan(0);
  const [ranking, aside] = asked(1).sort((a, b) => b.known.length - a.known.length);
  expect(ranking!.known).toEqual(['b0']);
  expect(idsOf(store)).toEqual(['b0', 'b1']);
  made[1]!.onmessage!({ data: { run: ranking!.run, climbs: climbsOf(['b1', 'b2', 'b3']), same: [] } });
  expect(idsOf(store)).toEqual(['b0', 'b1', 'b2', 'b3']);
  expect(store.getState().ranking).toMatchObject({ busy: false, partial: null, moved: [], progress: null });
  // What was asked meanwhile is answered of the whole shelf.
  made[1]!.onmessage!({ data: { run: aside!.run, climbs: climbsOf(['b0', 'b1', 'b2', 'b3']), same: [] } });
  expect(await later).toHaveLength(4);
});

test('after an edit before the rest has come the likely ones climb anew, and of what was known nothing is kept', async () => {
  const store = room();
  const end = keepRanked(store, likely, 4);
  await expect.poll(() => asked(0)).toHaveLength(1);
  answer(0, ['b0', 'b1']);
  store.getState().edit('limits', (b) => ({ ...b, limits: { ...b.limits, budgetCents: 1 } }));
  expect(asked(0)).toHaveLength(2);
  expect(asked(0)[1]!.known).toEqual([]);
  end();
  keepRanked(store, shelf);
  await expect.poll(() => asked(1)).toHaveLength(1);
  expect(asked(1)[0]!.known).toEqual([]);
});

test('what changes no climb leaves the order as it is; a set that is to climb does not', async () => {
  const store = room();
  keepRanked(store, shelf);
  await expect.poll(() => asked(0)).toHaveLength(1);
  answer(0, ['b0', 'b1', 'b2', 'b3']);
  const { ranking } = store.getState();
  expect(ranking.busy).toBe(false);
  store.getState().edit('tick', (b) => ({ ...b, done: { 'b0 mount': true } }));
  store.getState().edit('name', (b) => ({ ...b, name: 'Another', stage: 'soldered' }));
  expect(store.getState().ranking).toBe(ranking);
  expect(asked(0)).toHaveLength(1);
  store.getState().edit('keep a set', (b) => ({ ...b, sets: ['b0~b1'] }));
  expect(store.getState().ranking.busy).toBe(true);
  expect(asked(0)).toHaveLength(2);
});
