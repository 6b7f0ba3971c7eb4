import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { interval, isKnown, type NumberFigure } from '../quantity/figure';
import { evaluate, type Climb } from './climb';
import { boardFigures, type BoardFigure } from '../figures/board-figures';
import { railFigures } from '../figures/rail-figures';
import type { Board } from '../records/board';
import { buildSchema, type Build } from '../records/build';
import { readFile } from '../records/file';
import { randomPair } from '../tests/random-build';

/**
 * Strong Kleene soundness of the whole climb: what is said of a board with an unknown figure must hold whatever the figure turns out to be.
 * Values from far too small to far too large, so that both sides of every limit are tried.
 */
const shelf = open('demo/shelf.json', 'rung-shelf');
const builds = ['belfry-six', 'gutterling', 'saltgrass', 'attic-mouse'].map((id) =>
  open(`demo/builds/${id}.json`, 'rung-build'),
);

function open<F extends 'rung-shelf' | 'rung-build'>(path: string, format: F) {
  const read = readFile(readFileSync(path, 'utf8'), format);
  if (!read.ok) throw new Error(`${path}: ${JSON.stringify(read.faults)}`);
  return read.value;
}

const said = { origin: 'manual' as const };

/** Values a figure might turn out to have: around the one it has, and at the ends. */
function valuesOf(figure: BoardFigure, now: unknown): object[] {
  if (figure.words) return figure.words.map((value) => ({ value, ...said }));
  const value = (now as { value?: unknown }).value;
  if (typeof value === 'boolean') return [true, false].map((v) => ({ value: v, ...said }));
  if (typeof value !== 'number') return [];
  return [...new Set([value / 2, value * 0.9, value, value * 1.1, value * 2])].map((v) => ({
    value: figure.unit === 'cells' || figure.field === 'claimedPorts' ? Math.max(1, Math.round(v)) : v,
    ...said,
  }));
}

const rank: Record<Climb['verdict'], number> = { 'does not fit': 0, 'cannot say yet': 1, 'fits with work': 2, fits: 3 };

function check(build: (typeof builds)[number], board: Board, figure: BoardFigure): void {
  const now = figure.get(board);
  if (!now || 'unknown' in now) return;
  const open = evaluate(build, figure.set(board, { unknown: true } as never));
  for (const value of valuesOf(figure, now)) {
    const real = evaluate(build, figure.set(board, value as never));
    const where = `${build.id}, ${board.id}, ${figure.field} = ${JSON.stringify(value)}`;
    if (open.verdict === 'does not fit') expect(rank[real.verdict], where).toBeLessThanOrEqual(1);
    // A value that cannot be true is itself in doubt, so "cannot say yet" may stand beside what was a fit; a break may not.
    if (open.verdict === 'fits' || open.verdict === 'fits with work')
      expect(real.verdict, where).not.toBe('does not fit');
  }
}

describe('an unknown figure is never read as yes, nor as no', () => {
  // Other boards for each build, so that many are met and no run takes minutes.
  test.each(builds.map((b, i) => [b.id, b, i] as const))(
    '%s',
    (_, build, i) => {
      for (const board of shelf.boards.filter((_, n) => n % 8 === i))
        for (const figure of [...boardFigures, ...railFigures(board)]) check(build, board, figure);
    },
    60_000,
  );

  test('random builds on random boards', () => {
    for (let seed = 400; seed < 410; seed++) {
      const { build, board } = randomPair(seed, { parts: 5, ports: 4, rails: 3, bridges: 1 });
      for (const figure of [...boardFigures, ...railFigures(board)]) check(build, board, figure);
    }
  }, 60_000);
});

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
  for (const path of figuresIn(build)) {
    const now = at(build, path) as { value: unknown };
    const asked = withFigure(build, path, { unknown: true });
    if (!asked) continue;
    const open = evaluate(asked, board);
    // A cell that nobody has measured is taken to be a tired one, about twice a fresh one; no worse.
    const times = [0.5, 0.9, 1.1, 2, ...(path.at(-1) === 'cellMilliohm' ? [] : [4])];
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
      if (open.verdict === 'does not fit') expect(rank[real.verdict], where).toBeLessThanOrEqual(1);
      if (rank[open.verdict] >= 2) expect(real.verdict, where).not.toBe('does not fit');
    }
  }
}

const leftOut = ({ hookup }: Climb) => hookup.parts.filter((p) => !p.mode).length;

describe('nor is an unknown figure of the build', () => {
  test.each(builds.map((b, i) => [b.id, b, i] as const))(
    '%s',
    (_, build, i) => {
      for (const board of shelf.boards.filter((_, n) => n % 20 === i)) checkBuild(build, board);
    },
    60_000,
  );

  test('random builds, with parts that feed others, on random boards', () => {
    for (let seed = 1; seed <= 8; seed++) {
      const { build, board } = randomPair(seed, { parts: 5, ports: 4, rails: 3, bridges: 1 });
      checkBuild(build, board);
    }
  }, 60_000);
});

describe('a range is judged as all it hides', () => {
  test('what fits over a range fits at both its ends; what breaks over it breaks at both', () => {
    for (const build of builds) {
      for (const board of shelf.boards.filter((_, n) => n % 9 === 0)) {
        for (const figure of [...boardFigures, ...railFigures(board)]) {
          const now = figure.get(board);
          if (
            !now ||
            !('value' in now) ||
            typeof now.value !== 'number' ||
            figure.unit === 'cells' ||
            figure.field === 'claimedPorts'
          )
            continue;
          const [low, high] = [now.value * 0.8, now.value * 1.2];
          const whole = evaluate(build, figure.set(board, { low, high, ...said } as never));
          for (const value of [low, high]) {
            const real = evaluate(build, figure.set(board, { value, ...said } as never));
            const where = `${build.id}, ${board.id}, ${figure.field} = ${value}`;
            if (whole.verdict === 'does not fit') expect(rank[real.verdict], where).toBeLessThanOrEqual(1);
            if (rank[whole.verdict] >= 2) expect(real.verdict, where).not.toBe('does not fit');
          }
        }
      }
    }
  }, 60_000);
});
