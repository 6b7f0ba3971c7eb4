import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Build } from '../records/build';
import { demoBuilds, demoShelf } from '../tests/demo';
import { drawnBuild } from '../tests/drawn-build';
import { damaged, lawfulPair } from '../tests/lawful-pair';
import { makeBoard, makeBuild, makePart, says, serial, supply } from '../tests/make';
import { randomPair } from '../tests/random-build';
import { briefOf, briefText, failedLines } from './brief';

const { boards, peripherals } = demoShelf();
const builds = demoBuilds();

/** Does a board carry the build, nothing bought besides? */
function carries(build: Build, board: Board): boolean {
  return evaluate({ ...build, fixes: {} }, board).verdict.startsWith('fits');
}

describe('every line is necessary: a board that fails one never carries the build', () => {
  test('the demo', () => {
    for (const build of builds)
      for (const board of boards)
        if (carries(build, board))
          expect(
            failedLines(build, board).map((l) => l.asks),
            `${build.id} ${board.id}`,
          ).toEqual([]);
  });
  test('random builds and boards, and boards made round a lawful hookup', () => {
    let failing = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const drawn = drawnBuild(seed, 8, builds, peripherals);
      const lawful = lawfulPair(seed);
      const random = randomPair(seed, { parts: 3, ports: 6, rails: 6, bridges: 2 });
      for (const [build, board] of [
        [drawn, boards[seed % boards.length]!],
        [lawful.build, lawful.board],
        [lawful.build, damaged(lawful.board, seed)],
        [random.build, random.board],
      ] as const) {
        const fails = failedLines({ ...build, fixes: {} }, board);
        failing += Number(fails.length > 0);
        if (fails.length > 0) expect(carries(build, board), fails[0]!.asks).toBe(false);
      }
    }
    expect(failing).toBeGreaterThan(30);
  });
});

test('leaving out the parts that a line is there for takes it away', () => {
  for (const build of builds)
    for (const line of briefOf(build)) {
      const named = build.parts.filter((p) => line.because.includes(p.peripheral.name));
      if (named.length === 0 || line.because.includes('the motors')) continue;
      const without = { ...build, parts: build.parts.filter((p) => !named.includes(p)) };
      expect(briefOf(without).map((l) => l.asks)).not.toContain(line.asks);
    }
});

describe('by hand', () => {
  const two = [
    makePart('gps', { links: [serial('positioning')], supply: supply(4.5, 5.5, 0.1) }),
    makePart('rx', { links: [serial('two-wire-rc')], supply: supply(4.5, 5.5, 0.2) }),
  ];
  test('a positioning part and a two-wire receiver: two ports that hear, one that must talk', () => {
    const asks = briefOf(makeBuild({}, two)).map((l) => l.asks);
    expect(asks).toContain('2 serial ports that hear, free or to be freed');
    expect(asks.filter((a) => a.includes('talk')).length).toBeLessThanOrEqual(1);
  });
  test('a should asks for nothing', () => {
    const shoulds = two.map((p) => ({ ...p, priority: 'should' as const }));
    expect(briefOf(makeBuild({}, shoulds)).some((l) => l.id.startsWith('ports'))).toBe(false);
  });
  test('what a part may be fed with by another one is asked of no board, as far as its amps go', () => {
    const vtx = makePart(
      'vtx',
      { supply: supply(7, 26, 0.5) },
      { gives: [{ id: 'five', label: '5 V out', volts: says(5), amps: says(0.3) }] },
    );
    const asks = (...amps: number[]) =>
      briefOf(
        makeBuild({}, [vtx, ...amps.map((a, i) => makePart(`load-${i}`, { supply: supply(4.5, 5.5, a) }))]),
      ).flatMap((l) => (l.id.startsWith('suppl') && !l.id.endsWith('vtx') ? [l.asks] : []));
    // 0.3 A can be given: one load of 0.2 A asks for nothing, one of 0.4 A wants a supply, and two of 0.2 A at peak together 0.1 A besides.
    expect(asks(0.2)).toEqual([]);
    expect(asks(0.4)).toEqual(['a supply inside 4.5 to 5.5 V that gives 0.4 A']);
    expect(asks(0.2, 0.2)).toEqual([
      'regulators of up to 6 V that together carry 0.1 A at peak, besides what vtx gives',
    ]);
  });
  test('ways that all take the same supply ask for it', () => {
    const ways = [serial('inverted-rc'), serial('plain-rc')].map((link) => ({
      links: [link],
      supply: supply(4.5, 5.5, 0.1),
    }));
    const asks = briefOf(makeBuild({}, [makePart('rx', {}, { modes: ways })])).map((l) => l.asks);
    expect(asks).toContain('a supply inside 4.5 to 5.5 V that gives 0.1 A');
  });
  test('a board of which not all pads are drawn fails none of their lines', () => {
    const bare = makeBoard({ ports: [], allPads: { value: false, origin: 'print' } });
    const drawn = makeBoard({ ports: [] });
    const ids = (board: Board) => failedLines(makeBuild({}, two), board).map((l) => l.id);
    expect(ids(drawn)).toContain('ports hear');
    expect(ids(bare)).not.toContain('ports hear');
  });
  test('grams left for the board: limit less craft, pack and musts', () => {
    const build = makeBuild({ limits: { takeOffMassG: 500, budgetCents: 1e6 }, bareMassG: says(300) }, two);
    const pack = 'value' in build.pack.massG ? build.pack.massG.value : NaN;
    const parts = build.parts.reduce((g, p) => g + ('value' in p.peripheral.massG ? p.peripheral.massG.value : NaN), 0);
    expect(briefOf(build).find((l) => l.id === 'grams')!.asks).toBe(
      `no heavier than ${Math.round(500 - 300 - pack - parts)} g`,
    );
  });
  test('as text it names the build and every line with its cause', () => {
    const text = briefText(makeBuild({}, two));
    expect(text).toContain('Wanted: a flight controller with its ESCs, a stack or a set, for');
    expect(text.split('\n').filter((l) => l.startsWith('- '))).toHaveLength(briefOf(makeBuild({}, two)).length);
  });
});
