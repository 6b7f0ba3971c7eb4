import { expect, test } from 'vitest';
import { evaluate } from '../evaluate/climb';
import { buildSheet } from '../guide/build-sheet';
import { makeBoard, makeBuild, makePart, says } from '../tests/make';
import { routeMm } from './route';
import { asItLies, lieOf, mmOff, turned, yawOffset } from './turn';
import { sentenceOf } from '../words/finding/sentence-of';

const frame = (openSides: ('front' | 'right' | 'rear' | 'left')[], bayLengthMm = 44, bayWidthMm = 44) =>
  makeBuild({
    frame: {
      name: 'F',
      mounts: [{ alongMm: 30.5, screw: 'M3' }],
      bayLengthMm,
      bayWidthMm,
      bayHeightMm: 20,
      openSides,
    },
  });
const board = makeBoard({
  pads: [
    { id: 'vbat', label: 'VBAT', edge: 'inner' },
    { id: 'p', label: 'P', edge: 'left' },
  ],
  usb: { plug: 'C', side: 'left' },
});

test('a board lies as drawn, unless another way opens USB; a long one only along its bay, or across where it must', () => {
  expect([lieOf(frame(['left']), board), lieOf(frame([]), board)]).toEqual([0, 0]);
  expect([lieOf(frame(['front']), board), lieOf(frame(['right']), board), lieOf(frame(['rear']), board)]).toEqual([
    90, 180, 270,
  ]);
  const long = { ...board, lengthMm: says(40), widthMm: says(30) };
  expect(lieOf(frame(['front'], 44, 32), long)).toBe(0);
  expect(lieOf(frame(['right'], 44, 32), long)).toBe(180);
  expect(lieOf(frame(['rear'], 32, 44), long)).toBe(270);
});

test('findings, sheet, drawing and routes turn it alike', () => {
  const build = frame(['front']);
  const climb = evaluate(build, board);
  expect(sentenceOf(climb.rungs[0]!.findings.find((f) => f.code === 'usb reach')!)).toContain('yaw offset of 90');
  expect(buildSheet(build, board, climb).before.find((s) => s.key === 'arrow')!.does).toContain('yaw offset of 90');
  expect(asItLies(build, board)).toMatchObject({ usb: { side: 'front' }, arrowOffsetDeg: 90 });
  // The left pad has come to the front: 22 - 17 mm and 25 mm of slack, as for a pad that is drawn there.
  expect(routeMm(build, board, makePart('p', {}, { kind: 'camera' }), 'p')).toBe(30);
});

const screwed = (alongMm: number, acrossMm?: number) => ({
  alongMm: says(alongMm),
  ...(acrossMm ? { acrossMm: says(acrossMm) } : {}),
});
const patterned = (pattern: object, more: object = {}) =>
  makeBoard({
    pads: [{ id: 'vbat', label: 'VBAT', edge: 'inner' }],
    mounting: {
      patterns: [{ ...pattern, screw: { value: 'M3', origin: 'manual' } }] as never,
      softIsolators: { value: true, origin: 'manual' },
    },
    usb: { plug: 'C', side: 'left' },
    ...more,
  });

test('how far holes lie off: the larger of both directions, of a range at its best and at its worst, turned with the board', () => {
  const off = (pattern: object, at: 0 | 90 | 180 | 270) =>
    mmOff(pattern as never, { alongMm: 30, acrossMm: 20, screw: 'M3' }, at);
  expect(off(screwed(30, 20), 0)).toEqual({ low: 0, high: 0 });
  expect(off(screwed(30, 20), 180)).toEqual({ low: 0, high: 0 });
  expect(off(screwed(30, 20), 90)).toEqual({ low: 10, high: 10 });
  expect(off(screwed(20, 30), 270)).toEqual({ low: 0, high: 0 });
  expect(off(screwed(28, 21), 0)).toEqual({ low: 2, high: 2 });
  // One figure is both sides of a square.
  expect(off(screwed(25), 0)).toEqual({ low: 5, high: 5 });
  expect(off({ alongMm: { low: 29, high: 33, origin: 'claim' }, acrossMm: says(20) }, 0)).toEqual({ low: 0, high: 3 });
  expect(mmOff(screwed(24) as never, { alongMm: 25, screw: 'M3' }, 0)).toEqual({ low: 1, high: 1 });
});

test('a board whose holes meet the frame only across lies across, though USB would be open otherwise', () => {
  const long = patterned(screwed(20, 30), { lengthMm: says(30), widthMm: says(40) });
  const build = makeBuild({
    frame: {
      name: 'F',
      mounts: [{ alongMm: 30, acrossMm: 20, screw: 'M3' }],
      bayLengthMm: 60,
      bayWidthMm: 60,
      bayHeightMm: 20,
      openSides: ['left'],
    },
  });
  // 90 and 270 only; USB at the left comes to the front and to the rear: neither is open, so the first of them.
  expect(lieOf(build, long)).toBe(90);
  const rear = { ...build, frame: { ...build.frame, openSides: ['rear' as const] } };
  expect(lieOf(rear, long)).toBe(270);
});

test('a square board that meets no hole lies as USB wants it; USB goes before button and cables, and of those as many as can be', () => {
  const of = (more: object, openSides: ('front' | 'right' | 'rear' | 'left')[]) =>
    lieOf(frame(openSides), patterned(screwed(16), more));
  expect(of({}, ['front'])).toBe(90);
  // Cables at the right and USB at the left, one side open: USB.
  expect(of({ cableSides: ['right', 'rear'] }, ['left'])).toBe(0);
  expect(of({ usb: { plug: 'C', side: 'unknown' }, cableSides: ['right'] }, ['left'])).toBe(180);
  expect(of({ usb: { plug: 'C', side: 'unknown' }, buttonSide: 'front' }, ['rear'])).toBe(180);
  // Nobody says where anything is: as drawn.
  expect(of({ usb: { plug: 'C', side: 'unknown' } }, ['rear'])).toBe(0);
});

test('sides turn clockwise, and what is turned twice lies as if it were turned once by the sum', () => {
  expect((['front', 'right', 'rear', 'left'] as const).map((s) => turned(s, 90))).toEqual([
    'right',
    'rear',
    'left',
    'front',
  ]);
  expect([turned('front', 180), turned('front', 270), turned('left', 0)]).toEqual(['rear', 'left', 'left']);
  expect([yawOffset(0, 90), yawOffset(270, 180), yawOffset(90, -180), yawOffset(0, 360)]).toEqual([90, 90, 270, 0]);
});

test('turned by 90 degrees a board changes its length for its width, and button, cables and inner pads come along', () => {
  const build = frame(['front'], 60, 60);
  const lies = asItLies(
    build,
    patterned(screwed(16), {
      lengthMm: says(36),
      widthMm: says(36),
      buttonSide: 'rear',
      cableSides: ['front', 'right'],
      arrowOffsetDeg: 270,
    }),
  );
  expect(lies).toMatchObject({
    buttonSide: 'left',
    cableSides: ['right', 'rear'],
    arrowOffsetDeg: 0,
    usb: { side: 'front' },
  });
  expect(lies.pads[0]).toMatchObject({ edge: 'inner' });
  // The same board is turned once.
  const board = patterned(screwed(16));
  expect(asItLies(build, board)).toBe(asItLies(build, board));
});
