import { describe, expect, test } from 'vitest';
import { readData, readFile } from './file';
import { makeBoard, makeBuild, makePart, says, supply, unknown } from '../tests/make';

/** The newest shape of a thing as the first version wrote it. */
const first = {
  board: (board: ReturnType<typeof makeBoard>) => {
    const { patterns, ...mounting } = board.mounting;
    const [pattern] = patterns;
    return {
      ...board,
      version: 1,
      mounting: { ...mounting, patternMm: pattern!.alongMm, screw: pattern!.screw },
    };
  },
  part: ({ peripheral, ...part }: ReturnType<typeof makePart>) => ({
    ...part,
    peripheral: first.peripheral(peripheral),
  }),
  peripheral: (p: ReturnType<typeof makePart>['peripheral']) => ({
    ...p,
    version: 1,
    modes: p.modes.map(({ supplies, ...mode }) => ({ ...mode, supply: withoutId(supplies[0]) })),
  }),
};

function withoutId(one?: { id?: string }): object | null {
  if (!one) return null;
  const copy = { ...one };
  delete copy.id;
  return copy;
}

const board = makeBoard();
const fed = makePart('fed', { supply: supply(4.5, 5.5, 0.2) });
const dry = makePart('dry', {});
const build = makeBuild(
  {
    frame: {
      ...makeBuild().frame,
      mounts: [
        { alongMm: 20, screw: 'M2' },
        { alongMm: 30.5, screw: 'M3' },
      ],
    },
  },
  [fed, dry],
);

describe('a file of version 1 opens with the meaning it had', () => {
  test("a board's one square pattern is its first", () => {
    expect(readData(first.board(board), 'rung-board')).toEqual({ ok: true, value: board });
    const open = makeBoard({ mounting: { patterns: [{ alongMm: unknown, screw: unknown }], softIsolators: unknown } });
    expect(readData(first.board(open), 'rung-board')).toEqual({ ok: true, value: open });
  });
  test('the supply of a way is its only one; none stays none', () => {
    expect(readData(first.peripheral(fed.peripheral), 'rung-peripheral')).toEqual({ ok: true, value: fed.peripheral });
    expect(readData(first.peripheral(dry.peripheral), 'rung-peripheral')).toEqual({ ok: true, value: dry.peripheral });
  });
  test("a build: the frame's patterns, its parts, and the boards that were picked", () => {
    const picks = [
      {
        id: 'p',
        when: '2026-11-01',
        verdict: 'fits',
        rank: 1,
        firstShare: 1,
        cents: 1,
        grams: 1,
        reasons: [],
        open: [],
        board,
      },
    ];
    const old = {
      ...build,
      version: 1,
      frame: {
        ...build.frame,
        mounts: build.frame.mounts.map(({ alongMm, screw }) => ({ patternMm: alongMm, screw })),
      },
      parts: build.parts.map(first.part),
      picks: picks.map((p) => ({ ...p, board: first.board(board) })),
    };
    expect(readData(old, 'rung-build')).toEqual({
      ok: true,
      value: { ...build, picks: picks.map((p) => ({ ...p, brief: [], with: [] })) },
    });
  });
  test('a lock on the supply of a part means its only one', () => {
    const locks = { plank: [{ kind: 'supply', part: 'fed', to: '5v' }] };
    const read = readData({ ...build, locks }, 'rung-build');
    expect(read.ok && read.value.locks.plank).toEqual([{ ...locks.plank[0], supply: 'supply' }]);
  });
  test('a shelf of old boards and parts, alone or among new ones', () => {
    const shelf = {
      format: 'rung-shelf',
      version: 1,
      name: 'x',
      boards: [first.board(board), { ...board, id: 'newer' }],
      peripherals: [first.peripheral(fed.peripheral)],
    };
    const wanted = {
      ...shelf,
      version: 2,
      boards: [board, { ...board, id: 'newer' }],
      peripherals: [fed.peripheral],
    };
    expect(readFile(JSON.stringify(shelf))).toEqual({ ok: true, value: wanted });
  });
  test.each([
    [
      'a pattern that is no figure',
      { ...first.board(board), mounting: { patternMm: 'wide' } },
      'mounting.patterns[0].alongMm',
    ],
    ['no mounting at all', { ...first.board(board), mounting: 7 }, 'mounting'],
    ['a field of neither version', { ...first.board(board), patternMm: says(3) }, ''],
  ])('%s is refused with its place', (_, data, field) => {
    const read = readData(data, 'rung-board');
    expect(read.ok ? null : read.faults[0]!.field).toBe(field);
  });
  test('a new field in an old file is refused by the name that it has there', () => {
    expect(readData({ ...board, version: 1 }, 'rung-board')).toMatchObject({ ok: true });
    expect(readData({ ...first.board(board), version: 2 }, 'rung-board').ok).toBe(false);
  });
});
