import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Build } from '../records/build';
import { isCandidate } from '../sets/roles';
import { demoBuilds, demoShelf } from '../tests/demo';
import { drawnBuild } from '../tests/drawn-build';
import { makeBoard, makeBuild, says } from '../tests/make';
import { variedBoard } from '../tests/varied-board';
import { briefOf } from './brief';
import { goodEnds } from './good-ends';
import { siftedOut, sieveOf } from './sieve';

const shelf = demoShelf();
const varied = Array.from({ length: 150 }, (_, i) => variedBoard(9000 + i, shelf.boards));
const boards = [...shelf.boards, ...varied].filter(isCandidate);
const builds = [
  ...demoBuilds(),
  ...Array.from({ length: 20 }, (_, i) => drawnBuild(700 + i, 6, demoBuilds(), shelf.peripherals)),
  ...demoBuilds().map((b) => ({ ...b, rates: {}, atHome: {} })),
];

test('a board beyond a bound fails the line that the bound is of, and does not carry the build', () => {
  const sifting = new Map<string, number>();
  for (const build of builds)
    for (const line of briefOf(build))
      for (const board of boards) {
        const by = (line.bounds ?? []).filter((bound) => siftedOut([bound], goodEnds(board)));
        if (by.length === 0) continue;
        for (const { figure } of by) sifting.set(figure, (sifting.get(figure) ?? 0) + 1);
        expect(line.fails(board), `${build.name}, ${board.id}: ${line.asks}`).toBe(true);
      }
  // Every column sifts something.
  expect([...sifting.keys()].sort()).toEqual(Object.keys(goodEnds(boards[0]!)).sort());
});

test('no board that carries a build is sifted out, and most of those that do not are', () => {
  let carrying = 0;
  let out = 0;
  for (const build of demoBuilds()) {
    const sieve = sieveOf(build);
    for (const board of boards.slice(0, 60)) {
      const isOut = siftedOut(sieve, goodEnds(board));
      out += Number(isOut);
      if (evaluate({ ...build, fixes: {} }, board).stopsAt !== null) continue;
      carrying++;
      expect(isOut, `${build.id} ${board.id}`).toBe(false);
    }
  }
  expect(carrying).toBeGreaterThan(5);
  expect(out).toBeGreaterThan(100);
});

test('a board whose own receiver serves need not leave grams and money for the one of the list', () => {
  const build = demoBuilds().find((b) =>
    b.parts.some((p) => p.peripheral.kind === 'receiver' && p.priority === 'must'),
  )!;
  const receiver = build.parts.find((p) => p.peripheral.kind === 'receiver')!.peripheral;
  const least = 'value' in receiver.massG ? receiver.massG.value : NaN;
  const most = (of: Build) => sieveOf(of).flatMap((b) => (b.figure === 'massG' && 'most' in b ? b.most : []))[0]!;
  const without = { ...build, parts: build.parts.filter((p) => p.peripheral !== receiver) };
  expect(least).toBeGreaterThan(0);
  expect(most(build)).toBeCloseTo(most(without), 9);
});

describe('by hand', () => {
  const build = makeBuild({ frame: { ...makeBuild({}, []).frame, bayLengthMm: 40, bayWidthMm: 30 } }, []);
  const out = (board: Parameters<typeof makeBoard>[0]) => siftedOut(sieveOf(build), goodEnds(makeBoard(board)));
  test('29 x 39 mm goes into 40 x 30 mm, 31 x 31 mm does not', () => {
    expect(out({ lengthMm: says(29), widthMm: says(39) })).toBe(false);
    expect(out({ lengthMm: says(31), widthMm: says(31) })).toBe(true);
  });
  test('what nobody says sifts nothing; the good end of a range counts', () => {
    expect(out({ lengthMm: { unknown: true }, widthMm: says(31) })).toBe(false);
    expect(out({ lengthMm: { low: 30, high: 60, origin: 'claim' }, widthMm: says(31) })).toBe(false);
    expect(out({ lengthMm: { unknown: true }, widthMm: says(41) })).toBe(true);
  });
});
