import { createHash } from 'node:crypto';
import { expect, test } from 'vitest';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { isCandidate } from '../sets/roles';
import { demoBuilds, demoShelf } from '../tests/demo';
import { drawnBuild } from '../tests/drawn-build';
import { unknown } from '../tests/make';
import { randomPair } from '../tests/random-build';
import { alternativesOf, sameNeed } from './alternatives';
import { hookupOf } from './hookup';
import { compile } from './compile';
import { layOut } from './lay-out';
import { solve } from '../solver/solve';
import { workshop, type World } from './way';

const shelf = demoShelf().boards.filter(isCandidate);
const printOf = (all: unknown) => createHash('sha256').update(JSON.stringify(all)).digest('hex').slice(0, 8);

/** Every way of every part with its conditions, reasons, loads and tags, and the sums and bridges that they speak of. */
function laidOut(build: Build, board: Board, world: World) {
  const shop = workshop(build, board, world);
  const laid = layOut(shop);
  const tags = [...shop.tags].map(([id, values]) => [id, [...values]]);
  return { laid, rows: [...shop.rows], tags };
}

function wired(build: Build, board: Board) {
  const shop = workshop(build, board, 'hopeful');
  const compiled = compile(shop, layOut(shop), 7);
  return hookupOf(shop, compiled, solve(compiled.problem, shop.budget));
}

/** Separate ESCs, everything soldered, video from the raw pack. */
const otherwise = (build: Build): Build => ({
  ...build,
  motors: { ...build.motors, esc: 'separate' },
  policies: { ...build.policies, joints: 'solder', videoSupply: 'raw pack' },
});
const worlds: World[] = ['sure', 'hopeful'];
const small = { parts: 6, ports: 5, rails: 4, bridges: 2 };

/** A changed way is noticed, whether or not some hookup takes it; what changed is seen by looking at the ways. */
test.each([
  ['attic-mouse', '22b147f9'],
  ['belfry-six', '3e820bde'],
  ['gutterling', '37c0290f'],
  ['saltgrass', 'a8d910ef'],
  ['thimble', 'ae13ce4d'],
])('%s: the ways on some boards of the demo are those that were looked at last', (id, print) => {
  const build = demoBuilds().find((b) => b.id === id)!;
  const some = shelf.filter((_, i) => i % 9 === id.length % 9);
  const all = [build, otherwise(build)].flatMap((b) =>
    some.flatMap((board) => worlds.map((world) => laidOut(b, board, world))),
  );
  expect(printOf([all, some.map((board) => wired(build, board))])).toBe(print);
});

test.each([
  [1, '57bde286'],
  [2, 'b5bf92a7'],
  [3, 'e607eafa'],
  [4, 'b39f38b1'],
  [5, '37228c5f'],
  [6, '78160a68'],
  [7, '34aa96cc'],
  [8, 'fc71c3d2'],
])('random boards %i: ways, hookup and other ways are those that were looked at last', (seed, print) => {
  const { build, board } = randomPair(40_000 + seed, small);
  const ways = worlds.map((world) => laidOut(build, board, world));
  const others = build.parts.slice(0, 2).map((p) => alternativesOf(build, board, p.id));
  expect(printOf([ways, wired(build, board), others])).toBe(print);
});

/** Little of what a part could hang on, and unknown what there is. */
const bare = (board: Board): Board => ({
  ...board,
  video: board.video && { ...board.video, out: undefined, cameraControl: undefined, overlayChip: unknown },
  buzzerPad: undefined,
  motorLine: unknown,
  buses: board.buses.map((b) => ({ ...b, onBoard: [{ what: 'a chip', address: 0x76 }] })),
  analogueInputs: board.analogueInputs.slice(0, 1),
  outputs: board.outputs.slice(0, 3),
  rails: board.rails.map((r) => ({ ...r, ownAmps: unknown })),
  processor: unknown,
});

test.each([
  [1, '4614da5b'],
  [2, 'e39a4a58'],
  [3, '7bac26e6'],
  [4, '960d06a8'],
  [5, '51786443'],
  [6, 'f03c550b'],
])('drawn builds %i: the ways of many parts, on whole boards and on bare ones', (seed, print) => {
  const build = drawnBuild(500 + seed, 14, demoBuilds(), demoShelf().peripherals);
  const boards = [shelf[(11 * seed) % shelf.length]!, bare(shelf[(5 * seed) % shelf.length]!)];
  const all = [build, otherwise(build)].flatMap((b) =>
    boards.flatMap((board) => worlds.map((world) => laidOut(b, board, world))),
  );
  expect(printOf(all)).toBe(print);
});

test('two locks are about the same need where one has to give way to the other', () => {
  const link = { kind: 'link', part: 'a', link: 'l', to: 'x' } as const;
  const supply = { kind: 'supply', part: 'a', supply: 's', to: 'x' } as const;
  const mode = { kind: 'mode', part: 'a', mode: 'm' } as const;
  const bridge = { kind: 'bridge', bridge: 'b', position: 'x' } as const;
  for (const lock of [link, supply, mode, bridge])
    expect([link, supply, mode, bridge].map((other) => sameNeed(lock, other))).toEqual(
      [link, supply, mode, bridge].map((other) => other === lock),
    );
  expect(sameNeed(link, { ...link, to: 'y' })).toBe(true);
  expect(sameNeed(link, { ...link, link: 'k' })).toBe(false);
  expect(sameNeed(link, { ...link, part: 'b' })).toBe(false);
  expect(sameNeed(supply, { ...supply, to: 'y' })).toBe(true);
  expect(sameNeed(supply, { ...supply, supply: 't' })).toBe(false);
  expect(sameNeed(supply, { ...supply, part: 'b' })).toBe(false);
  expect(sameNeed(mode, { ...mode, mode: 'n' })).toBe(true);
  expect(sameNeed(mode, { ...mode, part: 'b' })).toBe(false);
  expect(sameNeed(bridge, { ...bridge, position: 'y' })).toBe(true);
  expect(sameNeed(bridge, { ...bridge, bridge: 'c' })).toBe(false);
});
