import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { demoBuilds, demoShelf } from '../tests/demo';
import { drawnBuild } from '../tests/drawn-build';
import { variedShelf } from '../tests/varied-shelf';
import { allSets, bestSets } from './best-sets';
import { rankClimbs } from './rank-shelf';
import { sentenceOf } from '../words/finding/sentence-of';

const { boards, peripherals } = demoShelf();
const builds = demoBuilds();

/** The best of all sets, each climbed: those that break take no part, since of them only the nearest are shown. */
function byTryingAll(build: (typeof builds)[number], shelf: typeof boards, keep: number): string[] {
  const climbs = [...allSets(build, shelf)].map((set) => evaluate(build, set));
  return rankClimbs(climbs)
    .filter((r) => r.climb.stopsAt === null)
    .slice(0, keep)
    .map((r) => r.climb.boardId);
}

describe('the best sets', () => {
  test.each(builds.map((b) => [b.name, b] as const))('of the demo for %s are those of trying all', (_, build) => {
    const few = boards.filter((b, i) => b.kind !== 'flight controller' || i % 3 === 0);
    const found = bestSets(build, few, { keep: 5 });
    const whole = found.climbs.filter((c) => c.stopsAt === null).map((c) => c.boardId);
    expect(found.proved).toBe(true);
    expect(whole).toEqual(byTryingAll(build, few, 5));
  });

  test.each([1, 2, 3, 4, 5, 6, 7, 8])('of a random small shelf are those of trying all (%i)', (seed) => {
    const shelf = variedShelf(seed, { 'flight controller': 3, esc: 3, 'power board': 2 }, boards);
    const build = drawnBuild(seed, 6, builds, peripherals);
    const found = bestSets(build, shelf, { keep: 3 });
    const whole = found.climbs.filter((c) => c.stopsAt === null).map((c) => c.boardId);
    expect(whole).toEqual(byTryingAll(build, shelf, 3));
  });

  test('a member that breaks every set is out with its reason, and no set has it', () => {
    const build = builds.find((b) => b.name === 'Belfry Six')!;
    const { out, climbs } = bestSets(build, boards, { keep: 5 });
    const cotter = out.find((o) => o.id === 'marlpit-cotter-30');
    expect(cotter?.finding.rung).toBe(2);
    expect(sentenceOf(cotter!.finding)).toContain('4 cells at most');
    expect(climbs.every((c) => c.members!.every((m) => m.id !== 'marlpit-cotter-30'))).toBe(true);
  });

  test('the search says when it was ended early', () => {
    const build = builds.find((b) => b.name === 'Belfry Six')!;
    const [all, found] = [bestSets(build, boards), bestSets(build, boards, { most: 5 })];
    expect([all.proved, found.proved]).toEqual([true, false]);
    // Of those that were tried five were wired, and rungs 1 to 3 stop the rest.
    expect(found.climbs).toHaveLength(Math.min(20, found.tried));
    expect(found.climbs.filter((c) => c.rungs.slice(0, 3).every((r) => r.state !== 'breaks'))).toHaveLength(5);
  });
});
