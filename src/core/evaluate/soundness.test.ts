import { describe, expect, test } from 'vitest';
import { evaluate } from './climb';
import { boardFigures, type BoardFigure } from '../figures/board-figures';
import { circuitFigures } from '../figures/circuit-figures';
import { railFigures } from '../figures/rail-figures';
import type { Board } from '../records/board';
import { demoBuilds, demoShelf } from '../tests/demo';
import { randomPair } from '../tests/random-build';
import { verdictRank } from '../tests/verdict-rank';

/**
 * Strong Kleene soundness of the whole climb: what is said of a board with an unknown figure must hold whatever the figure turns out to be.
 * Values from far too small to far too large, so that both sides of every limit are tried.
 */
const shelf = demoShelf();
// The four of the first samples, in their order: which boards each meets hangs on it.
const builds = ['belfry-six', 'gutterling', 'saltgrass', 'attic-mouse'].map((id) =>
  demoBuilds().find((b) => b.id === id)!,
);

const said = { origin: 'manual' as const };

/** Values a figure might turn out to have: around the one it has, near for one figure and far for the next, so that no run takes minutes. */
function valuesOf(figure: BoardFigure, nth: number, now: unknown): object[] {
  if (figure.words) return figure.words.map((value) => ({ value, ...said }));
  const value = (now as { value?: unknown }).value;
  if (typeof value === 'boolean') return [true, false].map((v) => ({ value: v, ...said }));
  if (typeof value !== 'number') return [];
  const near = nth % 2 === 0 ? [0.9, 1.1] : [0.5, 2];
  return [...new Set(near.map((n) => n * value))].map((v) => ({
    value: figure.unit === 'cells' || figure.field === 'claimedPorts' ? Math.max(1, Math.round(v)) : v,
    ...said,
  }));
}

function check(build: (typeof builds)[number], board: Board, figure: BoardFigure, nth: number): void {
  const now = figure.get(board);
  if (!now || 'unknown' in now) return;
  const open = evaluate(build, figure.set(board, { unknown: true } as never));
  // Where nothing is said yet, whatever it turns out to be may follow.
  if (open.verdict === 'cannot say yet') return;
  for (const value of valuesOf(figure, nth, now)) {
    const real = evaluate(build, figure.set(board, value as never));
    const where = `${build.id}, ${board.id}, ${figure.field} = ${JSON.stringify(value)}`;
    if (open.verdict === 'does not fit') expect(verdictRank[real.verdict], where).toBeLessThanOrEqual(1);
    // A value that cannot be true is itself in doubt, so "cannot say yet" may stand beside what was a fit; a break may not.
    if (open.verdict === 'fits' || open.verdict === 'fits with work')
      expect(real.verdict, where).not.toBe('does not fit');
  }
}

const figuresToTry = (board: Board) => [...boardFigures, ...railFigures(board), ...circuitFigures(board)];

describe('an unknown figure is never read as yes, nor as no', () => {
  // Other boards for each build, so that many are met and no run takes minutes.
  test.each(builds.map((b, i) => [b.id, b, i] as const))('%s', (_, build, i) => {
    for (const board of shelf.boards.filter((_, n) => n % 40 === i))
      for (const [nth, figure] of figuresToTry(board).entries()) check(build, board, figure, nth);
  });

  test('random builds on random boards', () => {
    for (let seed = 400; seed < 404; seed++) {
      const { build, board } = randomPair(seed, { parts: 5, ports: 4, rails: 3, bridges: 1 });
      for (const [nth, figure] of figuresToTry(board).entries()) check(build, board, figure, nth);
    }
  });
});

describe('a range is judged as all it hides', () => {
  test('what fits over a range fits at both its ends; what breaks over it breaks at both', () => {
    for (const build of builds) {
      for (const board of shelf.boards.filter((_, n) => n % 80 === 0)) {
        for (const figure of figuresToTry(board)) {
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
          if (whole.verdict === 'cannot say yet') continue;
          for (const value of [low, high]) {
            const real = evaluate(build, figure.set(board, { value, ...said } as never));
            const where = `${build.id}, ${board.id}, ${figure.field} = ${value}`;
            if (whole.verdict === 'does not fit') expect(verdictRank[real.verdict], where).toBeLessThanOrEqual(1);
            if (verdictRank[whole.verdict] >= 2) expect(real.verdict, where).not.toBe('does not fit');
          }
        }
      }
    }
  });
});

test('where nobody says whether isolators come with a board, their grams decide nothing: half a gram below the limit is not "does not fit"', () => {
  const build = builds.find((b) => b.id === 'attic-mouse')!;
  const board = shelf.boards.find((b) => b.id === 'marlpit-dory')!;
  const verdict = (softIsolators: object) =>
    evaluate(build, { ...board, mounting: { ...board.mounting, softIsolators } as Board['mounting'] }).verdict;
  expect(verdict({ value: true, ...said })).toBe('fits with work');
  expect(verdict({ value: false, ...said })).toBe('does not fit');
  expect(verdict({ unknown: true })).toBe('cannot say yet');
});
