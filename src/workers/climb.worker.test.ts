import { afterAll, beforeAll, expect, test, vi } from 'vitest';
import { manyBoards, slimmed, stoppedEarly, type Build, type Climb } from '@/core';
import { demoBuilds } from '@/core/tests/demo';
import { makeBoard, says } from '@/core/tests/make';
import type { FromClimber, ToClimber } from './climb.worker';

/** The worker as a page meets it: what it is told, and what it says of boards of which it says "the same". */
const build = demoBuilds().find((b) => b.id === 'belfry-six')!;
/** Too small for the pack: they stop before their wiring. */
const boards = Array.from({ length: manyBoards + 40 }, (_, i) =>
  makeBoard({ id: `b${i}`, name: `Board ${i}`, packCells: { min: says(2), max: says(3) }, massG: says(20 + i / 10) }),
);
const heard: FromClimber[] = [];
const told = new Map<string, Climb>();
const byRun = new Map<number, Map<string, Climb>>();
const worker = globalThis as unknown as { onmessage: (event: { data: ToClimber }) => void };
const ask = (said: ToClimber) => worker.onmessage({ data: structuredClone(said) });
const run = (number: number, asked: Build) => ask({ kind: 'build', build: asked, run: number, known: [] });
const whole = (number: number) => expect.poll(() => byRun.get(number)?.size).toBe(boards.length);
const plain = (asked: Build) =>
  Object.fromEntries(boards.map((b) => [b.id, JSON.parse(JSON.stringify(slimmed(stoppedEarly(asked, b)!))) as Climb]));
const found = (number: number) => JSON.parse(JSON.stringify(Object.fromEntries(byRun.get(number)!))) as object;

beforeAll(async () => {
  vi.stubGlobal('onmessage', null);
  vi.stubGlobal('postMessage', (said: FromClimber) => {
    heard.push(said);
    for (const c of said.climbs) told.set(c.boardId, structuredClone(c));
    const all = byRun.get(said.run) ?? new Map<string, Climb>();
    byRun.set(said.run, all);
    for (const c of [...said.climbs.map((x) => x.boardId), ...said.same]) all.set(c, told.get(c)!);
  });
  await import('./climb.worker');
  ask({ kind: 'boards', boards });
});
afterAll(() => vi.unstubAllGlobals());

const dearer: Build = { ...build, limits: { ...build.limits, budgetCents: build.limits.budgetCents / 2 } };
const smaller: Build = { ...build, pack: { ...build.pack, cells: 5 } };

test('an edit that does not touch them takes over nothing again, one that does takes over all', async () => {
  run(1, build);
  await whole(1);
  heard.length = 0;
  run(2, dearer);
  await whole(2);
  expect(heard.flatMap((h) => h.climbs)).toEqual([]);
  expect(found(2)).toEqual(plain(dearer));
  run(3, smaller);
  await whole(3);
  expect(heard.flatMap((h) => h.climbs)).toHaveLength(boards.length);
  expect(found(3)).toEqual(plain(smaller));
});

test('two runs that speak by turns are each answered with their own', async () => {
  run(4, build);
  run(5, smaller);
  run(6, build);
  await Promise.all([whole(4), whole(5), whole(6)]);
  expect(found(4)).toEqual(plain(build));
  expect(found(5)).toEqual(plain(smaller));
  expect(found(6)).toEqual(plain(build));
});
