import { describe, expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import type { Board } from '../records/board';
import type { Screw } from '../records/board-lists';
import { newOwnEsc } from '../intake/new-own-esc';
import type { Build } from '../records/build';
import { claims, holes, makeBoard, makeBuild, makePart, says, unknown, yes } from '../tests/make';
import { lieOf, turned, yawOffset } from '../circuit/turn';
import { checkFrame, stackLines } from './frame';
import { sentenceOf } from '../words/finding/sentence-of';

const about = (build: Build, board: Board, what: string) => checkFrame(build, board).find((f) => f.about === what);
const frame = (change: object) =>
  makeBuild({
    frame: {
      name: 'F',
      mounts: [{ alongMm: 30.5, screw: 'M3' }],
      bayLengthMm: 44,
      bayWidthMm: 44,
      bayHeightMm: 20,
      openSides: ['left'],
      ...change,
    },
  });
const ownEsc = {
  name: 'Own',
  channels: 4,
  continuousAmps: claims(35),
  burstAmps: claims(45),
  burstSeconds: says(5),
  maxCells: says(6),
  pins: ['VBAT', 'GND', 'S1'],
  heightMm: 6,
};

test("an ESC of the buyer's own: one for four motors stands under the board until he says otherwise, single ones do not", () => {
  expect([1, 3, 4, 8].map((count) => newOwnEsc({ count }).heightMm)).toEqual([0, 0, 6, 6]);
});

describe('holes: every pattern on every pattern, every screw in every hole', () => {
  const patterns = [16, 20, 25, 25.5, 26.5, 30.5];
  const screws: Screw[] = ['M2', 'M3'];
  // Common practice, no source: 25 and 25.5 meet by soft isolators. ISO 273: an M2 screw passes an M3 hole, not the other way.
  const truth = (frameMm: number, boardMm: number, frameScrew: Screw, boardScrew: Screw, soft: boolean) => {
    const same = frameMm === boardMm;
    const bridged = soft && Math.abs(frameMm - boardMm) === 0.5;
    if (!same && !bridged) return 'breaks';
    if (frameScrew === 'M3' && boardScrew === 'M2') return 'breaks';
    return same && frameScrew === boardScrew ? 'holds' : 'strained';
  };
  test.each([true, false])('soft isolators with the board: %s', (soft) => {
    for (const a of patterns)
      for (const b of patterns)
        for (const s of screws)
          for (const t of screws) {
            const board = makeBoard({
              mounting: holes(says(b), t, { value: soft, origin: 'print' }),
            });
            expect(
              about(frame({ mounts: [{ alongMm: a, screw: s }] }), board, 'Mounting')!.state,
              `${a} ${s} <- ${b} ${t}`,
            ).toBe(truth(a, b, s, t, soft));
          }
  });
  test('of two patterns in a frame the better one is taken', () => {
    const two = frame({
      mounts: [
        { alongMm: 20, screw: 'M2' },
        { alongMm: 30.5, screw: 'M3' },
      ],
    });
    expect(about(two, makeBoard(), 'Mounting')!.state).toBe('holds');
  });
  test('what nobody says is unknown, not a yes, whatever else is known', () => {
    const drilled = (...mounting: Parameters<typeof holes>) => makeBoard({ mounting: holes(...mounting) });
    expect(about(makeBuild(), drilled(unknown), 'Mounting')!.state).toBe('unknown');
    // A range with the frame's pattern somewhere in it is neither yes nor no; one beside it is no.
    expect(about(makeBuild(), drilled({ low: 25, high: 35, origin: 'report' }), 'Mounting')).toMatchObject({
      state: 'unknown',
      given: '25 to 35 mm M3',
    });
    expect(about(makeBuild(), drilled({ low: 20, high: 26, origin: 'report' }), 'Mounting')!.state).toBe('breaks');
    expect(about(makeBuild(), drilled(says(30.5), null), 'Mounting')!.state).toBe('unknown');
    expect(
      about(frame({ mounts: [{ alongMm: 25.5, screw: 'M3' }] }), drilled(says(25), 'M3', unknown), 'Mounting')!.state,
    ).toBe('unknown');
  });
  test.each([
    [
      'along the bay',
      { alongMm: says(40), acrossMm: says(25), screw: 'M3' },
      { alongMm: 40, acrossMm: 25 },
      'holds',
      0,
    ],
    ['turned', { alongMm: says(25), acrossMm: says(40), screw: 'M3' }, { alongMm: 40, acrossMm: 25 }, 'holds', 90],
    [
      'one side off',
      { alongMm: says(40), acrossMm: says(30), screw: 'M3' },
      { alongMm: 40, acrossMm: 25 },
      'breaks',
      0,
    ],
    ['a square one on it', { alongMm: says(25), screw: 'M3' }, { alongMm: 40, acrossMm: 25 }, 'breaks', 0],
    [
      'a side unsaid',
      { alongMm: says(40), acrossMm: unknown, screw: 'M3' },
      { alongMm: 40, acrossMm: 25 },
      'unknown',
      0,
    ],
  ] as const)('a rectangular pattern, %s', (_, { screw, ...pattern }, mount, state, turn) => {
    const board = makeBoard({
      mounting: { patterns: [{ ...pattern, screw: { value: screw, origin: 'print' } }], softIsolators: yes },
      usb: { plug: 'C', side: 'unknown' },
    });
    const build = frame({ mounts: [{ ...mount, screw: 'M3' }] });
    expect([about(build, board, 'Mounting')!.state, lieOf(build, board)]).toEqual([state, turn]);
  });
  test('isolators take up half a millimetre, not a screw that is too thick: that is what is said', () => {
    const onto = (screw: Screw) =>
      about(
        frame({ mounts: [{ alongMm: 25.5, screw }] }),
        makeBoard({ mounting: holes(says(25), 'M2', yes) }),
        'Mounting',
      )!;
    expect(onto('M2')).toMatchObject({ state: 'strained', says: { meet: 'isolators take it up' } });
    expect(onto('M3')).toMatchObject({ state: 'breaks', says: { meet: 'screws too thick' } });
  });
  test('a long board whose holes meet only across lies across where the bay lets it, and breaks where not', () => {
    const board = makeBoard({
      lengthMm: says(42),
      widthMm: says(30),
      mounting: {
        patterns: [{ alongMm: says(36), acrossMm: says(24), screw: { value: 'M3', origin: 'print' } }],
        softIsolators: yes,
      },
    });
    const at = (bayWidthMm: number) => frame({ mounts: [{ alongMm: 24, acrossMm: 36, screw: 'M3' }], bayWidthMm });
    expect([about(at(44), board, 'Mounting')!.state, about(at(44), board, 'Outline')!.state]).toEqual([
      'holds',
      'strained',
    ]);
    expect(sentenceOf(about(at(44), board, 'Outline')!)).toContain('its holes meet only turned');
    expect(about(at(36), board, 'Mounting')!.state).toBe('breaks');
  });
  test('of two patterns of a board the better one is taken; without holes it is taped down', () => {
    const two = makeBoard({
      mounting: {
        ...holes(says(20), 'M2'),
        patterns: [...holes(says(20), 'M2').patterns, ...holes(says(30.5)).patterns],
      },
    });
    expect(about(makeBuild(), two, 'Mounting')).toMatchObject({ state: 'holds', given: '20 mm M2 or 30.5 mm M3' });
    const none = makeBoard({ mounting: { patterns: [], softIsolators: unknown } });
    expect(about(makeBuild(), none, 'Mounting')!.state).toBe('strained');
    expect([none, two].map((b) => about(frame({ mounts: [] }), b, 'Mounting')!.state)).toEqual(['holds', 'holds']);
    expect(evaluate(frame({ mounts: [] }), none).verdict).toBe('fits');
  });
  test('a break names the way out', () =>
    expect(about(frame({ mounts: [{ alongMm: 20, screw: 'M3' }] }), makeBoard(), 'Mounting')!.fix).toEqual({
      code: 'adapter plate',
    }));
});

describe('height', () => {
  const of = (heightMm: object, change: object = {}) =>
    about(frame({ bayHeightMm: 20, standoffMm: 4, ...change }), makeBoard({ heightMm: heightMm as never }), 'Height')!;
  test('standoffs and board against the bay: 4 + 10 of 20 leaves 6', () =>
    expect(of(says(10))).toMatchObject({
      state: 'holds',
      says: {
        code: 'height of the bay',
        bayMm: 20,
        stackMm: { low: 14, high: 14 },
        lines: [
          { what: 'standoffs', mm: 4 },
          { what: 'the board', mm: 10 },
        ],
      },
    }));
  test('what hangs in from above takes from the same bay', () =>
    expect(of(says(10), { overhangMm: 7 })).toMatchObject({
      state: 'breaks',
      says: { bayMm: 20, stackMm: { low: 21, high: 21 } },
    }));
  test('a height that nobody says: how much is left for it', () =>
    expect(of(unknown)).toMatchObject({
      state: 'unknown',
      says: { bayMm: 20, stackMm: { high: Infinity }, lines: [{ what: 'standoffs', mm: 4 }] },
    }));
  test('what takes no height is not named', () => {
    expect(sentenceOf(of(unknown, { standoffMm: 0 }))).toBe(
      'The bay is 20 mm high, and nobody says how high the board builds. 20 mm is left for it.',
    );
    expect(sentenceOf(of(says(10), { standoffMm: 0 }))).toContain('the stack 10 mm (the board: 10)');
  });
  test('a range that may go in and may not is unknown, and is not called unsaid', () =>
    expect(of({ low: 15, high: 17, origin: 'print' })).toMatchObject({
      state: 'unknown',
      says: { stackMm: { low: 19, high: 21 } },
    }));
  test('a range that goes in at its worst holds', () =>
    expect(of({ low: 8, high: 10, origin: 'print' }).state).toBe('holds'));
  test("the buyer's own ESC and its standoffs stand in the same stack", () => {
    const build = makeBuild({
      motors: { count: 4, cruiseAmps: 6, peakAmps: 20, peakSeconds: 5, esc: 'separate', ownEsc },
    });
    expect(stackLines(build, makeBoard()).map((l) => [l.what, l.mm.high])).toEqual([
      ['standoffs', 0],
      ['Own', 8],
      ['the board', 10],
    ]);
    expect(sentenceOf(about(build, makeBoard(), 'Height')!)).toContain('Own: 8');
  });
  test('the tallest of the parts above counts, not their sum', () => {
    const tall = (mm: number, id: string) => ({
      ...makePart(id, {}),
      peripheral: { ...makePart(id, {}).peripheral, overhangMm: mm },
    });
    expect(stackLines(makeBuild({}, [tall(3, 'a'), tall(5, 'b')]), makeBoard()).at(-1)).toEqual({
      what: 'what hangs in from above',
      mm: { low: 5, high: 5 },
    });
  });
});

describe('outline', () => {
  const of = (length: object, width: object) =>
    about(
      frame({ bayLengthMm: 40, bayWidthMm: 36 }),
      makeBoard({ lengthMm: length as never, widthMm: width as never }),
      'Outline',
    )!;
  test('a range that may go in and may not is unknown and says why', () =>
    expect(of({ low: 36, high: 42, origin: 'print' }, says(30))).toMatchObject({
      state: 'unknown',
      says: { boardMm: [42, 30], airMm: -2 },
    }));
  test('nothing said is unknown', () =>
    expect(of(unknown, says(30))).toMatchObject({
      state: 'unknown',
      says: { airMm: -Infinity },
    }));
  test('one side too long either way breaks although the other is not said', () =>
    expect(of(says(50), unknown).state).toBe('breaks'));
});

describe('which way the board lies', () => {
  test('a board turned 90 degrees counter-clockwise is a yaw offset of 270 (common practice, no source)', () =>
    expect(yawOffset(0, -90)).toBe(270));
  test('its left side comes to the rear then', () => expect(turned('left', -90)).toBe('rear'));
  test('a square board is turned to bring USB to the open side, and says so', () => {
    const found = about(
      makeBuild(),
      makeBoard({ usb: { plug: 'C', side: 'rear' }, lengthMm: says(36), widthMm: says(36) }),
      'USB reach',
    )!;
    expect([found.state, sentenceOf(found).includes('yaw offset of 90')]).toEqual(['strained', true]);
  });
  test('USB counts before the button when both cannot be had', () => {
    const board = makeBoard({ usb: { plug: 'C', side: 'left' }, buttonSide: 'right' });
    expect(about(makeBuild(), board, 'USB reach')!.state).toBe('holds');
    expect(about(makeBuild(), board, 'Button reach')!.state).toBe('strained');
  });
  test('of the sides that cables leave at only those are named that the frame closes', () => {
    const cables = (cableSides: Board['cableSides']) =>
      about(frame({}), makeBoard({ usb: { plug: 'C', side: 'left' }, cableSides }), 'Cables')?.says;
    expect(cables(['left', 'rear'])).toEqual({ code: 'cables behind a closed side', comeTo: ['rear'] });
    expect(cables(['left'])).toBeUndefined();
  });
  test('pads that face the frame are to be soldered first, and stop nothing', () => {
    const board = makeBoard({ pads: [{ id: 'vbat', label: 'VBAT', reachable: false }] });
    expect(about(makeBuild(), board, 'Underside')).toMatchObject({
      state: 'holds',
      says: { code: 'pads out of reach', labels: ['VBAT'] },
    });
    expect(evaluate(makeBuild(), board).rungs[0]!.state).toBe('holds');
  });
});
