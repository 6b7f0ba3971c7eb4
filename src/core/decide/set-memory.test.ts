import { describe, expect, test } from 'vitest';
import { keepingWhatIsEqual } from '../evaluate/memory';
import { evaluate } from '../evaluate/climb';
import type { Build } from '../records/build';
import { demoBuilds, demoShelf } from '../tests/demo';
import { drawnBuild } from '../tests/drawn-build';
import { variedShelf } from '../tests/varied-shelf';
import { bestSets } from './best-sets';
import { newSetMemory, setsMade } from './set-memory';

const { boards, peripherals } = demoShelf();
const builds = demoBuilds();
const build = builds.find((b) => b.name === 'Saltgrass')!;

const edits: [string, (b: Build) => Build][] = [
  ['another budget', (b) => ({ ...b, limits: { ...b.limits, budgetCents: 9_000 } })],
  ['a lighter craft', (b) => ({ ...b, bareMassG: { value: 90, origin: 'measured' } })],
  ['all at home', (b) => ({ ...b, atHome: Object.fromEntries(boards.map((x) => [`board ${x.id}`, 1])) })],
  ['a wish', (b) => ({ ...b, comforts: { ...b.comforts, sparePorts: 3 } })],
  ['a part less', (b) => ({ ...b, parts: b.parts.slice(1) })],
  ['more cells', (b) => ({ ...b, pack: { ...b.pack, cells: 6 } })],
  ['another policy', (b) => ({ ...b, policies: { ...b.policies, joints: 'solder' } })],
  ['other motors', (b) => ({ ...b, motors: { ...b.motors, count: 6 } })],
];

const ofKind = (kind: string, most: number) => boards.filter((b) => b.kind === kind).slice(0, most);
const few = [...ofKind('flight controller', 3), ...ofKind('esc', 2), ...ofKind('power board', 1)];

describe('what a search for sets remembers', () => {
  test.each(edits)('after %s the sets are those of a search that knew nothing', (_, change) => {
    const memory = newSetMemory();
    const before = bestSets(build, few, { memory, keep: 6 });
    const edited = keepingWhatIsEqual(build, structuredClone(change(build)));
    expect(bestSets(edited, few, { memory, keep: 6 })).toEqual(bestSets(change(build), few, { keep: 6 }));
    // And back again.
    expect(bestSets(build, few, { memory, keep: 6 })).toEqual(before);
  });

  test.each([11, 12])('of random shelves too, with sets that stop early among them (%i)', (seed) => {
    const shelf = variedShelf(seed, { 'flight controller': 3, esc: 3, 'power board': 2 }, boards);
    const drawn = drawnBuild(seed, 6, builds, peripherals);
    const memory = newSetMemory();
    for (const budgetCents of [50_000, 12_000, 50_000]) {
      const now = { ...drawn, limits: { ...drawn.limits, budgetCents } };
      const found = bestSets(now, shelf, { memory, keep: 4 });
      expect(found).toEqual(bestSets(now, shelf, { keep: 4 }));
      for (const climb of found.climbs) {
        const [controller, esc, power] = (['controller', 'esc', 'power board'] as const).map((role) =>
          shelf.find((b) => b.id === climb.members!.find((m) => m.role === role)?.id),
        );
        expect(climb).toEqual(evaluate(now, setsMade(null, now).joined({ controller: controller!, esc, power })));
      }
    }
  });

  test('a limit makes no set anew; a part does', () => {
    const memory = newSetMemory();
    bestSets(build, few, { memory, keep: 3 });
    const made = new Map(memory.made);
    bestSets({ ...build, limits: { ...build.limits, budgetCents: 7_000 } }, few, { memory, keep: 3 });
    expect([...made].every(([name, set]) => memory.made.get(name) === set)).toBe(true);
    bestSets({ ...build, parts: build.parts.slice(1) }, few, { memory, keep: 3 });
    expect([...made].some(([name, set]) => memory.made.get(name) === set)).toBe(false);
  });
});
