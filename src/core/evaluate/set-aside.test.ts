import { describe, expect, test } from 'vitest';
import { firstPower } from '../bench/first-power';
import { benchOf } from '../bench/on-the-bench';
import { overThrottle } from '../bench/throttle';
import { evaluate } from './climb';
import { suppliesOf } from '../circuit/rail-tree';
import { rankClimbs } from '../decide/rank-shelf';
import type { Board } from '../records/board';
import { readData } from '../records/file';
import { makeBoard, makeBuild, makePart, supply } from '../tests/make';
import { randomPair } from '../tests/random-build';
import { sentenceOf } from '../words/finding/sentence-of';

const build = makeBuild({}, [makePart('a', { supply: supply(4.5, 5.5, 0.2) })]);
const pack = { id: 'r0', label: 'Pack', pads: ['vbat'], source: { kind: 'pack' as const } };
const bridge = (id: string) => ({
  id,
  label: id,
  form: 'jumper' as const,
  face: 'top' as const,
  effort: 2,
  positions: [
    { id: 'x', label: 'x' },
    { id: 'y', label: 'y' },
  ],
  factory: 'x',
});
/** Rails of which each can be fed from the one before in two ways: two to the power of their number in all. */
const fan = (rails: number, bridges: number): Board => ({
  ...makeBoard({}),
  bridges: Array.from({ length: bridges }, (_, i) => bridge(`b${i}`)),
  rails: [
    pack,
    ...Array.from({ length: rails }, (_, i) => ({
      id: `r${i + 1}`,
      label: `R${i + 1}`,
      pads: [],
      source: { kind: 'bridge' as const, bridge: `b${i % bridges}`, byPosition: { x: `r${i}`, y: `r${i}` } },
    })),
  ],
});
const either = (rails: [string, string, string][]): Board => ({
  ...makeBoard({}),
  rails: [
    pack,
    ...rails.map(([id, a, b]) => ({ id, label: id, pads: [], source: { kind: 'either' as const, of: [a, b] } })),
  ],
});

describe('no board stops the ladder', () => {
  test.each([
    ['a circle of one', either([['a', 'a', 'a']])],
    [
      'a circle of two, each twice',
      either([
        ['a', 'b', 'b'],
        ['b', 'a', 'a'],
      ]),
    ],
    [
      'a circle of many',
      either(Array.from({ length: 39 }, (_, i): [string, string, string] => [`c${i}`, `c${(i + 1) % 39}`, 'r0'])),
    ],
  ])('%s is refused at the door, and does not hang a climb that meets it all the same', (_, board) => {
    const read = readData(board, 'rung-board');
    expect(read.ok ? '' : read.faults[0]!.sentence).toContain('from itself');
    expect(evaluate(build, board).rungs).toHaveLength(10);
  });

  test('a fan over many bridges is refused at the door and set aside in a climb', () => {
    const board = fan(24, 24);
    const read = readData(board, 'rung-board');
    expect(read.ok ? '' : read.faults[0]!.sentence).toContain('more than 64 ways');
    const climb = evaluate(build, board);
    expect(climb).toMatchObject({ setAside: true, verdict: 'cannot say yet' });
    expect(climb.rungs.slice(3, 7).map((r) => r.state)).toEqual(['unknown', 'unknown', 'unknown', 'unknown']);
    expect(sentenceOf(climb.rungs[3]!.findings[0]!)).toContain('steps');
  });

  test('the bench does not hang on such a board either', () => {
    const board = fan(24, 24);
    const climb = evaluate(build, board);
    const bench = benchOf(build, board, climb);
    expect(firstPower(bench, { limitAmps: 2, capacitor: true, fault: 'healthy' })).toHaveProperty('steadyAmps');
    expect(overThrottle(bench, 'full').length).toBeGreaterThan(0);
  });

  test('a bridge that stands behind itself makes no ways that it cannot stand in: forty rails on one bridge have two', () => {
    expect(
      suppliesOf(fan(39, 1), { pack: build.pack, motors: build.motors }).filter((s) => s.rail.id === 'r39'),
    ).toHaveLength(2);
  });

  test('a wiring that is too large to be proved is set aside, ranks last, and its parts are left out without a word about them', () => {
    const hard = randomPair(145, { parts: 16, ports: 12, rails: 8, bridges: 4 });
    const climb = evaluate(hard.build, hard.board);
    expect(climb.setAside).toBe(true);
    expect(climb.hookup.parts.every((p) => p.mode === null)).toBe(true);
    const broken = evaluate(hard.build, makeBoard({ ports: [] }));
    expect(rankClimbs([climb, broken]).map((r) => r.climb.setAside)).toEqual([false, true]);
  });
});
