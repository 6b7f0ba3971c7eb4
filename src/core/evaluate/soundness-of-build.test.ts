import { describe, expect, test } from 'vitest';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import { evaluate, type Climb } from './climb';
import type { Board } from '../records/board';
import { buildSchema, type Build } from '../records/build';
import { demoBuilds, demoShelf } from '../tests/demo';
import { randomPair } from '../tests/random-build';
import { verdictRank } from '../tests/verdict-rank';

/** As soundness.test.ts, for the figures of the build. */
const shelf = demoShelf();
// The four of the first samples, in their order: which boards each meets hangs on it.
const builds = ['belfry-six', 'gutterling', 'saltgrass', 'attic-mouse'].map((id) =>
  demoBuilds().find((b) => b.id === id)!,
);

type Path = (string | number)[];

/** Where the figures of a build stand. */
function figuresIn(node: unknown, path: Path = []): Path[] {
  if (typeof node !== 'object' || node === null || 'unknown' in node) return [];
  if ('value' in node && 'origin' in node) return [path];
  return Object.entries(node).flatMap(([key, inside]) => figuresIn(inside, [...path, key]));
}

type Node = Record<string, unknown>;
const at = (node: object, path: Path) => path.reduce<unknown>((inside, key) => (inside as Node)[key], node);

/** A copy with another figure there; null where the file format has no room for it. */
function withFigure(build: Build, path: Path, figure: object): Build | null {
  const copy = structuredClone(build);
  (at(copy, path.slice(0, -1)) as Node)[path.at(-1)!] = figure;
  const read = buildSchema.safeParse(copy);
  return read.success ? read.data : null;
}

/** Nothing draws more for long than for moments: such a figure cannot be. */
function steadyAbovePeak(build: Build, path: Path): boolean {
  if (path.at(-1) !== 'typicalAmps') return false;
  const { typicalAmps, peakAmps } = at(build, path.slice(0, -1)) as Record<string, NumberFigure>;
  return isKnown(peakAmps) && interval(typicalAmps!).high > interval(peakAmps).high;
}

function checkBuild(build: Build, board: Board): void {
  for (const [nth, path] of figuresIn(build).entries()) {
    const now = at(build, path) as { value: unknown };
    const asked = withFigure(build, path, { unknown: true });
    if (!asked) continue;
    const open = evaluate(asked, board);
    // Where nothing is said yet, whatever it turns out to be may follow.
    if (open.verdict === 'cannot say yet') continue;
    // A cell that nobody has measured is taken to be a tired one, about twice a fresh one; no worse.
    const farthest = path.at(-1) === 'cellMilliohm' ? 2 : 4;
    // Below and above what it is: near for one figure, far for the next, so that no run takes minutes.
    const times = nth % 2 === 0 ? [0.9, 1.1, farthest] : [0.5, 2];
    let values: number[] | boolean[];
    if (typeof now.value === 'number') values = times.map((n) => (now.value as number) * n);
    else if (typeof now.value === 'boolean') values = [true, false];
    else values = [];
    for (const value of values) {
      const said = withFigure(build, path, { ...now, value, origin: 'manual' });
      if (!said || steadyAbovePeak(said, path)) continue;
      const real = evaluate(said, board);
      // What the unknown left out, and is in now, has a mass and a price of its own.
      if (leftOut(open) > leftOut(real)) continue;
      const where = `${build.id}, ${board.id}, ${path.join('.')} = ${value}`;
      if (open.verdict === 'does not fit') expect(verdictRank[real.verdict], where).toBeLessThanOrEqual(1);
      if (verdictRank[open.verdict] >= 2) expect(real.verdict, where).not.toBe('does not fit');
    }
  }
}

const leftOut = ({ hookup }: Climb) => hookup.parts.filter((p) => !p.mode).length;

describe('an unknown figure of the build is never read as yes, nor as no', () => {
  test.each(builds.map((b, i) => [b.id, b, i] as const))('%s', (_, build, i) => {
    for (const board of shelf.boards.filter((_, n) => n % 80 === i)) checkBuild(build, board);
  });

  test('a random build, with parts that feed others, on a random board', () => {
    const { build, board } = randomPair(1, { parts: 5, ports: 4, rails: 3, bridges: 1 });
    checkBuild(build, board);
  });
});
